import type { Mm } from "../../units";
import type { CutShape } from "../cutShapes";
import { search } from "../lay/search";
import { boundOf, tooWide, type Laid, type Like } from "../lay/strip";
import type { ClothLay, LayCloth, LayFound } from "./laidCloth";
import { foldedDepth, openedOut } from "./opened";
import { Counter, placementsOf, type Finish } from "./placed";
import { doublePlan, refuseTooWide, singlesOf, singlesPlan, type Plan } from "./plan";

/** Folded lengthwise: what is cut once goes through both layers, or beside the rest once the cloth is opened out. */
export function* lengthwiseLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
  like: Like | null,
): Generator<LayFound | null, void, void> {
  const deep = foldedDepth(cloth);
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
