import { pointBetween, pointDistance, type Point } from "../geometry";
import type { Mm } from "../units";

/** A whole strip of cloth between two lengths, by its outline. */
export const stripOutline = (from: Mm, to: Mm, width: Mm): readonly Point[] => [
  [from, 0],
  [to, 0],
  [to, width],
  [from, width],
];

/** An outline with one more corner, in the middle of its longest side: its place among the corners, and where it is. */
export function cornerToAdd(outline: readonly Point[]): { readonly after: number; readonly at: Point } {
  const sides = outline.map((a, after) => {
    const b = outline[(after + 1) % outline.length] as Point;
    return { after, long: pointDistance(a, b), at: pointBetween(a, b, 0.5) };
  });
  const { after, at } = sides.reduce((best, side) => (side.long > best.long ? side : best));
  return { after, at };
}
