import { type AllowanceKind } from "@/core/pattern";

/** The kinds of seam whose allowance a maker sets, as the form names them. */
export const ALLOWANCES: readonly (readonly [AllowanceKind, string])[] = [
  ["side", "Side seam"],
  ["inseam", "Inseam"],
  ["crotch", "Crotch"],
  ["zip", "Along the zip"],
  ["waist", "Waist"],
  ["band", "Band, all round"],
  ["style", "Seams of cuts"],
  ["pocket", "Pockets"],
];
