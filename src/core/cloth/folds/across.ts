import { Refusal, say, type Mm } from "../../units";
import type { CutShape } from "../cutShapes";
import { search } from "../lay/search";
import { boundOf, type Laid } from "../lay/strip";
import type { LayCloth, LayFound } from "./laidCloth";
import { Counter, placementsOf, type Finish } from "./placed";
import { doublePlan, refuseTooWide, singlesPlan } from "./plan";

/** Folded across: two layers one behind the other, what is cut once beyond them. */
export function* acrossLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
): Generator<LayFound | null, void, void> {
  if (cloth.nap)
    throw new Refusal(
      "cloth.fold",
      say`Cloth with a nap is not folded across: its second layer would run the other way. Fold it lengthwise, or lay it open.`,
    );
  const pairs = doublePlan(shapes, cloth.width, cloth, { hasFold: false, singles: false });
  const singles = singlesPlan(shapes, cloth, false);
  const through = doublePlan(shapes, cloth.width, cloth, { hasFold: false, singles: true });
  refuseTooWide(through, cloth);
  const hasSingles = singles.parts.length > 0;
  const bound = 2 * boundOf(pairs.parts.length > 0 ? pairs.strip : through.strip);
  const runs = [
    { kind: "both-layers" as const, plan: through, search: search(through.strip, seed) },
    ...(hasSingles && pairs.parts.length > 0
      ? [{ kind: "beyond" as const, plan: pairs, search: search(pairs.strip, seed + 1) }]
      : []),
  ];
  const after = hasSingles ? search(singles.strip, seed + 2) : null;
  let rest: { readonly length: Mm; readonly laid: readonly Laid[] } | null = null;
  let [best, steps] = [Infinity, 0];
  for (let open = true; open;) {
    open = false;
    const beyond = after?.next();
    if (beyond && !beyond.done && beyond.value) rest = beyond.value.lay;
    for (const run of runs) {
      const next = run.search.next();
      if (next.done) continue;
      open = true;
      steps++;
      if (!next.value) {
        yield null;
        continue;
      }
      const { laid, length } = next.value.lay;
      const isBeyond = run.kind === "beyond";
      const whole = 2 * length + (isBeyond ? (rest?.length ?? Infinity) + cloth.gap : 0);
      if (whole >= best - 1e-6) {
        yield null;
        continue;
      }
      best = whole;
      const counter = new Counter();
      const cut = placementsOf(run.plan, laid, counter);
      const shift = (at: Laid): Laid => ({ ...at, x: at.x + length + cloth.gap });
      yield {
        steps,
        lay: finish(isBeyond ? bound / 2 : 0, {
          length: whole,
          foldedLength: length,
          drawnWidth: cloth.width,
          placements:
            isBeyond && rest
              ? [...cut, ...placementsOf(singles, rest.laid.map(shift), counter, { opened: true })]
              : cut,
          singles: hasSingles ? run.kind : "none",
        }),
      };
    }
  }
}
