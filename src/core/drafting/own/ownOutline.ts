import {
  angleFromTo,
  chordsCross,
  cubic,
  line,
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
  pointAdd,
  pointDistance,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
  type Segment,
} from "../../geometry";
import { type Mm, type Radians, Refusal, say } from "../../units";
import type { OwnLandmark, OwnPanelLandmarks } from "./schema";

export type OwnEdgeId = "waist" | "side" | "hem" | "inseam" | "crotch";
export type OwnEdges = Readonly<Record<OwnEdgeId, Path>>;

/** The outline's edges in order, each from its first corner to the next. */
const CORNERS: readonly (readonly [OwnEdgeId, OwnLandmark, OwnLandmark])[] = [
  ["waist", "waistCentre", "waistSide"],
  ["side", "waistSide", "hemSide"],
  ["hem", "hemSide", "hemInseam"],
  ["inseam", "hemInseam", "crotchPoint"],
  ["crotch", "crotchPoint", "waistCentre"],
];

/** Curves come back within this much of the outline they were read from. */
const FIT_TOLERANCE: Mm = 0.1;
/** A landmark further than this from the outline is not on it. */
const FAR: Mm = 25;

/**
 * Reads absolute M, L, C, Z path data as one closed run of segments. Throws CannotDraft with a sentence when it is
 * something else, crosses its own size limits, or does not close.
 */
export function readOutline(data: string, path: string): Path {
  const refuse = (why: string): never => {
    throw new Refusal(path, say`This outline cannot be read: ${why}.`);
  };
  const tokens = data.match(/[MLCZ]|[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?/g) ?? [];
  const segments: Segment[] = [];
  let at: Point | null = null;
  let start: Point | null = null;
  let command = "";
  let i = 0;
  const number = (): number => {
    const value = Number(tokens[i++]);
    return Number.isFinite(value) && Math.abs(value) < 20_000 ? value : refuse("a number in it is not a length");
  };
  const point = (): Point => [number(), number()];
  while (i < tokens.length) {
    if (/[MLCZ]/.test(tokens[i] as string)) command = tokens[i++] as string;
    if (command === "M") {
      if (start) refuse("it holds more than one outline");
      at = start = point();
      command = "L";
    } else if (command === "L" && at) {
      const to = point();
      if (pointDistance(at, to) > 1e-6) segments.push(line(at, to));
      at = to;
    } else if (command === "C" && at) {
      const [a, b, to] = [point(), point(), point()];
      segments.push(cubic(at, a, b, to));
      at = to;
    } else if (command === "Z" && at && start) {
      if (pointDistance(at, start) > 1e-6) segments.push(line(at, start));
      at = start;
      command = "";
    } else refuse("it does not start with M");
    if (segments.length > 20_000) refuse("it has more than 20,000 parts");
  }
  if (segments.length < 4 || !start || pointDistance(pathEnd(segments), start) > 1e-6) refuse("it does not close");
  return withoutStubs(segments);
}

/** Moves a drawing so that the crease is upright at x = 0, the waist at y = 0, and the centre lies to the left. */
export function placing(marks: OwnPanelLandmarks): (p: Point) => Point {
  const down = pointSubtract(marks.creaseHem, marks.creaseTop);
  const angle = Math.PI / 2 - Math.atan2(down[1], down[0]);
  const turned = (p: Point): Point => pointRotate(p, marks.creaseTop, angle);
  const origin: Point = [marks.creaseTop[0], turned(marks.waistSide)[1]];
  const flip = turned(marks.waistSide)[0] < turned(marks.waistCentre)[0] ? -1 : 1;
  return (p) => {
    const [x, y] = pointSubtract(turned(p), origin);
    return [flip * x, y];
  };
}

/** A place this near a corner of the outline means the corner. */
const SNAPS: Mm = 3;
/** The outline turns by more than this at a corner. */
const CORNER: Radians = (20 * Math.PI) / 180;
/** A stretch shorter than this between two longer ones is a slip of the drawing. */
const STUB: Mm = 1;

/** The corners of a closed outline, each by its place and the length on the way to it. */
function cornersOf(outline: Path): readonly { readonly along: Mm; readonly point: Point }[] {
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

/** Places of a block that lie at a corner of its outline. */
const AT_CORNERS: ReadonlySet<OwnLandmark> = new Set(CORNERS.map(([, from]) => from));

/** A place as it is meant: on the corner of the outline that it lies within 3 mm of, where it belongs to one. */
export const snappedPlace = (outline: Path, name: OwnLandmark, p: Point): Point =>
  AT_CORNERS.has(name) ? (cornerNear(outline, p)?.point ?? p) : p;

/** The outline without stretches under 1 mm that stand between longer ones: its neighbours are brought together. */
function withoutStubs(outline: Path): Path {
  const long = outline.map((segment) => pathLength([segment]));
  const n = outline.length;
  const isStub = (i: number): boolean =>
    (long[i] as Mm) < STUB && (long[(i + 1) % n] as Mm) > 3 * STUB && (long[(i + n - 1) % n] as Mm) > 3 * STUB;
  const kept = outline.filter((_, i) => !isStub(i));
  if (kept.length === n || kept.length < 3) return outline;
  return kept.map((segment, i): Segment => {
    const end = pathEnd([kept[(i + kept.length - 1) % kept.length] as Segment]);
    const [, ...others] = segment.points;
    return { ...segment, points: [end, ...others] } as unknown as Segment;
  });
}

/** Cuts a closed outline into its named edges at the corners; each runs on from the centre by way of the side. */
export function splitAtCorners(outline: Path, marks: OwnPanelLandmarks, path: string): OwnEdges {
  const whole = pathLength(outline);
  const along = (run: Path, name: OwnLandmark): Mm => {
    const { along: at, distance } = pathNearest(run, marks[name]);
    if (distance > FAR) {
      throw new Refusal(
        `${path}.${name}`,
        say`The place of ${WORDS[name]} lies ${distance} off the outline. Put it on the line.`,
      );
    }
    return (AT_CORNERS.has(name) ? cornerNear(run, marks[name])?.along : undefined) ?? at;
  };
  const ahead = (run: Path, from: OwnLandmark, to: OwnLandmark): Mm =>
    (along(run, to) - along(run, from) + whole) % whole;
  // The side comes before the crotch point when the outline is walked the right way round.
  const onward = ahead(outline, "waistCentre", "waistSide") < ahead(outline, "waistCentre", "crotchPoint");
  const run = onward ? outline : pathReverse(outline);
  const start = along(run, "waistCentre");
  const turned: Path =
    start < 1e-6 || start > whole - 1e-6 ? run : [...pathBetween(run, start, whole), ...pathBetween(run, 0, start)];
  const places = CORNERS.map(([, from]) => (from === "waistCentre" ? 0 : along(turned, from)));
  const edges: Partial<Record<OwnEdgeId, Path>> = {};
  CORNERS.forEach(([id, from, to], i) => {
    const [a, b] = [places[i] as Mm, i + 1 < places.length ? (places[i + 1] as Mm) : whole];
    if (b - a < 5) {
      throw new Refusal(
        `${path}.${to}`,
        say`${WORDS[from]} and ${WORDS[to]} are in the wrong order, or on the same place. Walk from the waist at the centre to the side, down to the hem, across, and up the inseam.`,
      );
    }
    edges[id] = pathBetween(turned, a, b);
  });
  return edges as OwnEdges;
}

/** Places that lie on an edge, not at its corners. */
const ON_EDGES: readonly (readonly [OwnLandmark, OwnEdgeId])[] = [
  ["hipSide", "side"],
  ["kneeSide", "side"],
  ["kneeInseam", "inseam"],
];

/** A place beside an edge means the nearest place on it, unless it lies further off than this. */
const FARTHEST: Mm = 80;

/** Refuses a place that lies far off the edge it belongs to. */
export function refuseOffTheLine(edges: OwnEdges, marks: OwnPanelLandmarks, path: string): void {
  for (const [name, edge] of ON_EDGES) {
    const { distance } = pathNearest(edges[edge], marks[name]);
    if (distance > FARTHEST)
      throw new Refusal(
        `${path}.${name}`,
        say`The place of ${WORDS[name]} lies ${distance} off the outline. Put it on the line.`,
      );
  }
}

/** Landmarks in words, for sentences. */
export const WORDS: Readonly<Record<OwnLandmark, string>> = {
  waistCentre: "waist at the centre",
  waistSide: "waist at the side",
  hipSide: "hip at the side",
  crotchPoint: "crotch point",
  kneeSide: "knee at the side",
  kneeInseam: "knee at the inseam",
  hemSide: "hem at the side",
  hemInseam: "hem at the inseam",
  creaseTop: "upper end of the crease",
  creaseHem: "crease at the hem",
};

/**
 * Takes allowances off: each edge moves inward by its own width and neighbours are cut where they then meet. Edges
 * run clockwise in the canonical frame (centre left), so the inside lies to the right of travel as drawn.
 */
export function withoutAllowance(edges: OwnEdges, widths: Readonly<Record<OwnEdgeId, Mm>>, path: string): OwnEdges {
  if (Object.values(widths).every((w) => w === 0)) return edges;
  const ids = CORNERS.map(([id]) => id);
  const moved = ids.map((id) => inward(pathFlatten(edges[id]), widths[id]));
  const cut = moved.map((run, i) => {
    const before = moved[(i + moved.length - 1) % moved.length] as Point[];
    const after = moved[(i + 1) % moved.length] as Point[];
    return between(run, corner(before, run), corner(run, after));
  });
  if (cut.some((run) => run === null)) {
    throw new Refusal(path, say`These allowances are wider than the block. Check the number and its unit.`);
  }
  return Object.fromEntries(ids.map((id, i) => [id, pathFit(cut[i] as Point[], FIT_TOLERANCE)])) as OwnEdges;
}

/** A run of points moved to the right of its travel (as drawn, y down), with both ends lengthened. */
function inward(points: readonly Point[], width: Mm): Point[] {
  const reach = 2 * Math.abs(width) + 30;
  const moved: Point[] = [];
  points.forEach((p, i) => {
    const [before, after] = [points[i - 1] ?? p, points[i + 1] ?? p];
    const [tx, ty] = pointUnit(pointSubtract(after, before));
    moved.push(pointAdd(p, pointScale([-ty, tx], width)));
  });
  const [a, b] = [moved[0] as Point, moved[1] as Point];
  const [y, z] = [moved[moved.length - 2] as Point, moved[moved.length - 1] as Point];
  return [
    pointAdd(a, pointScale(pointUnit(pointSubtract(a, b)), reach)),
    ...moved,
    pointAdd(z, pointScale(pointUnit(pointSubtract(z, y)), reach)),
  ];
}

interface Corner {
  readonly at: Point;
  readonly endOf: number;
  readonly startOf: number;
}

/** Where the end of one run crosses the start of the next, nearest to their corner. */
function corner(before: readonly Point[], after: readonly Point[]): Corner | null {
  for (let i = before.length - 2; i >= Math.max(0, before.length / 2 - 2); i--) {
    for (let j = 0; j < Math.min(after.length - 1, after.length / 2 + 2); j++) {
      const at = chordsCross(before[i] as Point, before[i + 1] as Point, after[j] as Point, after[j + 1] as Point);
      if (at) return { at, endOf: i, startOf: j };
    }
  }
  return null;
}

function between(run: readonly Point[], from: Corner | null, to: Corner | null): Point[] | null {
  if (!from || !to || to.endOf < from.startOf) return null;
  return [from.at, ...run.slice(from.startOf + 1, to.endOf + 1), to.at];
}

/** The edges with flattened curves made curves again. */
export function fitted(edges: OwnEdges): OwnEdges {
  return Object.fromEntries(
    Object.entries(edges).map(([id, path]) => [
      id,
      path.length > 6 && path.every((s) => s.kind === "line") ? pathFit(pathFlatten(path), FIT_TOLERANCE) : path,
    ]),
  ) as OwnEdges;
}

/** The edges with every point moved. */
export function movedEdges(edges: OwnEdges, move: (p: Point) => Point): OwnEdges {
  return Object.fromEntries(Object.entries(edges).map(([id, path]) => [id, pathMap(path, move)])) as OwnEdges;
}
