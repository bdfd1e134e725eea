import type { Edge, PanelLine } from "../../pattern";
import {
  cubic,
  line,
  pathBent,
  pathBetween,
  pathEnd,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pointAdd,
  pointBetween,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../../geometry";
import { Refusal, say, type Mm } from "../../units";
import type { Levels, OwnPanel } from "../plan";
import { curveStartOf, lengthened, ownCrotchTo } from "./drawOwn";

/**
 * What can be changed of a panel that was brought in, each where it is asked for and nowhere else. Panels are in the
 * frame of the draft: the centre to the left, the side to the right, y down from the waist.
 */

/** How far a level lies between two others: 0 at the upper one and above, 1 at the lower one and below. */
export const between = (y: Mm, upper: Mm, lower: Mm): number => Math.min(1, Math.max(0, (y - upper) / (lower - upper)));

/** From 0 to 1 without a corner at either end. */
const eased = (t: number): number => t * t * (3 - 2 * t);

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

/** Refuses what a panel cannot give, with the most that it can. */
function refuseBeyond(by: Mm, least: Mm, what: string): void {
  if (by < least - 1e-9)
    throw new Refusal("fittings", say`${what}: it can be ${0 - Math.min(0, least)} less at the most.`, { least });
}

/** The crotch lower (or higher): the centre above the curve is drawn out, the inseam is taken in as much above the knee. */
export function loweredCrotch(panel: OwnPanel, by: Mm, { hip, knee }: Levels): OwnPanel {
  // The back's crotch point may lie lower than the front's: each is measured from its own.
  const point = pathStart(panel.inseamDown)[1];
  const inseamDown = pathMap(panel.inseamDown, (p) => [p[0], p[1] + by * (1 - between(p[1], point, knee))]);
  const turned = { ...panel, crotch: ownCrotchTo(panel, inseamDown) };
  return {
    ...turned,
    // The curve itself comes down as it is; the centre line above it is drawn out.
    crotch: pathMap(turned.crotch, (p) => [p[0], p[1] + by * between(p[1], 0.4 * hip, 0.85 * hip)]),
    inseamDown,
  };
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

/** The side further out (or in) from hip to crotch, to nothing at waist and knee. */
export function sideOutAtHip(panel: OwnPanel, by: Mm, { crotch, knee }: Levels): OwnPanel {
  const [top, hip] = [pathStart(panel.side)[1], panel.hip[1]];
  const share = (y: Mm): number => (y <= hip ? eased(between(y, top, hip)) : 1 - eased(between(y, crotch, knee)));
  const moved = (p: Point): Point => [p[0] + by * share(p[1]), p[1]];
  return { ...panel, side: pathBent(panel.side, moved), hip: moved(panel.hip) };
}

/** No extension is made shorter than this. */
const LEAST_EXTENSION: Mm = 15;

/** The one curve between crotch point and a straight centre, where the crotch is drawn so; null where it is of several. */
function oneCurve([first, centre]: Path): readonly [Point, Point, Point, Point] | null {
  return first?.kind === "cubic" && centre?.kind === "line" ? first.points : null;
}

/** How far a place of the crotch curve lies out from where the curve begins, as a share of the extension. */
function outOnCurve(crotch: Path): (p: Point) => number {
  const [point, begins] = [pathStart(crotch), curveStartOf(crotch)];
  return (p) => (p[1] < begins[1] ? 0 : Math.min(1, Math.max(0, (begins[0] - p[0]) / (begins[0] - point[0]))));
}

/** The crotch point further out (or in): the curve to nothing where it begins, the inseam to nothing at the knee. */
export function extended(panel: OwnPanel, by: Mm, { knee }: Levels): OwnPanel {
  const point = pathStart(panel.inseamDown);
  const extension = curveStartOf(panel.crotch)[0] - point[0];
  refuseBeyond(by, LEAST_EXTENSION - extension, "The crotch point of the block would lie on its centre");
  const inseamDown = pathBent(panel.inseamDown, (p) => [p[0] - by * (1 - eased(between(p[1], point[1], knee))), p[1]]);
  const curve = oneCurve(panel.crotch);
  if (curve) {
    // It leaves the crotch point as it did, by a handle as much longer as the extension is.
    const [a, b, c, d] = curve;
    const moved: Point = [a[0] - by, a[1]];
    const handle = pointScale(pointSubtract(b, a), (extension + by) / extension);
    return { ...panel, inseamDown, crotch: [cubic(moved, pointAdd(moved, handle), c, d), ...panel.crotch.slice(1)] };
  }
  const out = outOnCurve(panel.crotch);
  return { ...panel, inseamDown, crotch: pathBent(panel.crotch, (p) => [p[0] - by * eased(out(p)), p[1]]) };
}

/** The crotch curve nearer to its corner (or further from it) in the middle of its way; its ends stay. */
export function scooped(panel: OwnPanel, by: Mm): OwnPanel {
  const { crotch } = panel;
  const [point, begins] = [pathStart(crotch), curveStartOf(crotch)];
  const toCorner = pointUnit(pointSubtract([begins[0], point[1]], pointBetween(point, begins, 0.5)));
  const curve = oneCurve(crotch);
  if (curve) {
    // Longer handles bring its middle nearer to the corner and leave both directions as they are.
    const [a, b, c, d] = curve;
    const [near, far] = [pointSubtract(b, a), pointSubtract(c, d)];
    const longer = 1 + by / (0.375 * pointDot(pointAdd(near, far), toCorner));
    return {
      ...panel,
      crotch: [
        cubic(a, pointAdd(a, pointScale(near, longer)), pointAdd(d, pointScale(far, longer)), d),
        ...crotch.slice(1),
      ],
    };
  }
  const out = outOnCurve(crotch);
  const share = (t: number): number => 16 * t * t * (1 - t) * (1 - t);
  return { ...panel, crotch: pathBent(crotch, (p) => pointAdd(p, pointScale(toCorner, by * share(out(p))))) };
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

/** Moves the start of a path and its handle to another place, so that it runs on without changing elsewhere. */
export function startMoved(path: Path, by: Point): Path {
  const [first, ...rest] = path as [Path[number], ...Path];
  const [a, b] = first.points;
  const moved =
    first.kind === "line"
      ? line(pointAdd(a, by), b)
      : { ...first, points: [pointAdd(a, by), pointAdd(b, by), first.points[2], first.points[3]] as const };
  return [moved, ...rest];
}

/** The inseam longer (or shorter) at the crotch point, which moves along it; the crotch curve goes with it. */
export function longerInseam(panel: OwnPanel, by: Mm): OwnPanel {
  const { inseamDown, crotch } = panel;
  const moved = by < 0 ? pathBetween(inseamDown, 0 - by, pathLength(inseamDown)) : startMoved(inseamDown, [0, 0 - by]);
  return {
    ...panel,
    inseamDown: moved,
    crotch: startMoved(crotch, pointSubtract(pathStart(moved), pathStart(inseamDown))),
  };
}

/** The side longer (or shorter) at the waist; the end of the waist goes with it. */
export function longerSide(panel: OwnPanel, by: Mm): OwnPanel {
  const side = by < 0 ? pathBetween(panel.side, 0 - by, pathLength(panel.side)) : startMoved(panel.side, [0, 0 - by]);
  const moved = pointSubtract(pathStart(side), pathStart(panel.side));
  const waist = panel.waist.map((edge, i) =>
    i === panel.waist.length - 1 ? { ...edge, path: pathReverse(startMoved(pathReverse(edge.path), moved)) } : edge,
  );
  return { ...panel, side, waist };
}

interface Halves {
  readonly front: OwnPanel;
  readonly back: OwnPanel;
}

const longer = ({ front, back }: Halves, seam: "side" | "inseamDown"): Mm =>
  pathLength(back[seam]) - pathLength(front[seam]);

/** A seam that is bent where it is lengthened comes out a little off: it is walked again until it agrees. */
const WALKS = 40;

/**
 * Front and back after an alteration, with what their seams differed by before: one of the two yields at the crotch point
 * and at the waist's end of the side.
 */
export function walked(was: Halves, is: Halves, yields: "front" | "back" = "back"): Halves {
  const way = yields === "back" ? 1 : -1;
  let now = is;
  for (let i = 0; i < WALKS; i++) {
    const owed = (seam: "side" | "inseamDown"): Mm => way * (longer(was, seam) - longer(now, seam));
    const [inseam, side] = [owed("inseamDown"), owed("side")];
    if (Math.abs(inseam) < EXACT && Math.abs(side) < EXACT) break;
    const withInseam = Math.abs(inseam) < EXACT ? now[yields] : longerInseam(now[yields], inseam);
    now = { ...now, [yields]: Math.abs(side) < EXACT ? withInseam : longerSide(withInseam, side) };
  }
  return now;
}
const EXACT: Mm = 1e-6;
