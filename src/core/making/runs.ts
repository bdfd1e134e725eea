import {
  angleFromTo,
  boxOf,
  cubic,
  distanceToChord,
  pathAt,
  pathEndTangent,
  pathFlatten,
  pathLength,
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
const MOST_GUIDES = 8;

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

/** How far one polyline is from another at the most, from the places of the first. */
function farthest(from: readonly Point[], to: readonly Point[]): Mm {
  return Math.max(...from.map((p) => Math.min(...to.slice(1).map((q, i) => distanceToChord(p, to[i] as Point, q)))));
}

/** How a path is drawn by hand: its straight stretches and curves, cut at corners. */
export function runsOf(path: Path): readonly Run[] {
  return cutAtCorners(path).map((part): Run => {
    const points = pathFlatten(part, 0.05);
    const [from, to] = [points[0] as Point, points.at(-1) as Point];
    const length = pathLength(part);
    const [leaves, arrives] = [pathStartTangent(part), pathEndTangent(part)];
    const rest = { from, to, length, leaves, arrives };
    if (points.every((p) => distanceToChord(p, from, to) < STRAIGHT))
      return { ...rest, straight: true, guides: [], miss: 0 };
    const along = pointUnit(pointSubtract(to, from));
    let [guides, miss]: [Guide[], Mm] = [[], Infinity];
    for (let n = 1; n <= MOST_GUIDES && miss > MISSES; n++) {
      guides = Array.from({ length: n }, (_, i): Guide => {
        const at = pathAt(part, (length * (i + 1)) / (n + 1)).point;
        const [dx, dy] = pointSubtract(at, from);
        return { at, along: dx * along[0] + dy * along[1], off: along[1] * dx - along[0] * dy };
      });
      const drawn = pathFlatten(handCurve([from, ...guides.map((g) => g.at), to], leaves, arrives), 0.1);
      miss = Math.max(farthest(points, drawn), farthest(drawn, points));
    }
    return { ...rest, straight: false, guides, miss };
  });
}

/** Where outlines lie, all together. */
export const around = (paths: readonly Path[]) => boxOf(paths.flatMap((p) => pathFlatten(p, 1)));
