import {
  angleFromTo,
  chordsCross,
  FLATTEN_TOLERANCE,
  pathAt,
  pathLength,
  pointAdd,
  pointDistance,
  pointScale,
  pointSubtract,
  pointUnit,
  segmentAt,
  segmentFlattenCount,
  segmentLengthBetween,
  segmentTangent,
  type Path,
  type Point,
} from "../geometry";
import type { Mm } from "../units";

/** Finer than drawings, so that the cut line keeps its distance within the drawing tolerance. */
const OFFSET_TOLERANCE: Mm = FLATTEN_TOLERANCE / 2.5;

/** How far a corner may stand out from its seam corner, in allowance widths, before it is squared off. */
const MITRE_LIMIT = 3.5;

/** Width of an allowance at an arc length of its edge. */
export type WidthAt = (along: Mm) => Mm;

/**
 * The cut line beside one edge: each place moved outward, square to the edge, by its width.
 * `outward` is +1 when the outside lies to the left of travel as drawn (clockwise outlines), else -1.
 * Where a wide allowance meets a tight curve the offset folds over itself; the fold is cut away.
 */
export function offsetEdge(path: Path, width: WidthAt, outward: 1 | -1): Point[] {
  const points: Point[] = [];
  let before = 0;
  for (const [n, segment] of path.entries()) {
    const last = path[n - 1];
    // Round the outside of a corner within the edge the cut line keeps its distance.
    if (last)
      points.push(
        ...tipOf(segmentAt(segment, 0), segmentTangent(last, 1), segmentTangent(segment, 0), width(before), outward),
      );
    const steps = Math.max(segmentFlattenCount(segment, OFFSET_TOLERANCE), segment.kind === "line" ? 1 : 8);
    const whole = segmentLengthBetween(segment, 0, 1);
    // Straight pieces with a changing width still need places in between.
    const count = segment.kind === "line" ? Math.max(1, Math.ceil(whole / 10)) : steps;
    for (let i = points.length === 0 ? 0 : 1; i <= count; i++) {
      const t = i / count;
      const along = before + segmentLengthBetween(segment, 0, t);
      const [tx, ty] = segmentTangent(segment, t);
      const normal: Point = [ty * outward, -tx * outward];
      points.push(pointAdd(segmentAt(segment, t), pointScale(normal, width(along))));
    }
    before += whole;
  }
  const run = withoutFolds(points);
  const whole = before;
  const [from, to] = [pathAt(path, 0).tangent, pathAt(path, whole).tangent];
  return sureWay([...sureWay(run, from)].reverse(), pointScale(to, -1)).reverse();
}

/** So little of a run goes its edge's way at an end, where the rest of it does not. */
const SURE: Mm = 0.02;

/**
 * A run that begins by its edge's way. In a hollow tighter than the allowance the places beside it stand still or run back, and
 * what is lengthened from there would go anywhere.
 */
function sureWay(run: Point[], way: Point): Point[] {
  const [first, second] = run as [Point, Point];
  const [dx, dy] = pointSubtract(second, first);
  const agrees = dx * way[0] + dy * way[1] > 0.5 * Math.hypot(dx, dy) && Math.hypot(dx, dy) > 1e-6;
  return agrees ? run : [first, pointAdd(first, pointScale(way, SURE)), ...run.slice(1)];
}

/** The corner of a cut line outside a corner of its edge: mitred, or squared off where that would stand out too far. */
function tipOf(corner: Point, arrives: Point, leaves: Point, width: Mm, outward: 1 | -1): Point[] {
  const [before, after]: readonly [Point, Point] = [
    [arrives[1] * outward, -arrives[0] * outward],
    [leaves[1] * outward, -leaves[0] * outward],
  ];
  const opens = leaves[0] * before[0] + leaves[1] * before[1] < -1e-3;
  if (!opens || width <= 0) return [];
  const spread = 1 + before[0] * after[0] + before[1] * after[1];
  const by = ([x, y]: Point): Point => [corner[0] + x * width, corner[1] + y * width];
  return spread * MITRE_LIMIT ** 2 >= 2
    ? [by([(before[0] + after[0]) / spread, (before[1] + after[1]) / spread])]
    : [by([before[0] + arrives[0], before[1] + arrives[1]]), by([after[0] - leaves[0], after[1] - leaves[1]])];
}

/** The far side of a loop is looked for within this many chords: loops of a seam are short. */
const LONGEST_LOOP = 80;

/** Cuts away loops of an open run of points where it crosses itself. */
function withoutFolds(points: readonly Point[]): Point[] {
  const run = [...points];
  const at = (i: number): Point => run[i] as Point;
  const longest = points.reduce((most, p, i) => (i === 0 ? 0 : Math.max(most, pointDistance(p, at(i - 1)))), 0);
  for (let i = 0; i + 3 < run.length; i++) {
    let j = Math.min(run.length - 2, i + LONGEST_LOOP);
    while (j > i + 1) {
      // Chords further apart than both are long cannot cross, nor can those on the way there.
      const between = pointDistance(at(i), at(j)) - 2 * longest;
      if (between > longest) {
        j -= Math.floor(between / longest);
        continue;
      }
      const meet = chordsCross(at(i), at(i + 1), at(j), at(j + 1));
      if (meet) {
        run.splice(i + 1, j - i, meet);
        break;
      }
      j--;
    }
  }
  return run;
}

/** Two runs of cut line after they were joined at the corner between them. */
interface Joined {
  readonly a: Point[];
  readonly b: Point[];
}

/**
 * Joins two runs of cut line at a corner: both are lengthened to meet, or trimmed where they cross. A corner that
 * would stand out too far is squared off instead. In an obtuse corner a narrow run would meet a wide one before the wide
 * one's seam ends, and take its allowance away there: the wide run goes on to its end and steps in square to its seam.
 * Without `ends` one of the runs was drawn beyond the corner, to be trimmed.
 */
export function joinRuns(
  a: readonly Point[],
  b: readonly Point[],
  corner: Point,
  widest: Mm,
  { squared = false, ends = true }: { readonly squared?: boolean; readonly ends?: boolean } = {},
): Joined {
  const reach = Math.max(30, 6 * widest);
  const longA = [...a, extend(a[a.length - 2] as Point, a[a.length - 1] as Point, reach)];
  const longB = [extend(b[1] as Point, b[0] as Point, reach), ...b];
  let best: { i: number; j: number; meet: Point; away: Mm } | null = null;
  for (let i = longA.length - 2; i >= 0; i--) {
    const [p, q] = [longA[i] as Point, longA[i + 1] as Point];
    if (pointDistance(q, corner) > 2 * reach && i < longA.length - 2) break;
    for (let j = 0; j + 1 < longB.length; j++) {
      const [r, s] = [longB[j] as Point, longB[j + 1] as Point];
      if (pointDistance(r, corner) > 2 * reach && j > 0) break;
      const meet = chordsCross(p, q, r, s);
      if (!meet) continue;
      const away = pointDistance(meet, corner);
      if (!best || away < best.away) best = { i, j, meet, away };
    }
  }
  // In a hollow corner the runs themselves cross, however far from it.
  const isHollow = best !== null && best.i < a.length - 1 && best.j > 0;
  if (!best || (!isHollow && best.away > Math.max(MITRE_LIMIT * widest, 1))) return squaredOff(a, b, corner);
  if (ends && !isHollow && (best.i < a.length - 1 || best.j > 0)) return stepped(a, b, corner, best.j > 0);
  const [headA, tailB] = [longA.slice(0, best.i + 1), longB.slice(best.j + 1)];
  const tip = squared ? squareTip(a, b, corner, best.meet) : [best.meet];
  return { a: [...headA, tip[0] as Point], b: [tip.at(-1) as Point, ...tailB] };
}

/** The wide run to its end, the narrow one lengthened to the line square to the wide one's seam there, or begun on it. */
function stepped(a: readonly Point[], b: readonly Point[], corner: Point, bIsWide: boolean): Joined {
  const wideEnd = bIsWide ? (b[0] as Point) : (a[a.length - 1] as Point);
  const [through, end] = bIsWide
    ? [a[a.length - 2] as Point, a[a.length - 1] as Point]
    : [b[1] as Point, b[0] as Point];
  const meet = chordsCross(corner, wideEnd, end, extend(through, end, pointDistance(corner, wideEnd)));
  const narrow = meet ? [meet] : [];
  return bIsWide ? { a: [...a, ...narrow], b: [...b] } : { a: [...a], b: [...narrow, ...b] };
}

/**
 * The tip of a mitred corner cut off square to the seam that arrives, one width of the other seam beyond the corner, so
 * that the allowance does not stand out when the seam is pressed open. A corner that does not reach so far stays as it is.
 */
function squareTip(a: readonly Point[], b: readonly Point[], corner: Point, meet: Point): readonly Point[] {
  const [endA, startB] = [a[a.length - 1] as Point, b[0] as Point];
  const along = pointUnit(pointSubtract(endA, a[a.length - 2] as Point));
  const ahead = (p: Point): Mm => (p[0] - corner[0]) * along[0] + (p[1] - corner[1]) * along[1];
  const reach = pointDistance(startB, corner);
  const [atEnd, atTip, atStart] = [ahead(endA), ahead(meet), ahead(startB)];
  if (atTip <= reach + 1e-6 || atStart >= reach || atEnd >= reach) return [meet];
  const between = (from: Point, low: Mm): Point => {
    const share = (reach - low) / (atTip - low);
    return [from[0] + (meet[0] - from[0]) * share, from[1] + (meet[1] - from[1]) * share];
  };
  return [between(endA, atEnd), between(startB, atStart)];
}

/**
 * A corner too sharp to be mitred: both runs go on by their own widths and are joined straight across, so that no cloth
 * is cut nearer to the corner than the allowance. Runs that hardly turn, or cross in a
 * hollow corner, are joined as they are.
 */
function squaredOff(a: readonly Point[], b: readonly Point[], corner: Point): Joined {
  const [beforeA, endA] = [a[a.length - 2] as Point, a[a.length - 1] as Point];
  const [startB, afterB] = [b[0] as Point, b[1] as Point];
  const [inA, outB] = [pointUnit(pointSubtract(endA, beforeA)), pointUnit(pointSubtract(afterB, startB))];
  const gap = pointSubtract(startB, endA);
  const turnsBack = inA[0] * outB[0] + inA[1] * outB[1] < 0;
  // Only where the runs part at the corner: in a hollow one they cross.
  if (!turnsBack || gap[0] * inA[0] + gap[1] * inA[1] < 0) return { a: [...a], b: [...b] };
  return {
    a: [...a, extend(beforeA, endA, pointDistance(endA, corner))],
    b: [extend(afterB, startB, pointDistance(startB, corner)), ...b],
  };
}

function extend(from: Point, through: Point, by: Mm): Point {
  return pointAdd(through, pointScale(pointUnit(pointSubtract(through, from)), by));
}

/**
 * The end of a turn-up: the cut line of the adjoining seam, reflected in the hem line, so that the turn-up folds
 * flat onto the leg. `seam` runs toward the hem; the result runs on from the hem line outward to `depth`.
 */
export function mirroredEnd(seam: readonly Point[], hemEnd: Point, hemTangent: Point, depth: Mm): Point[] {
  const normal: Point = [-hemTangent[1], hemTangent[0]];
  const height = (p: Point): Mm => (p[0] - hemEnd[0]) * normal[0] + (p[1] - hemEnd[1]) * normal[1];
  const last = seam[seam.length - 1] as Point;
  // Which side of the hem line the leg lies on: that of a place well up the seam.
  const inside = Math.sign(height(walkBack(seam, Math.max(30, depth))));
  const long = [...seam, extend(seam[seam.length - 2] as Point, last, Math.max(60, depth))];
  const below = long.findIndex((p, i) => i > 0 && height(p) * inside <= 0 && pointDistance(p, hemEnd) < 400);
  // A seam that never meets the hem line runs straight on.
  if (below < 1) return [last, long.at(-1) as Point];
  const [p, q] = [long[below - 1] as Point, long[below] as Point];
  const share = height(p) / (height(p) - height(q));
  const onLine: Point = [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share];
  const mirrored: Point[] = [onLine];
  for (let i = below - 1; i >= 0; i--) {
    const point = long[i] as Point;
    const h = height(point);
    mirrored.push([point[0] - 2 * h * normal[0], point[1] - 2 * h * normal[1]]);
    if (Math.abs(h) > depth * 1.4 + 2) break;
  }
  return mirrored;
}

function walkBack(run: readonly Point[], by: Mm): Point {
  let left = by;
  for (let i = run.length - 1; i > 0; i--) {
    const [p, q] = [run[i] as Point, run[i - 1] as Point];
    const d = pointDistance(p, q);
    if (d >= left) return [p[0] + ((q[0] - p[0]) * left) / d, p[1] + ((q[1] - p[1]) * left) / d];
    left -= d;
  }
  return run[0] as Point;
}

/** Total turn of a path in radians, from its first to its last direction. */
export function pathTurn(path: Path): number {
  return angleFromTo(pathAt(path, 0).tangent, pathAt(path, pathLength(path)).tangent);
}
