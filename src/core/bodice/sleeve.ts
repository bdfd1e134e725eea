import { solveRising, cubic, pathLength, type Path } from "../geometry";
import { Refusal, say, type Mm } from "../units";

/** A sleeve as it is drawn: the crown at (0, 0), the front toward +x, y down. */
export interface SleeveSizes {
  /** From the crown down to the level of the underarm. */
  readonly cap: Mm;
  /** From the crown's line to the underarm in front and behind; together the sleeve's width. */
  readonly front: Mm;
  readonly back: Mm;
}

/** Handles of half a cap reach this share of its width, level at both ends. */
const CAP_FULL = 0.5;

/** Half a cap from the underarm up to the crown, level at both ends. */
export const capEdge = (width: Mm, cap: Mm): Path => [
  cubic([width, cap], [width * (1 - CAP_FULL), cap], [width * CAP_FULL, 0], [0, 0]),
];

/** The width at which half a cap of this height is so long; 0 where the height alone is longer. */
function widthFor(cap: Mm, edge: Mm): Mm {
  return edge <= cap ? 0 : solveRising((width) => pathLength(capEdge(width, cap)), edge, 0, edge);
}

/**
 * Height and widths of a cap whose halves are as long as stated, on a sleeve this wide. Throws Refusal where no cap can
 * be drawn: the sleeve is then wider than the armhole allows.
 */
export function sleeveSizes(front: Mm, back: Mm, width: Mm): SleeveSizes {
  const most = Math.min(front, back);
  const wide = (cap: Mm): Mm => widthFor(cap, front) + widthFor(cap, back);
  if (wide(LEAST_CAP) < width)
    throw new Refusal(
      "ease",
      say`A sleeve ${width} wide does not go into an armhole of ${front + back}, however flat its cap. Lower the underarm, or give the sleeve less ease.`,
    );
  // The higher the cap, the narrower the sleeve.
  const cap = solveRising((height) => -wide(height), -width, LEAST_CAP, most);
  return { cap, front: widthFor(cap, front), back: widthFor(cap, back) };
}

/** A cap flatter than this is no cap. */
const LEAST_CAP: Mm = 20;
