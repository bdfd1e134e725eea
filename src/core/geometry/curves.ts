import { solveRising } from "./solve";
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
import { cubic, segmentAt, segmentDerivative, type Segment } from "./segment";

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

/** The unit vector square to `tangent` that points from `from` toward `to`. */
export function squareToward(tangent: Point, from: Point, to: Point): Point {
  const square: Point = [-tangent[1], tangent[0]];
  const chord = pointSubtract(to, from);
  return square[0] * chord[0] + square[1] * chord[1] >= 0 ? square : [-square[0], -square[1]];
}

/** A trued edge between two seams, square to both: from a place with its seam's direction to another with its. */
export function squareCurve(from: Point, fromSeam: Point, to: Point, toSeam: Point, fullness = 1): Segment {
  const back = squareToward(toSeam, to, from);
  return truedCurve(from, squareToward(fromSeam, from, to), to, [-back[0], -back[1]], fullness);
}

/** An arc of a circle about `centre` from one angle to another (radians, clockwise as drawn), as cubics of at most 30 degrees. */
export function circleArc(centre: Point, radius: Mm, from: Radians, to: Radians): readonly Segment[] {
  const count = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 6)));
  const step = (to - from) / count;
  // Handles of 4/3 tan(step/4) of the radius touch the arc at both ends and in the middle.
  const handle = (4 / 3) * Math.tan(step / 4) * radius;
  const at = (angle: Radians, out: Mm): Point => [
    centre[0] + radius * Math.cos(angle) - out * Math.sin(angle),
    centre[1] + radius * Math.sin(angle) + out * Math.cos(angle),
  ];
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    return cubic(at(a, 0), at(a, handle), at(b, -handle), at(b, 0));
  });
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
  // A larger share pulls the curve into the corner, so the distance falls as the share grows.
  const share = solveRising((s) => -distanceAt(s), -diagonal.distance, ...HANDLE_SHARES);
  return { segment: draw(share), distance: distanceAt(share) };
}

/** Distance from the corner to where the curve crosses the diagonal. */
function diagonalDistance(curve: Segment, { corner, along }: Diagonal): Mm {
  return pointDistance(segmentCrossing(curve, corner, along), corner);
}

/** Parameter at which a curve crosses the line through two places, by bisection; null when its ends lie on one side. */
export function crossingParameter(curve: Segment, a: Point, b: Point): number | null {
  const along = pointSubtract(b, a);
  const side = (t: number): number => pointCross(along, pointSubtract(segmentAt(curve, t), a));
  const atStart = Math.sign(side(0));
  return atStart === Math.sign(side(1)) ? null : solveRising((t) => -atStart * side(t), 0, 0, 1);
}

/** Where a curve crosses the line through `base` along `along`, its ends lying on either side. */
export function segmentCrossing(curve: Segment, base: Point, along: Point): Point {
  return segmentAt(curve, crossingParameter(curve, base, pointAdd(base, along)) ?? 1);
}

/** Parameter at which the curve meets the line through `base` along `direction` (Newton from `guess`). */
export function meetingParameter(curve: Segment, base: Point, direction: Point, guess: number): number {
  let t = guess;
  for (let i = 0; i < 8; i++) {
    const off = pointCross(direction, pointSubtract(segmentAt(curve, t), base));
    const rate = pointCross(direction, segmentDerivative(curve, t));
    if (Math.abs(off) < 1e-11 || rate === 0) break;
    t = Math.min(0.98, Math.max(0.02, t - off / rate));
  }
  return t;
}
