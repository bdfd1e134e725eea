import { phrase } from "../../words";
import {
  boxOf,
  line,
  pathEnd,
  pathFlatten,
  pathLength,
  pathNearest,
  pathReverse,
  pathStart,
  pointDistance,
  pointScale,
  polygonArea,
  pathMap,
  type Path,
  type Point,
  type Segment,
} from "../../geometry";
import type { Mm } from "../../units";
import { innerLines, JOIN, type DartLines, type InnerLines } from "./innerLines";

/** A run of lines and curves read from a drawing, in the drawing's own units. */
export interface Stroke {
  readonly path: Path;
  /** What the file calls it: id, layer or piece. */
  readonly name: string;
  /** `seam` where the file says so; `dart` for a dart's legs. */
  readonly kind: "seam" | "cut" | "dart" | "other";
}

/** What a drawing holds, before anyone has said what is what. */
export interface Drawing {
  readonly strokes: readonly Stroke[];
  /** Places marked as notches. */
  readonly notches?: readonly Point[];
  /** Millimetres of one unit of the drawing; null when the file does not say. */
  readonly unitMm: number | null;
}

/** A closed outline found in a drawing, in millimetres, with its flattened points. */
export interface FoundOutline {
  readonly id: string;
  readonly name: string;
  readonly kind: Stroke["kind"];
  readonly path: Path;
  readonly points: readonly Point[];
  readonly width: Mm;
  readonly height: Mm;
  /** Darts that the file says are darts. */
  readonly darts: readonly DartLines[];
  /** What is drawn inside without the file saying what it is. */
  readonly inner: InnerLines;
  /** Notches of the file that lie on this outline. */
  readonly notches: readonly Point[];
}

/** A file that cannot be taken in, as a sentence that says what to do. */
export class CannotBringIn extends Error {
  constructor(message: string) {
    super(message);
    this.name = "CannotBringIn";
  }
}

/** Loose lines are tried against each other; a block has a few dozen. */
const MOST_OPEN = 4_000;
/** No place of a pattern lies further out. */
const FARTHEST: Mm = 20_000;
/** A notch lies on the outline it belongs to, within this. */
const NOTCH_NEAR: Mm = 2;
/** A panel of trousers is at least this tall. */
const LEAST_HEIGHT: Mm = 150;

/** Joins open strokes end to end into closed outlines; what does not close is left out. */
function closedRuns(strokes: readonly Stroke[]): Stroke[] {
  const closed: Stroke[] = [];
  const open: Stroke[] = [];
  for (const stroke of strokes) {
    const gap = pointDistance(pathStart(stroke.path), pathEnd(stroke.path));
    if (gap <= JOIN && pathLength(stroke.path) > 3 * JOIN)
      closed.push(
        gap > 1e-6 ? { ...stroke, path: [...stroke.path, line(pathEnd(stroke.path), pathStart(stroke.path))] } : stroke,
      );
    else open.push(stroke);
  }
  if (open.length > MOST_OPEN)
    throw new CannotBringIn("The drawing holds thousands of loose lines. Bring in the block's outline alone.");
  const waiting = new Set(open);
  for (const first of open) {
    if (!waiting.delete(first)) continue;
    let run: Segment[] = [...first.path];
    for (;;) {
      const end = pathEnd(run);
      if (run.length > 1 && pointDistance(pathStart(run), end) <= JOIN) {
        closed.push({ ...first, path: run });
        break;
      }
      let next: Stroke | null = null;
      let best: Mm = JOIN;
      let reversed = false;
      for (const other of waiting) {
        const [a, b] = [pointDistance(end, pathStart(other.path)), pointDistance(end, pathEnd(other.path))];
        if (Math.min(a, b) <= best) [next, best, reversed] = [other, Math.min(a, b), b < a];
      }
      if (!next) break;
      waiting.delete(next);
      const added = reversed ? pathReverse(next.path) : next.path;
      const gap = pointDistance(end, pathStart(added));
      run = [...run, ...(gap > 1e-6 ? [line(end, pathStart(added))] : []), ...added];
    }
  }
  return closed;
}

const inside = (outer: FoundOutline, p: Point): boolean => {
  let odd = false;
  const { points } = outer;
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const [a, b] = [points[i] as Point, points[j] as Point];
    if (a[1] > p[1] !== b[1] > p[1] && p[0] < ((b[0] - a[0]) * (p[1] - a[1])) / (b[1] - a[1]) + a[0]) odd = !odd;
  }
  return odd;
};

/**
 * The outlines of a drawing large enough to be panels, largest first, in millimetres. `unitMm` is what one unit of
 * the drawing measures. Throws CannotBringIn when there is none, with what to do.
 */
export function findOutlines(drawing: Drawing, unitMm: number): FoundOutline[] {
  const scaled = drawing.strokes.map((s) => ({ ...s, path: pathMap(s.path, (p) => pointScale(p, unitMm)) }));
  if (scaled.some((s) => s.path.some((segment) => segment.points.some(([x, y]) => Math.hypot(x, y) > FARTHEST))))
    throw new CannotBringIn(
      "The drawing reaches more than 20 metres out in this unit. Choose the unit it was drawn in.",
    );
  const found = closedRuns(scaled.filter((s) => s.kind !== "dart"))
    .map((stroke, i): FoundOutline => {
      const points = pathFlatten(stroke.path, 0.2);
      const box = boxOf(points);
      return {
        id: `outline-${i + 1}`,
        name: stroke.name || phrase`outline ${i + 1}`,
        kind: stroke.kind,
        path: stroke.path,
        points,
        width: box.right - box.left,
        height: box.bottom - box.top,
        darts: [],
        inner: { darts: [], others: [] },
        notches: [],
      };
    })
    .filter((o) => Math.max(o.height, o.width) >= LEAST_HEIGHT && Math.min(o.height, o.width) >= LEAST_HEIGHT / 2)
    .sort((a, b) => Math.abs(polygonArea(b.points)) - Math.abs(polygonArea(a.points)));
  if (found.length === 0) {
    throw new CannotBringIn(
      "No closed outline of a panel was found. Each panel must be one closed line, or lines that meet end to end, at least 15 cm tall.",
    );
  }
  if (found.some((o) => Math.max(o.height, o.width) > 4000)) {
    throw new CannotBringIn("The drawing is more than 4 metres large in this unit. Choose the unit it was drawn in.");
  }
  const darts = scaled.filter((s) => s.kind === "dart").map((s) => pathFlatten(s.path, 1));
  const notches = (drawing.notches ?? []).map((p) => pointScale(p, unitMm));
  const open = scaled.filter((s) => s.kind !== "dart" && pointDistance(pathStart(s.path), pathEnd(s.path)) > JOIN);
  return found.map((outline) => ({
    ...outline,
    inner: innerLines(open, outline.path, (p) => inside(outline, p)),
    notches: notches.filter((p) => pathNearest(outline.path, p).distance < NOTCH_NEAR),
    darts: darts
      .filter((d) => d.length === 3 && inside(outline, d[1] as Point))
      .map((d) => [d[0], d[1], d[2]] as [Point, Point, Point]),
  }));
}
