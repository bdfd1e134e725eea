import type { Mm } from "../units";
import type { CutShape } from "./cutShapes";
import type { LayCloth } from "./folds/laidCloth";
import { onePlan } from "./folds/plan";
import { provedBound } from "./lay/undercut";

/** Whether it can be proved of a cloth what no lay on it is under: open cloth, as a whole strip. */
export const isProvable = ({ fold, outline }: Pick<LayCloth, "fold" | "outline">): boolean =>
  fold === "open" && !outline;

/**
 * Ever better lengths that no lay of these pieces on this cloth is under, each proved; `length` is that of a lay. Yields
 * null now and then in between, and nothing where the cloth is folded or a remnant: there it is not proved.
 */
export function* cannotBeUnder(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  length: Mm,
): Generator<Mm | null, void, void> {
  if (!isProvable(cloth) || shapes.length === 0) return;
  yield* provedBound(onePlan(shapes, cloth).strip, length);
}

/** A lay that is at most this share longer than what cannot be undercut is not looked into any further. */
const NEAR_ENOUGH = 0.02;
export const isNearest = (length: Mm, proved: Mm): boolean => length <= proved * (1 + NEAR_ENOUGH);
