import type { Mm } from "../../units";

/** Dashes by which sizes are told apart, from the first on; the first is a whole line. */
const DASHES: readonly (readonly Mm[])[] = [
  [],
  [9, 3],
  [3, 3],
  [9, 3, 2, 3],
  [14, 4],
  [2, 2],
  [14, 3, 2, 3, 2, 3],
  [6, 6],
  [9, 2, 9, 6],
  [1, 3],
  [20, 3],
  [4, 2, 1, 2],
];

/** The dashes of a size by its number. */
export const sizeDash = (size: number): readonly Mm[] => DASHES[size % DASHES.length] as readonly Mm[];
