import type { Mm } from "../units";
import { distanceToChord, pointDistance, type Point } from "./point";

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

function firstCrossing(points: readonly Point[]): Crossing | null {
  const n = points.length;
  // Sorting by the left end lets the inner loop stop early; outlines have a few hundred chords.
  const chords = points
    .map((a, i) => {
      const b = points[(i + 1) % n] as Point;
      return { i, a, b, left: Math.min(a[0], b[0]), right: Math.max(a[0], b[0]) };
    })
    .sort((p, q) => p.left - q.left);
  for (let p = 0; p < chords.length; p++) {
    const one = chords[p] as (typeof chords)[number];
    for (let q = p + 1; q < chords.length; q++) {
      const other = chords[q] as (typeof chords)[number];
      if (other.left > one.right) break;
      const gap = Math.abs(one.i - other.i);
      if (gap <= 1 || gap >= n - 1) continue;
      if (Math.max(one.a[1], one.b[1]) < Math.min(other.a[1], other.b[1])) continue;
      if (Math.min(one.a[1], one.b[1]) > Math.max(other.a[1], other.b[1])) continue;
      const meet = chordsCross(one.a, one.b, other.a, other.b);
      if (meet) return { at: meet, one: Math.min(one.i, other.i), other: Math.max(one.i, other.i) };
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

/** Distance from a place to a closed outline. */
export function distanceToOutline(p: Point, outline: readonly Point[]): Mm {
  let least = Infinity;
  for (let i = 0; i < outline.length; i++) {
    least = Math.min(least, distanceToChord(p, outline[i] as Point, outline[(i + 1) % outline.length] as Point));
  }
  return least;
}

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
