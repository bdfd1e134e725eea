import type { Mm } from "../../units";
import type { CutShape } from "../cutShapes";
import { search } from "../lay/search";
import { boundOf, tooWide } from "../lay/strip";
import type { ClothLay, LayCloth, LayFound } from "./laidCloth";
import { foldedDepth, openedLay, openedStrip } from "./opened";
import type { Finish } from "./placed";
import { doublePlan, openedPlan, openPlan, refuseTooWide } from "./plan";
import { widthOf } from "../wider";

/** Which pieces are cut while the cloth is folded, and which once it is opened out. */
interface Way {
  readonly folded: readonly CutShape[];
  readonly opened: readonly CutShape[];
}

/** So many ways are looked into at most. */
const MOST_WAYS = 4;

/** What is wider than the folded cloth is cut opened; then the next widest with it, one more each time. */
function waysOf(shapes: readonly CutShape[], deep: Mm): readonly Way[] {
  const byWidth = [...shapes].sort((a, b) => widthOf(b) - widthOf(a));
  const least = byWidth.filter((s) => (s.onFold ? widthOf(s) / 2 : widthOf(s)) > deep).length;
  return Array.from({ length: Math.min(MOST_WAYS, shapes.length - least) }, (_, more) => ({
    opened: byWidth.slice(0, least + more),
    folded: byWidth.slice(least + more),
  }));
}

/** The rest is looked for this long beside each better lay of what is cut folded. */
const LOOKS_BESIDE = 120;

function* wayLays(
  { folded, opened }: Way,
  cloth: LayCloth,
  deep: Mm,
  seed: number,
): Generator<Omit<ClothLay, "utilisation" | "bound"> | null, void, void> {
  const pairs = doublePlan(folded, deep, cloth, { hasFold: true, singles: false });
  const rest = openedPlan(folded, opened, cloth);
  if (pairs.parts.length === 0 || rest.parts.length === 0) return;
  if (tooWide(pairs.strip).length > 0 || tooWide(rest.strip).length > 0) return;
  for (const step of search(pairs.strip, seed)) {
    if (!step) {
      yield null;
      continue;
    }
    const { laid } = step.lay;
    let looked = 0;
    for (const found of search(openedStrip(pairs, laid, rest, cloth, deep), seed)) {
      yield found && openedLay(pairs, laid, rest, found.lay, cloth, deep);
      if (++looked >= LOOKS_BESIDE) break;
    }
  }
}

/**
 * Two states along one length: some pieces are cut while the cloth is folded lengthwise, then it is opened out for those
 * that are wider than the folded cloth, and for those that lie better so. Ways of parting them are looked into in turns.
 */
export function* partlyFoldedLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
): Generator<LayFound | null, void, void> {
  const deep = foldedDepth(cloth);
  const whole = openPlan(shapes, cloth);
  refuseTooWide(whole, cloth);
  const bound = boundOf(whole.strip);
  let running = waysOf(shapes, deep).map((way) => wayLays(way, cloth, deep, seed));
  let [best, steps] = [Infinity, 0];
  while (running.length > 0) {
    for (const way of running) {
      const next = way.next();
      if (next.done) {
        running = running.filter((other) => other !== way);
        continue;
      }
      steps++;
      const lay = next.value;
      if (lay && lay.length < best - 1e-6) {
        best = lay.length;
        yield { steps, lay: finish(bound, lay) };
      } else yield null;
    }
  }
  if (best < Infinity) return;
  // Nothing of it is cut folded, or nothing is left to be cut opened: the whole cloth lies open.
  for (const step of search(whole.strip, seed))
    yield (
      step && {
        steps: step.steps,
        lay: finish(bound, openedLay({ strip: whole.strip, parts: [] }, [], whole, step.lay, cloth, deep)),
      }
    );
}
