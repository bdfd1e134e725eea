import type { Mm } from "../units";

/** How a panel's surplus is shared: the darts, and what is left for the side. */
export interface DartShare {
  readonly count: 0 | 1 | 2;
  readonly intake: Mm;
  readonly length: Mm;
  readonly side: Mm;
}

/** A dart may be no wider than this share of its length, or it cannot be sewn flat. */
export const WIDEST_DART = 0.32;
/** A dart ends at least this far above the hip line. */
export const ABOVE_HIP = 50;
/** A dart's mouth lies on a curved waist: drawn this much shorter, its tip keeps clear of the hip line as it is read. */
const CURVED_WAIST = 2;

/**
 * Shares the surplus between darts and side. Under 14 mm there is no dart; else one of the maker's width; where
 * the side would take too much the dart grows to 35, then a second one is added, then the side takes the rest.
 */
export function dartBudget(surplus: Mm, askedIntake: Mm, askedLength: Mm, sideLimit: Mm, room: Mm): DartShare {
  const length = Math.max(25, Math.min(askedLength, room - ABOVE_HIP - CURVED_WAIST));
  const widest = Math.min(35, WIDEST_DART * length);
  if (surplus < 14 || askedIntake <= 0) return { count: 0, intake: 0, length, side: surplus };
  const first = Math.min(askedIntake, surplus);
  const grown = surplus - first > sideLimit ? Math.max(first, Math.min(35, surplus - sideLimit)) : first;
  const one = Math.min(grown, Math.max(widest, Math.min(first, WIDEST_DART * length)));
  if (surplus - one <= sideLimit + 1e-9) return { count: 1, intake: one, length, side: surplus - one };
  const each = Math.min(widest, (surplus - sideLimit) / 2);
  if (2 * each <= one) return { count: 1, intake: one, length, side: surplus - one };
  return { count: 2, intake: each, length, side: surplus - 2 * each };
}
