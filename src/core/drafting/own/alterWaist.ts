import type { Edge, PanelLine } from "../../pattern";
import {
  line,
  pathBent,
  pathEnd,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pointAdd,
  pointDistance,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../../geometry";
import { type Mm } from "../../units";
import type { OwnPanel } from "../plan";
import { lengthened } from "./drawOwn";
import { between, eased, refuseBeyond } from "./runOut";

/**
 * What can be changed of the waist of a panel that was brought in, each where it is asked for and nowhere else. Panels are
 * in the frame of the draft: the centre to the left, the side to the right, y down from the waist.
 */

/** A path carried by the turn and stretch that bring its ends to two other places. */
function carried(path: Path, from: Point, to: Point): Path {
  const [a, b] = [pathStart(path), pathEnd(path)];
  const [old, now] = [pointSubtract(b, a), pointSubtract(to, from)];
  const size = old[0] * old[0] + old[1] * old[1] || 1;
  const [re, im] = [(now[0] * old[0] + now[1] * old[1]) / size, (now[1] * old[0] - now[0] * old[1]) / size];
  return pathMap(path, (p) => {
    const [x, y] = pointSubtract(p, a);
    return [from[0] + re * x - im * y, from[1] + im * x + re * y];
  });
}

/** A dart that a lowered waist leaves shorter than this is gone. */
const LEAST_DART_LENGTH: Mm = 25;

/** The waist cut lower by an amount along the centre and the side: its line keeps its shape, darts their tips. */
export function loweredWaist(panel: OwnPanel, by: Mm): OwnPanel {
  const crotch = lengthened(panel.crotch, 0 - by);
  const side = pathReverse(lengthened(pathReverse(panel.side), 0 - by));
  const [centre, end] = [pathEnd(crotch), pathStart(side)];
  const along = (from: Point, to: Point): Point => {
    const size = pointDistance(from, to);
    return [from[0] + ((to[0] - from[0]) * by) / size, from[1] + ((to[1] - from[1]) * by) / size];
  };
  const darts = panel.dartLines
    .filter(({ points: [from, tip] }) => pointDistance(from as Point, tip as Point) > by + LEAST_DART_LENGTH)
    .map(({ points }) => {
      const [from, tip, to] = points as readonly [Point, Point, Point];
      return { was: from, from: along(from, tip), tip, to: along(to, tip) };
    });
  let at = centre;
  const waist = panel.waist.map((edge, i): Edge => {
    const dart =
      edge.role === "dart" ? darts.find((d) => pointDistance(d.was, pathStart(edge.path)) < 0.01) : undefined;
    const next = panel.waist[i + 1];
    const following =
      next?.role === "dart" ? darts.find((d) => pointDistance(d.was, pathStart(next.path)) < 0.01) : undefined;
    const old = pathEnd(edge.path);
    // A dart that is gone leaves a stretch of waist where its mouth was.
    const to = dart?.to ?? following?.from ?? (next ? [old[0], old[1] + by] : end);
    const path = carried(edge.path, at, to as Point);
    at = to as Point;
    return edge.role === "dart" && !dart ? { ...edge, role: "waist", name: "waist", path } : { ...edge, path };
  });
  return {
    ...panel,
    waist,
    dartLines: darts.map(({ from, tip, to }) => ({ kind: "dart" as const, points: [from, tip, to] })),
    side,
    crotch,
  };
}

/** The waist and its darts moved: each stretch by a map of its own, each dart as a whole by the move at its mouth. */
function withWaist(
  panel: OwnPanel,
  stretch: (path: Path, index: number) => Path,
  dartMoved: (index: number) => Point,
): Pick<OwnPanel, "waist" | "dartLines"> {
  const dartLines: PanelLine[] = [];
  const waist = panel.waist.map((edge, i): Edge => {
    if (edge.role !== "dart") return { ...edge, path: stretch(edge.path, i) };
    const by = dartMoved(i);
    const moved = (p: Point): Point => pointAdd(p, by);
    const own = panel.dartLines[dartLines.length];
    if (own) dartLines.push({ ...own, points: own.points.map(moved) });
    return { ...edge, path: pathMap(edge.path, moved) };
  });
  return { waist, dartLines };
}

/** The centre's upper end moved: a straight centre stays straight, a curved one is bent to nothing at `low`. */
function centreMoved(crotch: Path, by: Point, low: Mm): Path {
  const last = crotch.at(-1);
  if (last?.kind === "line") return [...crotch.slice(0, -1), line(last.points[0], pointAdd(last.points[1], by))];
  const top = pathEnd(crotch)[1];
  return pathBent(crotch, (p) => pointAdd(p, pointScale(by, 1 - eased(between(p[1], top, low)))));
}

/** The waist set higher by an amount, with its darts: opened all across between waist and hip. */
function openedBelowWaist(panel: OwnPanel, by: Mm): OwnPanel {
  const [top, hip] = [pathStart(panel.side)[1], panel.hip[1]];
  const up: Point = [0, 0 - by];
  return {
    ...panel,
    side: pathBent(panel.side, (p) => [p[0], p[1] - by * (1 - eased(between(p[1], top, hip)))]),
    crotch: centreMoved(panel.crotch, up, hip),
    ...withWaist(
      panel,
      (path) => pathMap(path, (p) => pointAdd(p, up)),
      () => up,
    ),
  };
}

/** A waist stays so far above the hip. */
const LEAST_ABOVE_HIP: Mm = 30;

/** The waist line higher (or lower). */
export function raisedWaist(panel: OwnPanel, by: Mm): OwnPanel {
  if (by > 0) return openedBelowWaist(panel, by);
  const above = panel.hip[1] - pathStart(panel.side)[1];
  refuseBeyond(by, LEAST_ABOVE_HIP - above, "The waist of the block would lie at the hip");
  return loweredWaist(panel, 0 - by);
}

/** How far along a stretch a place is, from its start to its end. */
function shareOf(path: Path, p: Point): number {
  const [a, b] = [pathStart(path), pathEnd(path)];
  const along = pointSubtract(b, a);
  const size = along[0] * along[0] + along[1] * along[1];
  return size === 0 ? 0 : ((p[0] - a[0]) * along[0] + (p[1] - a[1]) * along[1]) / size;
}

/** The centre higher (or lower) at the waist, along its own line; to nothing at the side. Waist and darts stay as wide. */
export function raisedCentre(panel: OwnPanel, by: Mm): OwnPanel {
  const crotch = lengthened(panel.crotch, by);
  const up = pointSubtract(pathEnd(crotch), pathEnd(panel.crotch));
  const sewn = panel.waist.filter((edge) => edge.role !== "dart");
  const whole = sewn.reduce((sum, edge) => sum + pathLength(edge.path), 0);
  /** How much of the sewn waist lies before a stretch: a dart's mouth, closed, takes none of it. */
  const before = (index: number): number =>
    panel.waist.slice(0, index).reduce((sum, e) => sum + (e.role === "dart" ? 0 : pathLength(e.path)), 0) / whole;
  const lift = (u: number): Point => pointScale(up, 1 - eased(Math.min(1, Math.max(0, u))));
  return {
    ...panel,
    crotch,
    ...withWaist(
      panel,
      (path, i) => {
        const [from, share] = [before(i), pathLength(path) / whole];
        return pathBent(path, (p) => pointAdd(p, lift(from + share * shareOf(path, p))));
      },
      (i) => lift(before(i)),
    ),
  };
}

/** The centre further in (or out) at the waist, to nothing where the curve begins. */
export function centreIn(panel: OwnPanel, by: Mm): OwnPanel {
  const first = panel.waist.findIndex((edge) => edge.role !== "dart");
  return {
    ...panel,
    crotch: centreMoved(panel.crotch, [by, 0], panel.hip[1]),
    ...withWaist(
      panel,
      (path, i) => (i === first ? pathMap(path, (p) => [p[0] + by * (1 - shareOf(path, p)), p[1]]) : path),
      () => [0, 0],
    ),
  };
}

/** The waist wider (or narrower) at the side, to nothing at the hip. */
export function sideOutAtWaist(panel: OwnPanel, by: Mm): OwnPanel {
  const [top, hip] = [pathStart(panel.side)[1], panel.hip[1]];
  const last = panel.waist.findLastIndex((edge) => edge.role !== "dart");
  return {
    ...panel,
    side: pathBent(panel.side, (p) => [p[0] + by * (1 - eased(between(p[1], top, hip))), p[1]]),
    ...withWaist(
      panel,
      (path, i) => (i === last ? pathMap(path, (p) => [p[0] + by * shareOf(path, p), p[1]]) : path),
      () => [0, 0],
    ),
  };
}

/** No dart is made narrower than this. */
const LEAST_MOUTH: Mm = 3;

/** Every waist dart wider (or narrower) at its mouth, as much to either side; its tip stays. */
export function widenedDarts(panel: OwnPanel, by: Mm): OwnPanel {
  const mouths = panel.waist.map((edge) => {
    if (edge.role !== "dart") return null;
    const [from, to] = [pathStart(edge.path), pathEnd(edge.path)];
    refuseBeyond(by, LEAST_MOUTH - pointDistance(from, to), "A dart of the block would be gone");
    const out = pointScale(pointUnit(pointSubtract(to, from)), by / 2);
    return { from: pointSubtract(from, out), to: pointAdd(to, out) };
  });
  const dartLines: PanelLine[] = [];
  const waist = panel.waist.map((edge, i): Edge => {
    const own = mouths[i];
    const from = own?.from ?? mouths[i - 1]?.to ?? pathStart(edge.path);
    const to = own?.to ?? mouths[i + 1]?.from ?? pathEnd(edge.path);
    const drawn = panel.dartLines[dartLines.length];
    if (own && drawn) dartLines.push({ ...drawn, points: [from, drawn.points[1] as Point, to] });
    return { ...edge, path: carried(edge.path, from, to) };
  });
  return { ...panel, waist, dartLines };
}
