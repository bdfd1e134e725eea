import type { Mm, Radians } from "../units";

/** A place on the drawing, [x, y] in millimetres; x to the right, y downward. */
export type Point = readonly [Mm, Mm];

export const pointAdd = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const pointSubtract = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
/** Left for right: over the line x = 0. */
export const pointFlipped = ([x, y]: Point): Point => [0 - x, y];
export const pointScale = (a: Point, k: number): Point => [a[0] * k, a[1] * k];
export const pointDot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1];
/** z of the cross product; positive when b lies clockwise of a as drawn (y runs down). */
export const pointCross = (a: Point, b: Point): number => a[0] * b[1] - a[1] * b[0];
// Math.sqrt is several times faster than Math.hypot, and these run in every inner loop; lengths here never overflow.
export const pointNorm = (a: Point): number => Math.sqrt(a[0] * a[0] + a[1] * a[1]);
export const pointDistance = (a: Point, b: Point): Mm =>
  Math.sqrt((a[0] - b[0]) * (a[0] - b[0]) + (a[1] - b[1]) * (a[1] - b[1]));
export const pointBetween = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];

/** The vector at unit length; the zero vector stays zero. */
export function pointUnit(a: Point): Point {
  const size = pointNorm(a);
  return size === 0 ? [0, 0] : [a[0] / size, a[1] / size];
}

/** The vector turned a quarter clockwise as drawn. */
export const pointQuarterTurn = (a: Point): Point => [-a[1], a[0]];

/** `a` turned about `centre`; positive angles run clockwise as drawn. */
export function pointRotate(a: Point, centre: Point, angle: Radians): Point {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  const x = a[0] - centre[0];
  const y = a[1] - centre[1];
  return [centre[0] + x * c - y * s, centre[1] + x * s + y * c];
}

/** Signed angle from a to b, in (-pi, pi]; positive clockwise as drawn. */
export function angleFromTo(a: Point, b: Point): Radians {
  return Math.atan2(pointCross(a, b), pointDot(a, b));
}

/** Where the line through a along u meets the line through b along v; null when they are parallel. */
export function linesMeet(a: Point, u: Point, b: Point, v: Point): Point | null {
  const cross = pointCross(u, v);
  if (Math.abs(cross) < 1e-9 * pointNorm(u) * pointNorm(v)) return null;
  const t = pointCross(pointSubtract(b, a), v) / cross;
  return pointAdd(a, pointScale(u, t));
}

/** Distance from p to the straight piece a-b. */
export const distanceToChord = (p: Point, a: Point, b: Point): Mm => Math.sqrt(squaredToChord(p, a, b));

/** The square of the distance from p to the straight piece a-b; it runs in inner loops and makes no points. */
export function squaredToChord(p: Point, a: Point, b: Point): number {
  const ux = b[0] - a[0];
  const uy = b[1] - a[1];
  const size = ux * ux + uy * uy;
  const px = p[0] - a[0];
  const py = p[1] - a[1];
  const t = size === 0 ? 0 : Math.min(1, Math.max(0, (px * ux + py * uy) / size));
  const dx = px - ux * t;
  const dy = py - uy * t;
  return dx * dx + dy * dy;
}
