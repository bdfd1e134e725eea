import { Refusal, say, type Mm } from "../../units";
import type { CutShape } from "../cutShapes";
import { sequenceAtOnce } from "../lay/anneal";
import { Leftmost, layOf, lengthOf } from "../lay/leftmost";
import { search } from "../lay/search";
import type { LayShape } from "../lay/shape";
import { boundOf, taskOf, tooWide, type Laid, type LayItem, type Strip } from "../lay/strip";
import { stripWidth, type ClothLay, type LayCloth, type LayFound } from "./laidCloth";
import { Counter, placementsOf, type Finish } from "./placed";
import { doublePlan, refuseTooWide, singlesOf, singlesPlan, type Plan } from "./plan";

/** Folded lengthwise: what is cut once goes through both layers, or beside the rest once the cloth is opened out. */
export function* lengthwiseLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
  like: readonly Laid[] | null,
): Generator<LayFound | null, void, void> {
  const deep = stripWidth({ ...cloth, fold: "lengthwise" });
  if (deep > cloth.width / 2 + 1e-6 || deep <= 0)
    throw new Refusal("cloth.foldWidth", say`Cloth ${cloth.width} wide is folded by ${cloth.width / 2} at most.`, {
      most: cloth.width / 2,
    });
  const through = doublePlan(shapes, deep, cloth, { hasFold: true, singles: true });
  if (!singlesOf(shapes)) {
    refuseTooWide(through, cloth);
    const bound = boundOf(through.strip);
    for (const step of search(through.strip, seed, like))
      yield (
        step && { steps: step.steps, lay: finish(bound, folded(through, step.lay.laid, step.lay.length, deep, "none")) }
      );
    return;
  }
  const pairs = doublePlan(shapes, deep, cloth, { hasFold: true, singles: false });
  refuseTooWide(pairs, cloth);
  const singles = singlesPlan(shapes, cloth, true);
  refuseTooWide(singles, cloth);
  const bound = Math.max(boundOf(singles.strip), pairs.parts.length > 0 ? boundOf(pairs.strip) : 0);
  // Both ways in turns; whichever is shorter is kept.
  const both = tooWide(through.strip).length === 0 ? search(through.strip, seed) : null;
  const apart = search(pairs.strip, seed + 1);
  let best = Infinity;
  let steps = 0;
  for (let open = true; open;) {
    open = false;
    const a = both?.next();
    if (a && !a.done) {
      open = true;
      steps++;
      const length = a.value?.lay.length ?? Infinity;
      if (a.value && length < best - 1e-6) {
        best = length;
        yield { steps, lay: finish(bound, folded(through, a.value.lay.laid, length, deep, "both-layers")) };
      } else yield null;
    }
    const b = apart.next();
    if (!b.done) {
      open = true;
      steps++;
      const lay =
        b.value && b.value.lay.length < best ? openedOut(pairs, b.value.lay.laid, singles, cloth, deep) : null;
      if (lay && lay.length < best - 1e-6) {
        best = lay.length;
        yield { steps, lay: finish(bound, lay) };
      } else yield null;
    }
  }
}

const folded = (
  plan: Plan,
  laid: readonly Laid[],
  length: Mm,
  deep: Mm,
  singles: ClothLay["singles"],
): Omit<ClothLay, "utilisation" | "bound"> => ({
  length,
  foldedLength: length,
  drawnWidth: deep,
  placements: placementsOf(plan, laid, new Counter()),
  singles,
});

/** Orders in which singles are tried beside what is cut already. */
const TRIES = 3;

/** The pairs cut folded, the cloth opened, and the singles laid beside them; null where one finds no place. */
function openedOut(
  pairs: Plan,
  laid: readonly Laid[],
  singles: Plan,
  cloth: LayCloth,
  deep: Mm,
): Omit<ClothLay, "utilisation" | "bound"> | null {
  const own = singles.strip.shapes.length;
  // Opened out, what lay on the fold lies on both its sides.
  const fixed = laid.flatMap((at, i): LayItem[] => {
    const { shape } = pairs.strip.items[i] as LayItem;
    return [
      { shape: own + shape, turns: [at.turn], fixed: { ...at, y: deep + at.y } },
      { shape: own + shape, turns: [at.turn ^ 2], fixed: { x: at.x, y: deep - at.y, turn: at.turn ^ 2 } },
    ];
  });
  const strip: Strip = {
    width: cloth.width,
    gap: cloth.gap,
    shapes: [...singles.strip.shapes, ...pairs.strip.shapes],
    items: [...singles.strip.items, ...fixed],
  };
  const task = taskOf(strip);
  const leftmost = new Leftmost(task);
  const sizes = [0, 1, 2].slice(0, TRIES);
  let best: { readonly length: Mm; readonly laid: readonly Laid[] } | null = null;
  for (const size of sizes) {
    const by = (i: number): number => {
      const s = strip.shapes[(strip.items[i] as LayItem).shape] as LayShape;
      return [s.area, s.own[0], s.own[1]][size] as number;
    };
    const order = [...task.free].sort((a, b) => by(b) - by(a));
    const made = sequenceAtOnce(
      task,
      leftmost,
      order,
      strip.items.map((i) => i.turns[0] ?? 0),
      true,
    );
    if (made && (!best || made.length < best.length))
      best = { length: lengthOf(task, made.placing), laid: layOf(task, made.placing).laid };
  }
  if (!best) return null;
  const counter = new Counter();
  const shifted = laid.map((at) => ({ ...at, y: deep + at.y }));
  return {
    length: best.length,
    foldedLength: Math.max(
      0,
      ...laid.map((at, i) => at.x + (pairs.strip.shapes[(pairs.strip.items[i] as LayItem).shape] as LayShape).own[0]),
    ),
    drawnWidth: cloth.width,
    placements: [
      ...placementsOf(pairs, shifted, counter),
      ...placementsOf(singles, best.laid.slice(0, singles.parts.length), counter, { opened: true }),
    ],
    singles: "opened",
  };
}
