import { cornerCurve, linesMeet, pointAdd, pointUnit, pointSubtract, type Point, type Segment } from "../geometry";
import type { Mm } from "../units";
import { smallestRadius } from "./panel";

const clamp = (value: Mm, low: Mm, high: Mm): Mm => Math.min(high, Math.max(low, value));

/**
 * How far above the crotch line the curve leaves the centre line. `aboveHip` is crotch depth less hip level, so the
 * curve leaves at the hip line where it can; short distances degenerate and are lifted. Upper bounds win.
 */
export function curveStart(panel: "front" | "back", depth: Mm, aboveHip: Mm, extension: Mm): Mm {
  return panel === "front"
    ? clamp(aboveHip, 1.1 * extension, Math.max(depth / 2, 1.1 * extension))
    : clamp(aboveHip, 1.1 * extension, Math.max(0.55 * depth, 0.8 * extension));
}

/** The hollow that can be drawn: the maker's diagonal within what this extension allows. */
export function hollowDrawn(panel: "front" | "back", asked: Mm, extension: Mm): Mm {
  return panel === "front" ? clamp(asked, 0.4 * extension, 0.5 * extension) : Math.max(asked, 0.38 * extension);
}

/** A crotch curve tighter than this puckers when sewn; small extensions get a shallower hollow instead. */
export const TIGHTEST_CROTCH: Mm = 13;

export interface CrotchCurve {
  /** From the crotch point up to the centre line. */
  readonly segment: Segment;
  readonly hollow: Mm;
  /** Smallest radius of curvature. */
  readonly radius: Mm;
}

/**
 * The crotch curve from the crotch point to the centre line: square to the start of the inseam below, running into
 * the centre line above, crossing the diagonal of the corner (centre line and crotch line) at `hollow`.
 * `inseamDown` is the inseam's unit direction at the crotch point. Canonical frame (centre to the left). Null when
 * the two directions do not meet.
 */
export function drawCrotchCurve(
  crotchPoint: Point,
  inseamDown: Point,
  onCentre: Point,
  waistCentre: Point,
  crotchLine: Mm,
  hollow: Mm,
): CrotchCurve | null {
  const leave: Point = [inseamDown[1], -inseamDown[0]];
  const up = pointUnit(pointSubtract(waistCentre, onCentre));
  const corner = linesMeet(onCentre, up, [0, crotchLine], [1, 0]);
  if (!corner) return null;
  const along = pointUnit(pointAdd(up, [-1, 0]));
  let best: CrotchCurve | null = null;
  for (const share of [1, 0.94, 0.88, 0.82, 0.76]) {
    const drawn = cornerCurve(crotchPoint, leave, onCentre, up, { corner, along, distance: hollow * share });
    if (!drawn) return null;
    const radius = smallestRadius([drawn.segment]);
    if (!best || radius > best.radius) best = { segment: drawn.segment, hollow: drawn.distance, radius };
    if (radius >= TIGHTEST_CROTCH) break;
  }
  return best;
}
