import { pointRotate, pointSubtract, type Point } from "../../geometry";
import type { OutlineKind } from "../../tracing";
import type { OwnLandmark, OwnPanelLandmarks } from "./schema";

export type OwnEdgeId = "waist" | "side" | "hem" | "inseam" | "crotch";

/** The outline of half a leg, from the waist at the centre to the side, down, across and up again. */
export const LEG_OUTLINE: OutlineKind<OwnEdgeId, OwnLandmark> = {
  corners: [
    ["waist", "waistCentre", "waistSide"],
    ["side", "waistSide", "hemSide"],
    ["hem", "hemSide", "hemInseam"],
    ["inseam", "hemInseam", "crotchPoint"],
    ["crotch", "crotchPoint", "waistCentre"],
  ],
  onEdges: [
    ["hipSide", "side"],
    ["kneeSide", "side"],
    ["kneeInseam", "inseam"],
  ],
  words: {
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
  },
  walk: "Walk from the waist at the centre to the side, down to the hem, across, and up the inseam.",
};

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
