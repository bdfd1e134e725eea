import {
  isBodice,
  panelById,
  refPath,
  refsLength,
  rimOf,
  edgeOf,
  type Edge,
  type EdgeRef,
  type Join,
  type Panel,
} from "../pattern";
import { opensAt, zipOf, type ResolvedFinish } from "../finish";
import { solveRising, angleFromTo, pathAt, pathEndTangent, pathLength, pathNearest, type Path } from "../geometry";
import { quantity, toDegrees, type Mm, type Quantity, say } from "../units";

/** The zip against the seam it is sewn into: a centre or the left side. Lengths run down from the sewn waist. */
export interface ZipPlan {
  readonly at: "centre-back" | "centre-front" | "side";
  readonly length: Quantity;
  /** How far the same seam goes on above the waist, where the opening runs through to the neck. */
  readonly above: Mm;
  /** To the hip line. */
  readonly hipAlong: Mm;
  /** To where the seam has turned 15 degrees away from the centre line. */
  readonly smoothAlong: Mm;
}

const MOST_TURN_DEGREES = 15;

function smoothLength(crotch: Path): Mm {
  const whole = pathLength(crotch);
  const top = pathEndTangent(crotch);
  const turnAt = (down: Mm): number => Math.abs(toDegrees(angleFromTo(pathAt(crotch, whole - down).tangent, top)));
  return turnAt(whole) <= MOST_TURN_DEGREES ? whole : solveRising(turnAt, MOST_TURN_DEGREES, 0, whole);
}

/**
 * Plans the zip. Left `auto` it ends at the hip line, or where the crotch begins to turn if that comes first, but is
 * never so short that the opened waist would not pass the hip. Null without a zip, and where the centre back is cut or
 * lies on a fold, so that none can be set in. A fly is planned the same way down the centre front.
 */
export function planZip(
  panels: readonly Panel[],
  joins: readonly Join[],
  waistGirth: Mm,
  hip: Quantity,
  finish: ResolvedFinish,
): ZipPlan | null {
  const [asked, at] = [zipOf(finish), opensAt(finish)];
  if (asked === null || at === "none") return null;
  if (at === "side") return sideZip(panels, joins, waistGirth, hip, asked);
  const root = at === "centre-front" ? "front" : "back";
  const centre = centreOf(panels, joins, root);
  if (!centre) return null;
  const { whole, hipAlong, smoothAlong } = centre;
  const above = centreAbove(panels, joins, root);
  if (asked !== "auto") return { at, length: asked, above, hipAlong, smoothAlong };
  const needed = (hip.mm + 20 - waistGirth) / 2;
  const length = Math.min(Math.max(needed, Math.min(hipAlong, smoothAlong)), whole * 0.9);
  const why =
    needed > Math.min(hipAlong, smoothAlong)
      ? say`(hip ${hip.mm} + ${20} - waist ${waistGirth}) / 2, so that the hip passes`
      : hipAlong <= smoothAlong
        ? "to the hip line"
        : "to where the crotch begins to turn, just above the hip line";
  return { at, length: quantity(length, why, { hip }), above, hipAlong, smoothAlong };
}

/** Length of the centre seam above the waist: that of the bodice, which the opening runs through. */
function centreAbove(panels: readonly Panel[], joins: readonly Join[], root: "front" | "back"): Mm {
  const refs = joins.filter((j) => j.kind === "centre" && j.root === root && j.leg !== "left").flatMap((j) => j.a);
  return refsLength(
    panels,
    refs.filter((ref) => isBodice(panelById(panels, ref.panel))),
  );
}

/** True where a seam's uppermost edge begins at the waist: no yoke in one piece, no placket lies above it. */
function reachesWaist(panels: readonly Panel[], top: EdgeRef | undefined): boolean {
  if (!top) return false;
  const panel = panelById(panels, top.panel);
  const at = panel.edges.indexOf(edgeOf(panel, top.edge));
  const n = panel.edges.length;
  return [at + 1, at + n - 1].some((i) => rimOf(panel.edges[i % n] as Edge) === "waist");
}

/**
 * The centre seam of front or back from the sewn waist down, through a yoke where one was cut; null where it lies on a
 * fold or does not reach from the waist to the hip.
 */
export function centreOf(
  panels: readonly Panel[],
  joins: readonly Join[],
  root: "front" | "back",
): { readonly whole: Mm; readonly hipAlong: Mm; readonly smoothAlong: Mm } | null {
  const join = joins.find((j) => j.kind === "centre" && j.root === root && j.leg !== "left");
  const down = [...(join?.a ?? [])].reverse();
  if (!reachesWaist(panels, down[0])) return null;
  let above = 0;
  for (const ref of down) {
    const { landmarks } = panelById(panels, ref.panel);
    const path = refPath(panels, ref);
    const length = pathLength(path);
    if (landmarks.hipCentre && landmarks.crotchPoint) {
      const hipAlong = above + length - pathNearest(path, landmarks.hipCentre).along;
      return { whole: above + length, hipAlong, smoothAlong: above + smoothLength(path) };
    }
    above += length;
  }
  return null;
}

/** Down the left side: to the hip line, or as far as it takes that the hip passes. The side has no turn to run into. */
function sideZip(
  panels: readonly Panel[],
  joins: readonly Join[],
  waistGirth: Mm,
  hip: Quantity,
  asked: Quantity | "auto",
): ZipPlan | null {
  const side = joins.find((join) => join.kind === "side" && join.leg !== "right");
  if (!side || !reachesWaist(panels, side.a[0])) return null;
  const whole = refsLength(panels, side.a);
  let [before, hipAlong] = [0, whole];
  for (const ref of side.a) {
    const { landmarks } = panelById(panels, ref.panel);
    const path = refPath(panels, ref);
    if (landmarks.hipSide) {
      hipAlong = before + pathNearest(path, landmarks.hipSide).along;
      break;
    }
    before += pathLength(path);
  }
  const smoothAlong = whole * 0.8;
  if (asked !== "auto") return { at: "side", length: asked, above: 0, hipAlong, smoothAlong };
  const needed = (hip.mm + 20 - waistGirth) / 2;
  const length = Math.min(smoothAlong, Math.max(needed, Math.min(hipAlong, whole * 0.5)));
  const why =
    needed > hipAlong
      ? say`(hip ${hip.mm} + ${20} - waist ${waistGirth}) / 2, so that the hip passes`
      : "down the left side to the hip line";
  return { at: "side", length: quantity(length, why, { hip }), above: 0, hipAlong, smoothAlong };
}
