import type { Material } from "../pattern";
import type { Mm, Tape } from "../units";

/** Widths taken where none is said: a lining's is its own, interfacing and pocketing are sold narrow. */
export const USUAL_WIDTH: Readonly<Record<Material, Mm>> = {
  shell: 1500,
  contrast: 1500,
  lining: 1400,
  interfacing: 900,
  pocketing: 1100,
  rib: 700,
};

/** Widths that cloth is sold in, on each tape. */
export const SOLD_WIDTHS: Readonly<Record<Tape, readonly Mm[]>> = {
  cm: [900, 1150, 1400, 1500],
  in: [914.4, 1143, 1371.6, 1524],
};

/** What a price is of: a metre, or a yard. */
const PRICED_BY: Readonly<Record<Tape, Mm>> = { cm: 1000, in: 914.4 };

/** What a length of cloth costs at a price of a metre, or of a yard. */
export const costOf = (length: Mm, price: number, tape: Tape): number => (length / PRICED_BY[tape]) * price;
