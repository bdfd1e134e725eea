import {
  angleFromTo,
  boxOf,
  cubic,
  distanceToChord,
  pathAt,
  pathEndTangent,
  pathFlatten,
  pathLength,
  pathSplit,
  pathStartTangent,
  pointAdd,
  pointDistance,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../geometry";
import { toDegrees, type Mm } from "../units";

/** A curve's guide place: so far along the straight line between its ends, and so far off it to the left of the way. */
export interface Guide {
  readonly along: Mm;
  readonly off: Mm;
  readonly at: Point;
}

/** A stretch of an outline that is drawn in one go: straight, or a curve by the places a hand can find. */
export interface Run {
  readonly from: Point;
  readonly to: Point;
  readonly straight: boolean;
  readonly length: Mm;
  readonly guides: readonly Guide[];
  /** Directions in which it leaves and arrives. */
  readonly leaves: Point;
  readonly arrives: Point;
  /** How far a curve drawn by the guides misses it at the most. */
  readonly miss: Mm;
}

/** A line this near to its chord is drawn with the ruler. */
const STRAIGHT: Mm = 0.45;
/** A turn this sharp within an edge is a corner. */
const CORNER_DEGREES = 8;
/** A curve by hand may miss by this, half of what a tape is read to; more guide places are given until it does not. */
const MISSES: Mm = 0.5;
const MOST_GUIDES = 4;
/** A stretch shorter than this is not halved any more. */
const LEAST_HALVED: Mm = 12;

/** A straight stretch this long is drawn on its own, with the ruler. */
const RULED: Mm = 25;

const isRuled = (segment: Path[number]): boolean => segment.kind === "line" && pathLength([segment]) > RULED;

/** A path cut at its corners, and where a long straight stretch goes over into a curve. */
function cutAtCorners(path: Path): readonly Path[] {
  const parts: Path[number][][] = [[]];
  path.forEach((segment, i) => {
    const before = path[i - 1];
    const turn = before ? Math.abs(toDegrees(angleFromTo(pathEndTangent([before]), pathStartTangent([segment])))) : 0;
    if (turn > CORNER_DEGREES || (before && isRuled(before) !== isRuled(segment))) parts.push([]);
    (parts.at(-1) as Path[number][]).push(segment);
  });
  return parts.filter((part) => pathLength(part) > 0.05);
}

/**
 * The curve a hand draws: through the guides, leaving and arriving as told, at each guide along the line between its
 * neighbours; each stretch a cubic with handles a third of its chord.
 */
export function handCurve(points: readonly Point[], leaves: Point, arrives: Point): Path {
  const way = (i: number): Point => {
    if (i === 0) return leaves;
    if (i === points.length - 1) return arrives;
    return pointUnit(pointSubtract(points[i + 1] as Point, points[i - 1] as Point));
  };
  return points.slice(1).map((to, i) => {
    const from = points[i] as Point;
    const third = pointDistance(from, to) / 3;
    return cubic(from, pointAdd(from, pointScale(way(i), third)), pointSubtract(to, pointScale(way(i + 1), third)), to);
  });
}

/** Lines looked at beyond the nearest so far, and before it, while two runs are walked side by side. */
const AHEAD = 24;
const BEHIND = 4;

/** How far one polyline is from another at the most, from the places of the first; both run the same way. */
function farthest(from: readonly Point[], to: readonly Point[]): Mm {
  let [most, at] = [0, 1];
  for (const p of from) {
    let [best, nearest] = [Infinity, at];
    for (let k = Math.max(1, at - BEHIND); k < to.length && k - nearest <= AHEAD; k++) {
      const d = distanceToChord(p, to[k - 1] as Point, to[k] as Point);
      if (d < best) [best, nearest] = [d, k];
    }
    at = nearest;
    most = Math.max(most, best);
  }
  return most;
}

/** A curve with so many guide places, evenly along it, and how far a hand misses it by them. */
function guided(part: Path, count: number): { readonly guides: readonly Guide[]; readonly miss: Mm } {
  const points = pathFlatten(part, 0.05);
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  const along = pointUnit(pointSubtract(to, from));
  const length = pathLength(part);
  const guides = Array.from({ length: count }, (_, i): Guide => {
    const at = pathAt(part, (length * (i + 1)) / (count + 1)).point;
    const [dx, dy] = pointSubtract(at, from);
    return { at, along: dx * along[0] + dy * along[1], off: along[1] * dx - along[0] * dy };
  });
  const through = [from, ...guides.map((g) => g.at), to];
  const drawn = pathFlatten(handCurve(through, pathStartTangent(part), pathEndTangent(part)), 0.1);
  return { guides, miss: Math.max(farthest(points, drawn), farthest(drawn, points)) };
}

/** A smooth stretch: with the ruler, by guide places, or halved where no few places hold it. */
function runsOfStretch(part: Path): readonly Run[] {
  const points = pathFlatten(part, 0.05);
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  const length = pathLength(part);
  const rest = { from, to, length, leaves: pathStartTangent(part), arrives: pathEndTangent(part) };
  if (points.every((p) => distanceToChord(p, from, to) < STRAIGHT))
    return [{ ...rest, straight: true, guides: [], miss: 0 }];
  for (let n = 1; n <= MOST_GUIDES; n++) {
    const { guides, miss } = guided(part, n);
    if (miss <= MISSES) return [{ ...rest, straight: false, guides, miss }];
  }
  if (length < LEAST_HALVED) return [{ ...rest, straight: false, ...guided(part, MOST_GUIDES) }];
  return pathSplit(part, length / 2).flatMap(runsOfStretch);
}

/** How a path is drawn by hand: its straight stretches and curves, cut at corners. */
export const runsOf = (path: Path): readonly Run[] => cutAtCorners(path).flatMap(runsOfStretch);

/** Where outlines lie, all together. */
export const around = (paths: readonly Path[]) => boxOf(paths.flatMap((p) => pathFlatten(p, 1)));
