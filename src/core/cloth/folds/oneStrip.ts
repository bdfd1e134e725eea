import { Refusal, say, type Mm, inside, type Words } from "../../units";
import type { CutShape } from "../cutShapes";
import { search } from "../lay/search";
import { forbidden } from "../lay/pairs";
import { turnedSlices, type LayShape } from "../lay/shape";
import type { Laid, LayItem, Like } from "../lay/strip";
import type { LayCloth, LayFound } from "./laidCloth";
import { oneLay } from "./placed";
import { onePlan, refuseTooWide, type Plan } from "./plan";

/** Pieces that stay where a hand has put them, by their number among the placements of a lay. */
export type Locked = ReadonlyMap<number, Laid>;
export const NONE_LOCKED: Locked = new Map();

/** The plan with some of its pieces fixed. Throws Refusal where one lies off the cloth. */
function withLocked(plan: Plan, locked: Locked): Plan {
  if (locked.size === 0) return plan;
  const { strip, parts } = plan;
  for (const [i, at] of locked) {
    const part = parts[i];
    const own = part && (strip.shapes[(strip.items[i] as LayItem).shape] as LayShape).own;
    if (!part || !own)
      throw new Refusal("locked", say`A piece is locked that is no longer there. Unlock all, and lay again.`);
    if (at.x - own[0] < -1 || at.y - own[1] < -1 || at.y + own[1] > strip.width + 1)
      throw new Refusal(
        "locked",
        say`The ${inside(part.shape.name)} is locked off the cloth. Unlock it, or move it on.`,
      );
  }
  const [two] = onEachOther(plan, locked);
  if (two)
    throw new Refusal(
      "locked",
      say`${two[0]} and ${inside(two[1])} are locked one on the other. Unlock one of them, or move it on.`,
    );
  return {
    parts,
    strip: {
      ...strip,
      items: strip.items.map((item, i) => (locked.has(i) ? { ...item, fixed: locked.get(i) as Laid } : item)),
    },
  };
}

/** Shapes that keep less of the gap than it takes to grow them lie beside each other; so much deeper, one on the other. */
const DEEPER: Mm = 0.5;

/** Locked pieces that lie one on the other, by name. */
function onEachOther({ strip, parts }: Plan, locked: Locked): (readonly [Words, Words])[] {
  const lying = [...locked].map(([i, at]) => {
    const shape = strip.shapes[(strip.items[i] as LayItem).shape] as LayShape;
    return { at, slices: turnedSlices(shape.slices, at.turn), name: (parts[i] as Plan["parts"][number]).shape.name };
  });
  const beyond = strip.gap + DEEPER;
  return lying.flatMap((a, i) =>
    lying.slice(i + 1).flatMap((b) => {
      const across = b.at.y - a.at.y;
      const apart = forbidden(a.slices, b.slices, b.at.x - a.at.x);
      for (let k = 0; k + 1 < apart.length; k += 2)
        if (across > (apart[k] as Mm) + beyond && across < (apart[k + 1] as Mm) - beyond)
          return [[a.name, b.name] as const];
      return [];
    }),
  );
}

/** Everything in one strip, some of it locked. */
export function* oneStrip(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  { locked, like }: { readonly locked: Locked; readonly like: Like | null },
): Generator<LayFound | null, void, void> {
  const plan = withLocked(onePlan(shapes, cloth), locked);
  refuseTooWide(plan, cloth);
  // What is missing of a remnant lies where it lies, in every lay.
  const missing = plan.strip.items.slice(plan.parts.length).flatMap((item) => (item.fixed ? [item.fixed] : []));
  for (const step of search(plan.strip, seed, like && { ...like, laid: [...like.laid, ...missing] }))
    yield step && { steps: step.steps, lay: oneLay(shapes, cloth, plan, step.lay.laid) };
}
