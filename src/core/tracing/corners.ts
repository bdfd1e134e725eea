import {
  angleFromTo,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathFit,
  pathFlatten,
  pathLength,
  pathMap,
  pathNearest,
  pathReverse,
  pathStart,
  pathStartTangent,
  pointDistance,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import { Refusal, say, type Mm, type Radians } from "../units";

/**
 * What the outline of a panel brought in is made of: its edges in order, each from the place at its first corner to the
 * next, walked clockwise with the centre to the left; and the places that lie on an edge between its corners.
 */
export interface OutlineKind<E extends string, P extends string> {
  readonly corners: readonly (readonly [E, P, P])[];
  readonly onEdges: readonly (readonly [P, E])[];
  /** Places in words, for sentences. */
  readonly words: Readonly<Record<P, string>>;
  /** The way round it, told where places are in the wrong order. */
  readonly walk: string;
}

export type EdgesOf<E extends string> = Readonly<Record<E, Path>>;
export type MarksOf<P extends string> = Readonly<Record<P, Point>>;

/** Curves come back within this much of the outline they were read from. */
export const FIT_TOLERANCE: Mm = 0.1;
/** A place further than this from the outline is not on it. */
const FAR: Mm = 25;
/** A place this near a corner of the outline means the corner. */
const SNAPS: Mm = 3;
/** The outline turns by more than this at a corner. */
const CORNER: Radians = (20 * Math.PI) / 180;
/** A place beside an edge means the nearest place on it, unless it lies further off than this. */
const FARTHEST: Mm = 80;
/** An edge is at least this long. */
const LEAST_EDGE: Mm = 5;

/** The corners of a closed outline, each by its place and the length on the way to it. */
export function cornersOf(outline: Path): readonly { readonly along: Mm; readonly point: Point }[] {
  let reached = 0;
  return outline.flatMap((segment, i) => {
    const before = outline[(i + outline.length - 1) % outline.length] as Segment;
    const at = reached;
    reached += pathLength([segment]);
    const turn = angleFromTo(pathEndTangent([before]), pathStartTangent([segment]));
    return Math.abs(turn) > CORNER ? [{ along: at, point: pathStart([segment]) }] : [];
  });
}

/** The corner of an outline that lies within 3 mm of a place; undefined where none does. */
const cornerNear = (outline: Path, p: Point): { readonly along: Mm; readonly point: Point } | undefined =>
  cornersOf(outline).find(({ point }) => pointDistance(point, p) <= SNAPS);

const isAtCorner = <E extends string, P extends string>(kind: OutlineKind<E, P>, name: P): boolean =>
  kind.corners.some(([, from]) => from === name);

/** A place as it is meant: on the corner of the outline that it lies within 3 mm of, where it belongs to one. */
export const snappedPlace = <E extends string, P extends string>(
  kind: OutlineKind<E, P>,
  outline: Path,
  name: P,
  p: Point,
): Point => (isAtCorner(kind, name) ? (cornerNear(outline, p)?.point ?? p) : p);

/** Cuts a closed outline into its named edges at the corners. Throws Refusal naming the place at fault. */
export function splitAtCorners<E extends string, P extends string>(
  kind: OutlineKind<E, P>,
  outline: Path,
  marks: MarksOf<P>,
  path: string,
): EdgesOf<E> {
  const { corners, words } = kind;
  const [first, last] = [corners[0], corners.at(-1)] as readonly [readonly [E, P, P], readonly [E, P, P]];
  const whole = pathLength(outline);
  const along = (run: Path, name: P): Mm => {
    const { along: at, distance } = pathNearest(run, marks[name]);
    if (distance > FAR) {
      throw new Refusal(
        `${path}.${name}`,
        say`The place of ${words[name]} lies ${distance} off the outline. Put it on the line.`,
      );
    }
    return (isAtCorner(kind, name) ? cornerNear(run, marks[name])?.along : undefined) ?? at;
  };
  const ahead = (run: Path, from: P, to: P): Mm => (along(run, to) - along(run, from) + whole) % whole;
  // Walked the right way round, the first edge ends before the last one starts.
  const onward = ahead(outline, first[1], first[2]) < ahead(outline, first[1], last[1]);
  const run = onward ? outline : pathReverse(outline);
  const start = along(run, first[1]);
  const turned: Path =
    start < 1e-6 || start > whole - 1e-6 ? run : [...pathBetween(run, start, whole), ...pathBetween(run, 0, start)];
  const places = corners.map(([, from]) => (from === first[1] ? 0 : along(turned, from)));
  const edges: Partial<Record<E, Path>> = {};
  corners.forEach(([id, from, to], i) => {
    const [a, b] = [places[i] as Mm, i + 1 < places.length ? (places[i + 1] as Mm) : whole];
    if (b - a < LEAST_EDGE) {
      throw new Refusal(
        `${path}.${to}`,
        say`${words[from]} and ${words[to]} are in the wrong order, or on the same place. ${kind.walk}`,
      );
    }
    edges[id] = pathBetween(turned, a, b);
  });
  return edges as EdgesOf<E>;
}

/** Refuses a place that lies far off the edge it belongs to. */
export function refuseOffTheLine<E extends string, P extends string>(
  kind: OutlineKind<E, P>,
  edges: EdgesOf<E>,
  marks: MarksOf<P>,
  path: string,
): void {
  for (const [name, edge] of kind.onEdges) {
    const { distance } = pathNearest(edges[edge], marks[name]);
    if (distance > FARTHEST)
      throw new Refusal(
        `${path}.${name}`,
        say`The place of ${kind.words[name]} lies ${distance} off the outline. Put it on the line.`,
      );
  }
}

/** The edges with flattened curves made curves again. */
export const fitted = <E extends string>(edges: EdgesOf<E>): EdgesOf<E> =>
  mapEdges(edges, (path) =>
    path.length > 6 && path.every((s) => s.kind === "line") ? pathFit(pathFlatten(path), FIT_TOLERANCE) : path,
  );

/** The edges with every point moved. */
export const movedEdges = <E extends string>(edges: EdgesOf<E>, move: (p: Point) => Point): EdgesOf<E> =>
  mapEdges(edges, (path) => pathMap(path, move));

const mapEdges = <E extends string>(edges: EdgesOf<E>, map: (path: Path) => Path): EdgesOf<E> =>
  Object.fromEntries(Object.entries<Path>(edges).map(([id, path]) => [id, map(path)])) as EdgesOf<E>;

/** The place on a path nearest to a point. */
export function placeOn(path: Path, p: Point): Point {
  const { along } = pathNearest(path, p);
  const whole = pathLength(path);
  if (along < 1e-6) return pathStart(path);
  if (along > whole - 1e-6) return pathEnd(path);
  return pathEnd(pathBetween(path, 0, along));
}
