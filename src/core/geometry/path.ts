import { solveRising } from "./solve";
import type { Mm } from "../units";
import { type Point } from "./point";
import {
  segmentAt,
  segmentEnd,
  segmentFlattenCount,
  segmentLength,
  segmentLengthBetween,
  segmentMap,
  segmentNearest,
  segmentParameterAt,
  segmentReverse,
  segmentSplit,
  segmentStart,
  segmentTangent,
  type Segment,
  line,
} from "./segment";

/** A run of segments, each starting where the one before ends. Never empty. */
export type Path = readonly Segment[];

/** Drawing tolerance for outlines and pieces in millimetres. */
export const FLATTEN_TOLERANCE: Mm = 0.05;

function first(path: Path): Segment {
  const segment = path[0];
  if (!segment) throw new RangeError("a path needs at least one segment");
  return segment;
}

function last(path: Path): Segment {
  const segment = path[path.length - 1];
  if (!segment) throw new RangeError("a path needs at least one segment");
  return segment;
}

export const pathStart = (path: Path): Point => segmentStart(first(path));
export const pathEnd = (path: Path): Point => segmentEnd(last(path));
export const pathStartTangent = (path: Path): Point => segmentTangent(first(path), 0);
export const pathEndTangent = (path: Path): Point => segmentTangent(last(path), 1);

/** Arc length in millimetres. */
export function pathLength(path: Path): Mm {
  let sum = 0;
  for (const segment of path) sum += segmentLength(segment);
  return sum;
}

/** Index of the segment holding the place `along` the path, and the arc length left within it. */
function locate(path: Path, along: Mm): { readonly index: number; readonly rest: Mm } {
  let rest = Math.max(0, along);
  for (let index = 0; index < path.length - 1; index++) {
    const length = segmentLength(path[index] as Segment);
    if (rest <= length) return { index, rest };
    rest -= length;
  }
  return { index: path.length - 1, rest };
}

/** Place and unit tangent at arc length `along` from the start (clamped to the path). */
export function pathAt(path: Path, along: Mm): { readonly point: Point; readonly tangent: Point } {
  const { index, rest } = locate(path, along);
  const segment = path[index] as Segment;
  const t = segmentParameterAt(segment, rest);
  return { point: segmentAt(segment, t), tangent: segmentTangent(segment, t) };
}

/** No part of a path is left shorter than this: a place so near to a corner is the corner. */
const SLIVER: Mm = 1e-6;

/** The two parts of the path at arc length `along`, which must lie strictly inside it. */
export function pathSplit(path: Path, along: Mm): readonly [Path, Path] {
  const { index, rest } = locate(path, along);
  const segment = path[index] as Segment;
  if (rest <= SLIVER && index > 0) return [path.slice(0, index), path.slice(index)];
  if (rest >= segmentLength(segment) - SLIVER && index < path.length - 1)
    return [path.slice(0, index + 1), path.slice(index + 1)];
  const [before, after] = segmentSplit(segment, segmentParameterAt(segment, rest));
  return [
    [...path.slice(0, index), before],
    [after, ...path.slice(index + 1)],
  ];
}

/** The part of the path between two arc lengths, 0 <= from < to <= length. */
export function pathBetween(path: Path, from: Mm, to: Mm): Path {
  const length = pathLength(path);
  const head = to < length - SLIVER ? pathSplit(path, to)[0] : path;
  return from > SLIVER ? pathSplit(head, from)[1] : head;
}

/** The path walked the other way. */
export function pathReverse(path: Path): Path {
  return path.map(segmentReverse).reverse();
}

/** The path with every control point moved (rigid or affine map). */
export function pathMap(path: Path, move: (p: Point) => Point): Path {
  return path.map((segment) => segmentMap(segment, move));
}

/** Points along the path, both ends included, no chord further than `tolerance` from the curve. */
export function pathFlatten(path: Path, tolerance: Mm = FLATTEN_TOLERANCE): Point[] {
  const points: Point[] = [pathStart(path)];
  for (const segment of path) {
    const count = segmentFlattenCount(segment, tolerance);
    for (let i = 1; i < count; i++) points.push(segmentAt(segment, i / count));
    points.push(segmentEnd(segment));
  }
  return points;
}

/** The path as the straight lines it is drawn by (0.05 mm). */
export const pathChords = (path: Path): Path =>
  pathFlatten(path).flatMap((p, i, all): Path => (i === 0 ? [] : [line(all[i - 1] as Point, p)]));

/** Arc length of the place on the path nearest to `p`, with its distance. */
export function pathNearest(path: Path, p: Point): { readonly along: Mm; readonly distance: Mm } {
  let index = 0;
  let t = 0;
  let least = Infinity;
  for (let i = 0; i < path.length; i++) {
    const segment = path[i] as Segment;
    const own = segmentNearest(segment, p, least);
    if (own.squared < least) [index, t, least] = [i, own.t, own.squared];
  }
  const before = path.slice(0, index).reduce((sum, s) => sum + segmentLength(s), 0);
  return { along: before + segmentLengthBetween(path[index] as Segment, 0, t), distance: Math.sqrt(least) };
}

/** Where the path crosses the level y (its x values), found on the flattened path. */
export function pathCrossings(path: Path, y: Mm): Mm[] {
  const crossings: Mm[] = [];
  const points = pathFlatten(path);
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    if (a[1] === b[1]) continue;
    const t = (y - a[1]) / (b[1] - a[1]);
    if (t >= 0 && t < 1) crossings.push(a[0] + (b[0] - a[0]) * t);
  }
  return crossings;
}

/**
 * Where a path that runs across meets the upright line at x, as arc length from its start; null where it does not. A
 * path that meets it more than once is met where it first runs past it.
 */
export const pathAlongAtX = (path: Path, x: Mm): Mm | null => alongAt(path, "x", x);

/** Where a path that runs down or up first meets the level y, as arc length from its start; null where it does not. */
export const pathAlongAtLevel = (path: Path, y: Mm): Mm | null => alongAt(path, "y", y);

type Axis = "x" | "y";

const coordinate = (p: Point, axis: Axis): Mm => p[axis === "x" ? 0 : 1];

function alongAt(path: Path, axis: Axis, value: Mm): Mm | null {
  let before = 0;
  for (const segment of path) {
    const [from, to] = [segmentStart(segment), segmentEnd(segment)].map((p) => coordinate(p, axis) - value) as [Mm, Mm];
    if (from * to <= 0) return before + segmentLengthBetween(segment, 0, parameterAt(segment, axis, value));
    before += segmentLength(segment);
  }
  return null;
}

/** Parameter at which a segment whose ends lie on both sides of a line, or on it, passes it: upright at x, or the level y. */
export function parameterAt(segment: Segment, axis: Axis, value: Mm): number {
  const [from, to] = [coordinate(segmentStart(segment), axis), coordinate(segmentEnd(segment), axis)];
  if (from === to) return 0;
  if (segment.kind === "line") return (value - from) / (to - from);
  const way = Math.sign(to - from);
  return solveRising((t) => (coordinate(segmentAt(segment, t), axis) - value) * way, 0, 0, 1);
}
