import type { Mm } from "../units";
import type { Readings } from "./readings";

/** One measure of a garment, as a list of readings shows it. */
export interface ReadingRow {
  readonly label: string;
  /** Null where this garment has no such measure. */
  readonly read: (readings: Readings) => Mm | null;
  /** Half of another row: shown where the halves are compared. */
  readonly isHalf?: true;
}

const LEG_ROWS: readonly ReadingRow[] = [
  { label: "Hem, one leg", read: (r) => r.hemGirth },
  { label: "Knee, one leg", read: (r) => r.kneeGirth },
  { label: "Thigh", read: (r) => r.thighGirth },
  { label: "Hip", read: (r) => r.hipGirth },
  { label: "Waist", read: (r) => r.waistGirth },
  { label: "Crotch seam", read: (r) => r.crotchSeam },
  { label: "Crotch seam, front", read: (r) => r.crotchSeamFront, isHalf: true },
  { label: "Crotch seam, back", read: (r) => r.crotchSeamBack, isHalf: true },
  { label: "Side seam", read: (r) => r.outseam },
  { label: "Inseam", read: (r) => r.inseam },
];

const BUST: ReadingRow = { label: "Bust", read: (r) => r.bustGirth };
/** Of a top there is nothing to read below its hem. */
const TOP_ROWS: readonly ReadingRow[] = [BUST, { label: "Hem, all round", read: (r) => r.hemGirth }];

/** The rows that say something of a garment: a top has no legs, trousers alone no bust. */
export function readingRows(now: Readings): readonly ReadingRow[] {
  if (now.outseam === 0) return TOP_ROWS;
  return now.bustGirth === null ? LEG_ROWS : [...LEG_ROWS, BUST];
}
