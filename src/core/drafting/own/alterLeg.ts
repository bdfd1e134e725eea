import {
  cubic,
  pathBent,
  pathMap,
  pathStart,
  pointAdd,
  pointBetween,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../../geometry";
import { type Mm } from "../../units";
import type { Levels, OwnPanel } from "../plan";
import { curveStartOf, ownCrotchTo } from "./drawOwn";
import { between, eased, refuseBeyond } from "./runOut";

/** What can be changed of side, crotch and inseam of a panel that was brought in, in the frame of the draft. */

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
