import { decimal, phrase } from "../words";
import type { Mm } from "./brands";
import { MM_PER } from "./length";

/** The maker's tape: inches in eighths, or centimetres in millimetres. */
export type Tape = "in" | "cm";

/** One division of the tape in millimetres: an eighth of an inch, or a millimetre. */
export function tapeDivision(tape: Tape): Mm {
  return tape === "in" ? MM_PER.in / 8 : 1;
}

/** The nearest reading of the tape, with how far it lies from the true length. */
export function roundToTape(mm: Mm, tape: Tape): { readonly mm: Mm; readonly changedBy: Mm } {
  const step = tapeDivision(tape);
  const rounded = Math.round(mm / step) * step;
  return { mm: rounded, changedBy: rounded - mm };
}

/** A length split for printing: sign, whole units, and the fraction over 8 in lowest terms (inches only). */
export interface LengthParts {
  readonly negative: boolean;
  readonly whole: string;
  readonly fraction: readonly [number, number] | null;
  readonly unit: Tape;
}

/** Splits a length for the given tape; inches come in eighths with real fractions, never decimals. */
export function lengthParts(mm: Mm, tape: Tape): LengthParts {
  const { mm: rounded } = roundToTape(mm, tape);
  const negative = rounded < -1e-9;
  const size = Math.abs(rounded);
  if (tape === "cm") return { negative, whole: decimal((size / 10).toFixed(1)), fraction: null, unit: tape };
  const eighths = Math.round((size / MM_PER.in) * 8);
  const over = eighths % 8;
  const divisor = over % 4 === 0 ? 4 : over % 2 === 0 ? 2 : 1;
  const whole = Math.floor(eighths / 8);
  return {
    negative,
    whole: over !== 0 && whole === 0 ? "" : String(whole),
    fraction: over === 0 ? null : [over / divisor, 8 / divisor],
    unit: tape,
  };
}

/** A length as text: `28 3/8` or `72.5`, with its unit unless told otherwise. */
export function formatLength(mm: Mm, tape: Tape, options: { readonly withUnit?: boolean } = {}): string {
  const parts = lengthParts(mm, tape);
  const fraction = parts.fraction ? `${parts.fraction[0]}/${parts.fraction[1]}` : "";
  const number = [parts.whole, fraction].filter(Boolean).join(" ");
  return `${parts.negative ? "−" : ""}${number}${options.withUnit === false ? "" : ` ${tape}`}`;
}

/** A size as text, its unit said once: `290 by 150 cm`. */
export const formatSize = (sides: readonly Mm[], tape: Tape): string =>
  sides.map((mm, i) => formatLength(mm, tape, { withUnit: i === sides.length - 1 })).join(phrase` by `);

/** A length as text that reads back to exactly the same millimetres, for keeping what a handle set. */
export function exactLength(mm: Mm): string {
  return `${Number(mm.toFixed(4))} mm`;
}

/**
 * Says what rounding to the tape did, or nothing when it changed less than a tenth of a millimetre:
 * "6.6 is 6 5/8 on the tape, 0.4 mm more".
 */
export function roundingNote(mm: Mm, tape: Tape): string | null {
  const { changedBy } = roundToTape(mm, tape);
  if (Math.abs(changedBy) < 0.1) return null;
  return phrase`on the tape ${formatLength(mm, tape)}, ${Math.abs(changedBy).toFixed(1)} mm ${changedBy > 0 ? "more" : "less"}`;
}

/** Cloth is sold by the eighth of a yard, or by five centimetres. */
const SOLD_BY: Readonly<Record<Tape, Mm>> = { in: 914.4 / 8, cm: 50 };

/** The length of cloth that is bought for what is needed: the next that is sold on this tape. */
export const toBuy = (needed: Mm, tape: Tape): Mm => Math.ceil(needed / SOLD_BY[tape] - 1e-6) * SOLD_BY[tape];

/** A share in whole hundredths, as it is read. */
export const formatShare = (share: number): string => `${Math.round(100 * share)} %`;

const TAPE_UNIT: Readonly<Record<Tape, Mm>> = { in: 25.4, cm: 10 };

/** A length as a plain number of the tape's unit, for the axis of a chart. */
export const inTapeUnits = (mm: Mm, tape: Tape): number => mm / TAPE_UNIT[tape];
