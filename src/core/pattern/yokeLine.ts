import { softenCorner } from "./fairing";
import { edgesWithRole, type Panel, edgeOf } from "./panel";
import {
  angleFromTo,
  crossingParameter,
  line,
  linesMeet,
  pathAt,
  pathEnd,
  pathLength,
  pathMap,
  pathStart,
  pointBetween,
  pointDistance,
  pointRotate,
  pointSubtract,
  segmentAt,
  segmentLength,
  segmentSplit,
  squareCurve,
  type Path,
  type Point,
  type Segment,
  solveRising,
} from "../geometry";
import type { Mm, Radians } from "../units";

/** One dart that a yoke line crosses: its mouth on the waist, its tip, and the place it is closed about. */
interface CrossedDart {
  readonly from: Point;
  readonly tip: Point;
  readonly to: Point;
  readonly pivot: Point;
  /** Turns the part beyond the dart shut. */
  readonly angle: Radians;
}

/** A yoke line on one panel: the lower panel's edge with what is left of the darts, and the same line darts closed. */
export interface YokeLine {
  /** Pieces of the lower panel's upper edge, from the centre; between two pieces lies the mouth of a dart's remnant. */
  readonly lower: readonly Path[];
  /** Remnants: mouth and tip. */
  readonly remnants: readonly (readonly [Point, Point, Point])[];
  /** The yoke's lower edge from the centre to the side, darts closed. */
  readonly closed: Segment;
  /** A point of the panel beyond the first `n` darts, with those darts closed. */
  readonly close: (p: Point, n: number) => Point;
  readonly darts: readonly CrossedDart[];
}

/** Remnants narrower than this at the line are used up instead. */
const LEAST_REMNANT: Mm = 6;

function closing(darts: readonly CrossedDart[]): (p: Point, n: number) => Point {
  // The dart nearest the part is closed first; the ones nearer the centre carry it along.
  return (p, n) => darts.slice(0, n).reduceRight((q, dart) => pointRotate(q, dart.pivot, dart.angle), p);
}

function opening(darts: readonly CrossedDart[]): (p: Point, n: number) => Point {
  return (p, n) => darts.slice(0, n).reduce((q, dart) => pointRotate(q, dart.pivot, -dart.angle), p);
}

const about = (pivot: Point, { from, to, tip }: Pick<CrossedDart, "from" | "to" | "tip">): CrossedDart => ({
  from,
  to,
  tip,
  pivot,
  angle: angleFromTo(pointSubtract(to, pivot), pointSubtract(from, pivot)),
});

/** The curve square to both seams whose length is asked, by its fullness. */
export function squareCurveOfLength(draw: (fullness: number) => Segment, length: Mm): Segment {
  return draw(solveRising((fullness) => segmentLength(draw(fullness)), length, 0.3, 3));
}

/** Darts closed about where a line crosses them, on their own axes, so that both legs stay equally long. */
function closedAbout(curve: Segment, darts: readonly CrossedDart[]): CrossedDart[] {
  const [close, open] = [closing(darts), opening(darts)];
  return darts.map((dart, i) => {
    if (dart.pivot === dart.tip) return dart;
    const middle = pointBetween(dart.from, dart.to, 0.5);
    const t = crossingParameter(curve, close(dart.pivot, i), close(middle, i));
    if (t === null) return dart;
    const share = pointDistance(open(segmentAt(curve, t), i), middle);
    const axis = pointSubtract(dart.tip, middle);
    const size = pointDistance(dart.tip, middle);
    return about([middle[0] + (axis[0] / size) * share, middle[1] + (axis[1] / size) * share], dart);
  });
}

/**
 * A yoke line across a panel, `centre` down its centre line and `side` down its side seam, square to both with the
 * darts closed. A dart is used up (its tip moved to the line), or, where `keep` is set and it reaches lower, what is
 * left of it below stays a dart. Null where the darts stand so that no fair line can be drawn.
 */
export function yokeLine(panel: Panel, centre: Mm, side: Mm, keep: boolean): YokeLine | null {
  const crotch = edgeOf(panel, "crotch").path;
  const sidePath = edgeOf(panel, "side").path;
  const c = pathAt(crotch, pathLength(crotch) - centre);
  const s = pathAt(sidePath, side);
  const mouths = edgesWithRole(panel, "dart").map((edge) => [pathStart(edge.path), pathEnd(edge.path)] as const);
  const drawn = mouths.flatMap(([from]) =>
    panel.lines.filter(
      (l) => l.kind === "dart" && l.points.length === 3 && pointDistance(l.points[0] as Point, from) < 0.01,
    ),
  );
  let darts = drawn.map((l): CrossedDart => {
    const [from, tip, to] = l.points as readonly [Point, Point, Point];
    const middle = pointBetween(from, to, 0.5);
    const onLine = linesMeet(middle, pointSubtract(tip, middle), c.point, pointSubtract(s.point, c.point)) ?? tip;
    const left = (pointDistance(tip, middle) - pointDistance(onLine, middle)) / pointDistance(tip, middle);
    const isLeft = keep && left * pointDistance(from, to) > LEAST_REMNANT;
    return about(isLeft ? tip : onLine, { from, tip, to });
  });
  const curveOf = (): Segment => {
    const close = closing(darts);
    const end = close(s.point, darts.length);
    const ahead = close([s.point[0] + s.tangent[0], s.point[1] + s.tangent[1]], darts.length);
    return squareCurve(c.point, c.tangent, end, pointSubtract(ahead, end));
  };
  // The line and the places the darts are closed about depend on each other; a few rounds settle them.
  for (let round = 0; round < 8; round++) darts = closedAbout(curveOf(), darts);
  const closed = curveOf();
  const close = closing(darts);
  const open = opening(darts);
  const lower: Path[] = [];
  const remnants: [Point, Point, Point][] = [];
  let rest: Segment = closed;
  let from = 0;
  let piece: Path = [];
  for (const [i, dart] of darts.entries()) {
    const t = crossingParameter(closed, close(dart.pivot, i), close(dart.from, i));
    if (t === null || !(t > from + 0.02 && t < 0.98)) return null;
    const [before, after] = segmentSplit(rest, (t - from) / (1 - from));
    piece = [...piece, ...pathMap([before], (p) => open(p, i))];
    const next = pathMap([after], (p) => open(p, i + 1));
    if (dart.pivot === dart.tip) {
      lower.push(piece);
      remnants.push([pathEnd(piece), dart.tip, pathStart(next)]);
      piece = [];
    } else {
      // A hair may be left between the pieces; the corner is softened over both.
      const corner = pathEnd(piece);
      piece = [...piece, ...(pointDistance(corner, pathStart(next)) > 1e-6 ? [line(corner, pathStart(next))] : [])];
    }
    rest = after;
    from = t;
  }
  piece = [...piece, ...pathMap([rest], (p) => open(p, darts.length))];
  lower.push(piece);
  const softened = lower.map((path) => softenCorners(path));
  const length = softened.reduce((sum, path) => sum + pathLength(path), 0);
  const end = close(s.point, darts.length);
  const ahead = close([s.point[0] + s.tangent[0], s.point[1] + s.tangent[1]], darts.length);
  const fitted = squareCurveOfLength(
    (fullness) => squareCurve(c.point, c.tangent, end, pointSubtract(ahead, end), fullness),
    length,
  );
  if (Math.abs(segmentLength(fitted) - length) > 0.01) return null;
  return { lower: softened, remnants, closed: fitted, close, darts };
}

/** The corners inside a path, where two of its segments meet, softened. */
function softenCorners(path: Path): Path {
  let now = path;
  let along = 0;
  for (const segment of path.slice(0, -1)) {
    along += segmentLength(segment);
    now = softenCorner(now, along);
  }
  return now;
}
