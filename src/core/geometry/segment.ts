import type { Mm } from "../units";
import { pointBetween, pointDistance, pointDot, pointSubtract, pointUnit, squaredToChord, type Point } from "./point";

/** A straight line, or a cubic Bezier by its four control points. */
export type Segment =
  | { readonly kind: "line"; readonly points: readonly [Point, Point] }
  | { readonly kind: "cubic"; readonly points: readonly [Point, Point, Point, Point] };

export const line = (a: Point, b: Point): Segment => ({ kind: "line", points: [a, b] });
export const cubic = (a: Point, b: Point, c: Point, d: Point): Segment => ({ kind: "cubic", points: [a, b, c, d] });

export const segmentStart = (s: Segment): Point => s.points[0];
export const segmentEnd = (s: Segment): Point => (s.kind === "line" ? s.points[1] : s.points[3]);

/** Place on the segment at parameter t (0 to 1). */
export function segmentAt(s: Segment, t: number): Point {
  if (s.kind === "line") return pointBetween(s.points[0], s.points[1], t);
  const [a, b, c, d] = s.points;
  const u = 1 - t;
  const wa = u * u * u;
  const wb = 3 * u * u * t;
  const wc = 3 * u * t * t;
  const wd = t * t * t;
  return [wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0], wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1]];
}

/** Derivative with respect to t. */
export function segmentDerivative(s: Segment, t: number): Point {
  if (s.kind === "line") return pointSubtract(s.points[1], s.points[0]);
  const [a, b, c, d] = s.points;
  const u = 1 - t;
  const wa = 3 * u * u;
  const wb = 6 * u * t;
  const wc = 3 * t * t;
  return [
    wa * (b[0] - a[0]) + wb * (c[0] - b[0]) + wc * (d[0] - c[0]),
    wa * (b[1] - a[1]) + wb * (c[1] - b[1]) + wc * (d[1] - c[1]),
  ];
}

/** Unit tangent at t, in the direction of travel. */
export function segmentTangent(s: Segment, t: number): Point {
  const direct = segmentDerivative(s, t);
  if (Math.abs(direct[0]) + Math.abs(direct[1]) > 1e-9) return pointUnit(direct);
  // A handle may lie on its end point; a hair further along, the direction is well defined.
  return pointUnit(segmentDerivative(s, t < 0.5 ? t + 1e-4 : t - 1e-4));
}

/** Radius of curvature at t in millimetres; Infinity where the curve is straight. */
export function segmentRadius(s: Segment, t: number): Mm {
  if (s.kind === "line") return Infinity;
  const [a, b, c, d] = s.points;
  const first = segmentDerivative(s, t);
  const second: Point = [
    6 * ((1 - t) * (c[0] - 2 * b[0] + a[0]) + t * (d[0] - 2 * c[0] + b[0])),
    6 * ((1 - t) * (c[1] - 2 * b[1] + a[1]) + t * (d[1] - 2 * c[1] + b[1])),
  ];
  const cross = Math.abs(first[0] * second[1] - first[1] * second[0]);
  const speed = Math.hypot(first[0], first[1]);
  return cross < 1e-12 ? Infinity : (speed * speed * speed) / cross;
}

// Gauss-Legendre abscissae and weights for 16 points on [-1, 1], positive half
// (Abramowitz and Stegun, table 25.4).
const GAUSS_PLACES: readonly number[] = [
  0.0950125098376374, 0.2816035507792589, 0.4580167776572274, 0.6178762444026438, 0.755404408355003, 0.8656312023878318,
  0.9445750230732326, 0.9894009349916499,
];
const GAUSS_WEIGHTS: readonly number[] = [
  0.1894506104550685, 0.1826034150449236, 0.1691565193950025, 0.1495959888165767, 0.1246289712555339,
  0.0951585116824928, 0.0622535239386479, 0.0271524594117541,
];

/** Arc length between two parameters. Sixteen-point quadrature: error far below 0.01 mm on seams. */
export function segmentLengthBetween(s: Segment, from: number, to: number): Mm {
  if (s.kind === "line") return pointDistance(s.points[0], s.points[1]) * (to - from);
  const half = (to - from) / 2;
  const middle = (to + from) / 2;
  // The innermost loop of every solve: the derivative as a quadratic in t, without allocating points.
  const a = s.points[0];
  const b = s.points[1];
  const c = s.points[2];
  const d = s.points[3];
  const x0 = 3 * (b[0] - a[0]);
  const y0 = 3 * (b[1] - a[1]);
  const x1 = 6 * (c[0] - b[0]) - 2 * x0;
  const y1 = 6 * (c[1] - b[1]) - 2 * y0;
  const x2 = 3 * (d[0] - c[0]) - x0 - x1;
  const y2 = 3 * (d[1] - c[1]) - y0 - y1;
  const speedAt = (t: number): number => {
    const dx = x0 + t * (x1 + t * x2);
    const dy = y0 + t * (y1 + t * y2);
    return Math.sqrt(dx * dx + dy * dy);
  };
  let sum = 0;
  for (let i = 0; i < 8; i++) {
    const off = half * (GAUSS_PLACES[i] as number);
    sum += (GAUSS_WEIGHTS[i] as number) * (speedAt(middle - off) + speedAt(middle + off));
  }
  return sum * half;
}

const lengths = new WeakMap<Segment, Mm>();

/** Arc length; a curve's is kept with the segment, which never changes. */
export function segmentLength(s: Segment): Mm {
  if (s.kind === "line") return pointDistance(s.points[0], s.points[1]);
  let known = lengths.get(s);
  if (known === undefined) {
    known = segmentLengthBetween(s, 0, 0.5) + segmentLengthBetween(s, 0.5, 1);
    lengths.set(s, known);
  }
  return known;
}

/** Parameter at which the arc length from the start is `along` (clamped to the segment). */
export function segmentParameterAt(s: Segment, along: Mm): number {
  const total = segmentLength(s);
  if (along <= 0 || total === 0) return 0;
  if (along >= total) return 1;
  let t = along / total;
  if (s.kind === "line") return t;
  for (let i = 0; i < 12; i++) {
    const error = segmentLengthBetween(s, 0, t) - along;
    if (Math.abs(error) < 1e-9) break;
    const speed = segmentDerivative(s, t);
    t = Math.min(1, Math.max(0, t - error / Math.max(1e-9, Math.hypot(speed[0], speed[1]))));
  }
  return t;
}

/** How many places of a curve are looked at before the nearest is refined. */
const NEAREST_STEPS = 24;
const GOLDEN = 0.382;

/**
 * The parameter nearest to p, and the square of its distance. A curve whose control points all lie beyond `within` (a
 * squared distance) to one side is not looked at: its own distance is infinite.
 */
export function segmentNearest(
  s: Segment,
  p: Point,
  within = Infinity,
): { readonly t: number; readonly squared: number } {
  if (s.kind === "line") {
    const [a, b] = s.points;
    const along = pointSubtract(b, a);
    const size = pointDot(along, along);
    const t = size === 0 ? 0 : Math.min(1, Math.max(0, pointDot(pointSubtract(p, a), along) / size));
    return { t, squared: squaredToChord(p, a, b) };
  }
  const [a, b, c, d] = s.points;
  const beyond = (i: 0 | 1): number =>
    Math.max(0, Math.min(a[i], b[i], c[i], d[i]) - p[i], p[i] - Math.max(a[i], b[i], c[i], d[i]));
  if (beyond(0) ** 2 + beyond(1) ** 2 > within) return { t: 0, squared: Infinity };
  const squaredAt = (t: number): number => {
    const u = 1 - t;
    const wa = u * u * u;
    const wb = 3 * u * u * t;
    const wc = 3 * u * t * t;
    const wd = t * t * t;
    const dx = wa * a[0] + wb * b[0] + wc * c[0] + wd * d[0] - p[0];
    const dy = wa * a[1] + wb * b[1] + wc * c[1] + wd * d[1] - p[1];
    return dx * dx + dy * dy;
  };
  let nearest = 0;
  let least = Infinity;
  for (let i = 0; i <= NEAREST_STEPS; i++) {
    const squared = squaredAt(i / NEAREST_STEPS);
    if (squared < least) [nearest, least] = [i, squared];
  }
  let low = Math.max(0, nearest - 1) / NEAREST_STEPS;
  let high = Math.min(NEAREST_STEPS, nearest + 1) / NEAREST_STEPS;
  while (high - low > 1e-9) {
    const [one, other] = [low + (high - low) * GOLDEN, high - (high - low) * GOLDEN];
    if (squaredAt(one) < squaredAt(other)) high = other;
    else low = one;
  }
  // An end of the curve is often the place itself; the search comes close to it but never reaches it.
  let best = { t: (low + high) / 2, squared: squaredAt((low + high) / 2) };
  for (const t of [0, 1]) if (squaredAt(t) < best.squared) best = { t, squared: squaredAt(t) };
  return best;
}

/** The two parts of the segment at parameter t (de Casteljau). */
export function segmentSplit(s: Segment, t: number): readonly [Segment, Segment] {
  if (s.kind === "line") {
    const m = segmentAt(s, t);
    return [line(s.points[0], m), line(m, s.points[1])];
  }
  const [a, b, c, d] = s.points;
  const ab = pointBetween(a, b, t);
  const bc = pointBetween(b, c, t);
  const cd = pointBetween(c, d, t);
  const abc = pointBetween(ab, bc, t);
  const bcd = pointBetween(bc, cd, t);
  const m = pointBetween(abc, bcd, t);
  return [cubic(a, ab, abc, m), cubic(m, bcd, cd, d)];
}

/** The same segment walked the other way. */
export function segmentReverse(s: Segment): Segment {
  return s.kind === "line" ? line(s.points[1], s.points[0]) : cubic(s.points[3], s.points[2], s.points[1], s.points[0]);
}

/** The segment with every control point passed through `move` (a rigid or affine map). */
export function segmentMap(s: Segment, move: (p: Point) => Point): Segment {
  return s.kind === "line"
    ? line(move(s.points[0]), move(s.points[1]))
    : cubic(move(s.points[0]), move(s.points[1]), move(s.points[2]), move(s.points[3]));
}

/**
 * How many equal steps of t flatten the segment so that no chord leaves the curve by more than `tolerance`.
 * Chord error of a cubic is at most (3/4) n^-2 of its largest second difference (Filip, Magedson, Markot 1986).
 */
export function segmentFlattenCount(s: Segment, tolerance: Mm): number {
  if (s.kind === "line") return 1;
  const [a, b, c, d] = s.points;
  const bend = Math.max(
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]),
    Math.hypot(b[0] - 2 * c[0] + d[0], b[1] - 2 * c[1] + d[1]),
  );
  return Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / tolerance)));
}
