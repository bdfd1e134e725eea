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
const CURVED_WAIST = 2.6;

/** The width of a dart that nobody has stated. */
export const USUAL_DART: Mm = 25;
/** A surplus under this is left to the side. */
const LEAST_SURPLUS: Mm = 14;

/**
 * Shares the surplus between darts and side. Left to itself, a surplus under 14 mm makes no dart; else one of 25. A width
 * that is stated is drawn whatever the surplus, and the side gives or takes the rest. Where the side would take too much
 * the dart grows to 35, then a second one is added, then the side takes what is left.
 */
export function dartBudget(surplus: Mm, asked: Mm | "auto", askedLength: Mm, sideLimit: Mm, room: Mm): DartShare {
  const length = Math.max(25, Math.min(askedLength, room - ABOVE_HIP - CURVED_WAIST));
  const widest = WIDEST_DART * length;
  const none = { count: 0, intake: 0, length, side: surplus } as const;
  if (asked === 0 || (asked === "auto" && surplus < LEAST_SURPLUS)) return none;
  const first = asked === "auto" ? Math.min(USUAL_DART, surplus) : asked;
  const grown = surplus - first > sideLimit ? Math.max(first, Math.min(35, surplus - sideLimit)) : first;
  const one = Math.min(grown, asked === "auto" ? Math.min(Math.max(35, first), widest) : widest);
  const isWide = asked !== "auto" && asked > widest;
  if (!isWide && surplus - one <= sideLimit + 1e-9) return { count: 1, intake: one, length, side: surplus - one };
  const each = isWide
    ? Math.min(widest, Math.max(asked, surplus - sideLimit) / 2)
    : Math.min(35, widest, (surplus - sideLimit) / 2);
  if (2 * each <= one) return { count: 1, intake: one, length, side: surplus - one };
  return { count: 2, intake: each, length, side: surplus - 2 * each };
}
