import { edgesWithRole, isOf, landmarkOf, panelById, refPath, refsLength, type Join, type Panel } from "../drafting";
import type { ResolvedFinish } from "../finish";
import { angleFromTo, pathAt, pathEndTangent, pathLength, pathNearest, type Path } from "../geometry";
import { plain, quantity, toDegrees, type Mm, type Quantity } from "../units";

/** The zip against the seam it is sewn into, the centre back or the left side. Lengths run down from the sewn waist. */
export interface ZipPlan {
  readonly at: "centre-back" | "side";
  readonly length: Quantity;
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
  let [low, high] = [0, whole];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (turnAt(middle) <= MOST_TURN_DEGREES) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Plans the zip. Left `auto` it ends at the hip line, or where the crotch begins to turn if that comes first, but is
 * never so short that the opened waist would not pass the hip. Null without a zip, and where the centre back is cut or
 * lies on a fold, so that none can be set in.
 */
export function planZip(
  panels: readonly Panel[],
  joins: readonly Join[],
  waistGirth: Mm,
  hip: Quantity,
  finish: ResolvedFinish,
): ZipPlan | null {
  if (finish.zip?.at === "side") return sideZip(panels, joins, waistGirth, hip, finish.zip.length);
  const back = panels.find(
    (p) => isOf(p.id, "back") && p.landmarks.waistCentre && p.landmarks.crotchPoint && p.landmarks.hipCentre,
  );
  const crotch = back && edgesWithRole(back, "crotch")[0]?.path;
  if (!finish.zip || !back || !crotch) return null;
  const hipAlong = pathLength(crotch) - pathNearest(crotch, landmarkOf(back, "hipCentre")).along;
  const smoothAlong = smoothLength(crotch);
  if (finish.zip.length !== "auto") return { at: "centre-back", length: finish.zip.length, hipAlong, smoothAlong };
  const needed = (hip.mm + 20 - waistGirth) / 2;
  const length = Math.min(Math.max(needed, Math.min(hipAlong, smoothAlong)), pathLength(crotch) * 0.9);
  const why =
    needed > Math.min(hipAlong, smoothAlong)
      ? `(hip ${plain(hip.mm)} + 20 - waist ${plain(waistGirth)}) / 2, so that the hip passes`
      : hipAlong <= smoothAlong
        ? "to the hip line"
        : "to where the crotch begins to turn, just above the hip line";
  return { at: "centre-back", length: quantity(length, why, { hip }), hipAlong, smoothAlong };
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
  if (!side) return null;
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
  if (asked !== "auto") return { at: "side", length: asked, hipAlong, smoothAlong };
  const needed = (hip.mm + 20 - waistGirth) / 2;
  const length = Math.min(smoothAlong, Math.max(needed, Math.min(hipAlong, whole * 0.5)));
  const why =
    needed > hipAlong
      ? `(hip ${plain(hip.mm)} + 20 - waist ${plain(waistGirth)}) / 2, so that the hip passes`
      : "down the left side to the hip line";
  return { at: "side", length: quantity(length, why, { hip }), hipAlong, smoothAlong };
}
