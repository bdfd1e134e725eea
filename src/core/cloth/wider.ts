import { boxOf } from "../geometry";
import type { Mm } from "../units";
import type { CutShape } from "./cutShapes";

/** A join is sewn with this on both sides. */
export const JOIN_ALLOWANCE: Mm = 15;

/** How wide a shape lies across the cloth. */
export const widthOf = ({ whole }: CutShape): Mm => {
  const { top, bottom } = boxOf(whole);
  return bottom - top;
};

/** Pieces that are wider than so much cloth, by id. */
export const widerThan = (shapes: readonly CutShape[], width: Mm): readonly string[] =>
  shapes.filter((shape) => widthOf(shape) > width + 1e-6).map((shape) => shape.piece);
