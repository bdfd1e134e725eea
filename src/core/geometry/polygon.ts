import type { Mm } from "../units";
import { pointDistance, squaredToChord, type Point } from "./point";

/** Signed area of a closed outline (not repeated) in square millimetres; positive when clockwise as drawn. */
export function polygonArea(points: readonly Point[]): number {
  let sum = 0;
  for (let i = 0; i < points.length; i++) {
    const a = points[i] as Point;
    const b = points[(i + 1) % points.length] as Point;
    sum += a[0] * b[1] - b[0] * a[1];
  }
  return sum / 2;
}

export interface Box {
  readonly left: Mm;
  readonly top: Mm;
  readonly right: Mm;
  readonly bottom: Mm;
}

/** The smallest upright box around the points. */
export function boxOf(points: readonly Point[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return { left, top, right, bottom };
}

/** Where two straight pieces cross, or null. Touching at shared ends within `slack` does not count. */
export function chordsCross(a: Point, b: Point, c: Point, d: Point): Point | null {
  const rx = b[0] - a[0];
  const ry = b[1] - a[1];
  const sx = d[0] - c[0];
  const sy = d[1] - c[1];
  const cross = rx * sy - ry * sx;
  if (Math.abs(cross) < 1e-12) return null;
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / cross;
  const u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / cross;
  if (t < 0 || t > 1 || u < 0 || u > 1) return null;
  return [a[0] + rx * t, a[1] + ry * t];
}

/** Where two chords of a closed outline cross; `one` and `other` are their numbers, the smaller first. */
interface Crossing {
  readonly at: Point;
  readonly one: number;
  readonly other: number;
}

/** How many neighbouring chords are looked at together before each of them is. */
const RUN = 10;

/** The box around some places of an outline that follow one another, both ends included. */
function boxBetween(points: readonly Point[], from: number, to: number): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = from; i <= to; i++) {
    const p = points[i === points.length ? 0 : i] as Point;
    if (p[0] < left) left = p[0];
    if (p[0] > right) right = p[0];
    if (p[1] < top) top = p[1];
    if (p[1] > bottom) bottom = p[1];
  }
  return { left, top, right, bottom };
}

const boxesApart = (a: Box, b: Box): boolean =>
  a.left > b.right || b.left > a.right || a.top > b.bottom || b.top > a.bottom;

/** True where no chord from one place of an outline to a later one runs back: none of them crosses another. */
function runsOn(points: readonly Point[], from: number, to: number): boolean {
  const at = (i: number): Point => points[i % points.length] as Point;
  const [start, end] = [at(from), at(to)];
  const [x, y] = [end[0] - start[0], end[1] - start[1]];
  for (let i = from; i < to; i++) {
    const [a, b] = [at(i), at(i + 1)];
    if ((b[0] - a[0]) * x + (b[1] - a[1]) * y <= 0) return false;
  }
  return true;
}

/**
 * The first crossing of two chords of a closed outline. Neighbouring chords share a box; only those of boxes that
 * overlap are looked at one by one, and of boxes that follow one another only where the outline turns back.
 */
function firstCrossing(points: readonly Point[]): Crossing | null {
  const n = points.length;
  const end = (i: number): Point => points[i + 1 === n ? 0 : i + 1] as Point;
  const boxes = Array.from({ length: Math.ceil(n / RUN) }, (_, run) => {
    const [from, to] = [run * RUN, Math.min(n, (run + 1) * RUN)];
    return { from, to, ...boxBetween(points, from, to) };
  });
  for (const [r, one] of boxes.entries()) {
    for (let q = r; q < boxes.length; q++) {
      const other = boxes[q] as (typeof boxes)[number];
      if (boxesApart(one, other) || (q <= r + 1 && runsOn(points, one.from, other.to))) continue;
      for (let i = one.from; i < one.to; i++) {
        for (let j = Math.max(i + 2, other.from); j < Math.min(other.to, i + n - 1); j++) {
          const at = chordsCross(points[i] as Point, end(i), points[j] as Point, end(j));
          if (at) return { at, one: i, other: j };
        }
      }
    }
  }
  return null;
}

/** The first place where a closed outline crosses itself, or null. Neighbouring chords are left out. */
export const polygonSelfCrossing = (points: readonly Point[]): Point | null => firstCrossing(points)?.at ?? null;

/** Most folds that are cut away; an outline with more is not one that was offset. */
const MOST_FOLDS = 24;

/**
 * An offset outline without the loops it makes where it lies further out than the curve beside it is round. They run
 * the other way round than the outline, or hold less than `hook` square millimetres; a crossing that is no such fold
 * stays.
 */
export function polygonUnfolded(points: readonly Point[], hook: number): Point[] {
  let outline = [...points];
  for (let round = 0; round < MOST_FOLDS; round++) {
    const crossing = firstCrossing(outline);
    if (!crossing) break;
    const { at, one, other } = crossing;
    const inner = [at, ...outline.slice(one + 1, other + 1)];
    const outer = [...outline.slice(0, one + 1), at, ...outline.slice(other + 1)];
    const [a, b] = [polygonArea(inner), polygonArea(outer)];
    if (a * b > 0 && Math.min(Math.abs(a), Math.abs(b)) > hook) break;
    outline = Math.abs(a) > Math.abs(b) ? inner : outer;
  }
  return outline;
}

/** The chord of a closed outline nearest to a place, and its distance squared. */
function nearestChord(
  p: Point,
  outline: readonly Point[],
): { readonly a: Point; readonly b: Point; readonly squared: number } {
  let [from, to] = [outline[outline.length - 1] as Point, outline[0] as Point];
  let [a, least] = [from, Infinity];
  for (const b of outline) {
    const squared = squaredToChord(p, a, b);
    if (squared < least) [from, to, least] = [a, b, squared];
    a = b;
  }
  return { a: from, b: to, squared: least };
}

/** Distance from a place to a closed outline. */
export const distanceToOutline = (p: Point, outline: readonly Point[]): Mm =>
  Math.sqrt(nearestChord(p, outline).squared);

/** Removes points closer than `slack` to the one before (and the last if it repeats the first). */
export function polygonClean(points: readonly Point[], slack: Mm = 1e-6): Point[] {
  const kept: Point[] = [];
  for (const p of points) {
    const previous = kept[kept.length - 1];
    if (!previous || pointDistance(previous, p) > slack) kept.push(p);
  }
  while (kept.length > 1 && pointDistance(kept[0] as Point, kept[kept.length - 1] as Point) <= slack) kept.pop();
  return kept;
}

/** Widths between consecutive crossings of a closed outline with the level y, as [left, right] pairs. */
export function polygonSections(points: readonly Point[], y: Mm): (readonly [Mm, Mm])[] {
  const xs: Mm[] = [];
  for (let i = 0; i < points.length; i++) {
    const a = points[i] as Point;
    const b = points[(i + 1) % points.length] as Point;
    if (a[1] <= y !== b[1] <= y) xs.push(a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
  }
  xs.sort((p, q) => p - q);
  const sections: (readonly [Mm, Mm])[] = [];
  for (let i = 0; i + 1 < xs.length; i += 2) sections.push([xs[i] as Mm, xs[i + 1] as Mm]);
  return sections;
}

/** The convex hull of points, by Andrew's chain: its corners in order. Fewer than three places are answered as they are. */
export function convexHull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  if (sorted.length < 3) return sorted;
  const half = (run: readonly Point[]): Point[] => {
    const kept: Point[] = [];
    for (const p of run) {
      for (;;) {
        const [a, b] = kept.slice(-2) as [Point?, Point?];
        if (!a || !b || (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        kept.pop();
      }
      kept.push(p);
    }
    return kept.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

/**
 * Where a ray first meets a closed outline (first point not repeated), or null where it does not. `way` is a unit vector;
 * a start on the outline meets it there.
 */
export function rayMeets(from: Point, way: Point, outline: readonly Point[]): Point | null {
  let best: Mm = Infinity;
  for (let i = 0; i < outline.length; i++) {
    const [a, b] = [outline[i] as Point, outline[(i + 1) % outline.length] as Point];
    // Both ends on one side of the ray: it passes by.
    const [sideA, sideB] = [
      way[0] * (a[1] - from[1]) - way[1] * (a[0] - from[0]),
      way[0] * (b[1] - from[1]) - way[1] * (b[0] - from[0]),
    ];
    if ((sideA > 0 && sideB > 0) || (sideA < 0 && sideB < 0) || sideA === sideB) continue;
    const share = sideA / (sideA - sideB);
    const away = way[0] * (a[0] + share * (b[0] - a[0]) - from[0]) + way[1] * (a[1] + share * (b[1] - a[1]) - from[1]);
    if (away > -1e-6 && away < best) best = away;
  }
  return best === Infinity ? null : [from[0] + way[0] * best, from[1] + way[1] * best];
}

/** The place on a closed outline (first point not repeated) nearest to another. */
export function nearestOnOutline(p: Point, outline: readonly Point[]): Point {
  const { a, b } = nearestChord(p, outline);
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const size = dx * dx + dy * dy;
  const t = size === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / size));
  return [a[0] + t * dx, a[1] + t * dy];
}
