import { fitCubic } from "fit-curve";
import type { Mm } from "../units";
import { angleFromTo, pointDistance, pointRotate, pointSubtract, pointUnit, type Point } from "./point";
import { cubic, line, type Segment } from "./segment";
import type { Path } from "./path";

/** Turn between two chords that counts as a corner rather than as part of a curve. */
const CORNER = (22 * Math.PI) / 180;
/** A curve that meets a ruled line within this angle runs on from it. */
const SMOOTH_JOIN = (6 * Math.PI) / 180;
/** Chords longer than this are ruled lines, not parts of a flattened curve. */
const RULED: Mm = 40;

/**
 * Lines and cubics through a run of points, no further than `tolerance` (mm) from them. Corners stay corners, long
 * chords stay lines; runs of short chords become curves. Least-squares fitting after Schneider, Graphics Gems I, 1990.
 */
export function pathFit(points: readonly Point[], tolerance: Mm): Path {
  const run = points.filter((p, i) => i === 0 || pointDistance(p, points[i - 1] as Point) > 1e-6);
  const segments: Segment[] = [];
  let smooth: Point[] = [];
  const flush = (next: Point | null): void => {
    if (smooth.length === 2) segments.push(line(smooth[0] as Point, smooth[1] as Point));
    else if (smooth.length > 2) {
      const last = segments[segments.length - 1];
      const ends = endDirections(smooth, last?.kind === "line" ? last.points : null, next);
      const points = smooth.map(([x, y]): [number, number] => [x, y]);
      for (const c of fitCubic(points, [...ends[0]], [...ends[1]], tolerance * tolerance))
        segments.push(
          cubic(c[0] as unknown as Point, c[1] as unknown as Point, c[2] as unknown as Point, c[3] as unknown as Point),
        );
    }
  };
  for (let i = 0; i + 1 < run.length; i++) {
    const [a, b] = [run[i] as Point, run[i + 1] as Point];
    const before = run[i - 1];
    const turn = before ? Math.abs(angleFromTo(pointSubtract(a, before), pointSubtract(b, a))) : 0;
    const ruled = pointDistance(a, b) > RULED;
    const wasRuled = before ? pointDistance(before, a) > RULED : ruled;
    if (i === 0 || turn > CORNER || ruled || wasRuled) {
      flush(turn <= CORNER ? b : null);
      smooth = [a];
    }
    smooth.push(b);
  }
  flush(null);
  return segments;
}

/** Direction of a curve at the first of three of its points: the first chord turned back by its share of the turn. */
function startDirection(a: Point, b: Point, c: Point): Point {
  const [first, second] = [pointSubtract(b, a), pointSubtract(c, b)];
  const share = pointDistance(a, b) / (pointDistance(a, b) + pointDistance(b, c));
  return pointUnit(pointRotate(first, [0, 0], -angleFromTo(first, second) * share));
}

/** Unit directions into a run from both its ends; a ruled line it runs on from or into gives its own direction. */
function endDirections(
  run: readonly Point[],
  ruledBefore: readonly [Point, Point] | null,
  next: Point | null,
): readonly [Point, Point] {
  const n = run.length - 1;
  const [a, b, c] = [run[0] as Point, run[1] as Point, run[2] as Point];
  const [x, y, z] = [run[n] as Point, run[n - 1] as Point, run[n - 2] as Point];
  let start = startDirection(a, b, c);
  let end = startDirection(x, y, z);
  const runsOn = (own: Point, ruled: Point): boolean => Math.abs(angleFromTo(own, ruled)) < SMOOTH_JOIN;
  if (ruledBefore) {
    const ruled = pointUnit(pointSubtract(ruledBefore[1], ruledBefore[0]));
    if (runsOn(start, ruled)) start = ruled;
  }
  if (next) {
    const ruled = pointUnit(pointSubtract(x, next));
    if (pointDistance(x, next) > RULED && runsOn(end, ruled)) end = ruled;
  }
  return [start, end];
}
