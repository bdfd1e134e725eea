import type { Mm, Radians } from "../units";
import {
  angleFromTo,
  linesMeet,
  pointAdd,
  pointBetween,
  pointCross,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  type Point,
} from "./point";
import { cubic, segmentAt, type Segment } from "./segment";

/**
 * A leg seam between two levels: cubic Hermite of x over y, slopes dx/dy at both ends,
 * handles one third of the span.
 */
export function hermiteByLevel(from: Point, to: Point, slopeFrom: number, slopeTo: number): Segment {
  const third = (to[1] - from[1]) / 3;
  return cubic(from, [from[0] + slopeFrom * third, from[1] + third], [to[0] - slopeTo * third, to[1] - third], to);
}

/** A fair line through places given from top to bottom, its slopes taken from the neighbours of each place. */
export function fairThrough(points: readonly Point[]): readonly Segment[] {
  const slope = (i: number): number => {
    const [a, b] = [points[Math.max(0, i - 1)] as Point, points[Math.min(points.length - 1, i + 1)] as Point];
    return (b[0] - a[0]) / (b[1] - a[1] || 1);
  };
  return points.slice(1).map((p, i) => hermiteByLevel(points[i] as Point, p, slope(i), slope(i + 1)));
}

/** One fair curve with given end directions (unit, both along the travel), handles a third of the chord. */
export function curveByDirections(from: Point, leave: Point, to: Point, arrive: Point): Segment {
  const third = pointDistance(from, to) / 3;
  return cubic(from, pointAdd(from, pointScale(leave, third)), pointSubtract(to, pointScale(arrive, third)), to);
}

/**
 * A trued edge: one cubic whose handles follow a circular arc when its turn is symmetric,
 * c / (3 cos^2(f/4)) with c the chord and f the turn between the end directions. `fullness` lengthens the handles.
 */
export function truedCurve(from: Point, leave: Point, to: Point, arrive: Point, fullness = 1): Segment {
  const turn: Radians = angleFromTo(leave, arrive);
  const handle = (fullness * pointDistance(from, to)) / (3 * Math.cos(turn / 4) ** 2);
  return cubic(from, pointAdd(from, pointScale(leave, handle)), pointSubtract(to, pointScale(arrive, handle)), to);
}

/** A ray from the maker's corner that a curve should cross at a stated distance. */
export interface Diagonal {
  readonly corner: Point;
  /** Unit direction from the corner toward the curve. */
  readonly along: Point;
  readonly distance: Mm;
}

/** Least and greatest share of the tangents: beyond these a corner curve turns too sharply to be sewn. */
const HANDLE_SHARES = [0.4, 0.92] as const;

/**
 * A curve that rounds a corner, leaving `from` along `leave`, reaching `to` along `arrive`, and crossing the
 * maker's diagonal at its distance. Handles are the same share of both tangents; the share is bisected between
 * limits, so the distance that could be drawn is returned. Null when the tangents do not meet ahead.
 */
export function cornerCurve(
  from: Point,
  leave: Point,
  to: Point,
  arrive: Point,
  diagonal: Diagonal,
): { readonly segment: Segment; readonly distance: Mm } | null {
  const meet = linesMeet(from, leave, to, arrive);
  if (!meet) return null;
  if (pointDot(pointSubtract(meet, from), leave) <= 0 || pointDot(pointSubtract(meet, to), arrive) >= 0) return null;
  const draw = (share: number): Segment =>
    cubic(from, pointBetween(from, meet, share), pointBetween(to, meet, share), to);
  const distanceAt = (share: number): Mm => diagonalDistance(draw(share), diagonal);
  let [low, high]: [number, number] = [...HANDLE_SHARES];
  for (let i = 0; i < 32; i++) {
    const share = (low + high) / 2;
    // A larger share pulls the curve into the corner, so the distance falls as the share grows.
    if (distanceAt(share) > diagonal.distance) low = share;
    else high = share;
  }
  const share = (low + high) / 2;
  return { segment: draw(share), distance: distanceAt(share) };
}

/** Distance from the corner to where the curve crosses the diagonal. */
function diagonalDistance(curve: Segment, { corner, along }: Diagonal): Mm {
  return pointDistance(segmentCrossing(curve, corner, along), corner);
}

/** Where a curve crosses the line through `base` along `along`, its ends lying on either side. */
export function segmentCrossing(curve: Segment, base: Point, along: Point): Point {
  const side = (t: number): number => pointCross(along, pointSubtract(segmentAt(curve, t), base));
  let [low, high] = [0, 1];
  const atStart = Math.sign(side(0));
  for (let i = 0; i < 32; i++) {
    const middle = (low + high) / 2;
    if (Math.sign(side(middle)) === atStart) low = middle;
    else high = middle;
  }
  return segmentAt(curve, (low + high) / 2);
}
