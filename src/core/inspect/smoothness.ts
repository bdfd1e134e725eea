import { edgeOf, edgesWithRole, landmarkOf, type Edge, type Panel } from "../drafting";
import { angleFromTo, pathEndTangent, pathStartTangent, type Point } from "../geometry";
import { toDegrees } from "../units";
import { byLimits, verdict, type Check, type CheckRule, type CheckStatus } from "./check";

/** Angle inside the panel between two edges that meet, in degrees; `before` ends where `after` starts. */
export function insideAngle(before: Edge, after: Edge): number {
  const back: Point = pathEndTangent(before.path);
  const turn = Math.abs(toDegrees(angleFromTo(back, pathStartTangent(after.path))));
  return 180 - turn;
}

function cornerOf(panel: Panel, beforeId: string, afterId: string): number {
  return insideAngle(edgeOf(panel, beforeId), edgeOf(panel, afterId));
}

const lastWaist = (panel: Panel): Edge => edgesWithRole(panel, "waist").at(-1) as Edge;
const firstWaist = (panel: Panel): Edge => edgesWithRole(panel, "waist")[0] as Edge;

interface Joint {
  readonly deviation: number;
  readonly panel: string;
  readonly point: Point;
  readonly place: string;
}

const worstOf = (joints: readonly Joint[]): Joint =>
  joints.reduce((a, b) => (Math.abs(b.deviation) > Math.abs(a.deviation) ? b : a));

function report(rule: CheckRule, joint: Joint, status: CheckStatus, limit: number, fix: string): Check {
  const { deviation } = joint;
  return verdict(rule, {
    status,
    value: deviation,
    limit,
    unit: "degrees",
    message:
      Math.abs(deviation) < 0.05
        ? "The joined edge runs straight on."
        : `At ${joint.place} the joined edge ${deviation > 0 ? "dips" : "peaks"} by ${Math.abs(deviation).toFixed(1)} degrees.`,
    where: { panel: joint.panel, point: joint.point },
    fix,
  });
}

/** The waist across the side seam and the centres. */
export const smoothWaist: CheckRule = {
  id: "smooth-waist",
  label: "Waist runs on",
  note: "Joined at side and centres, the waist runs on without peak or dip.",
  measure({ front, back }) {
    const side =
      insideAngle(lastWaist(front), edgeOf(front, "side")) + insideAngle(lastWaist(back), edgeOf(back, "side"));
    const joint = worstOf([
      { deviation: side - 180, panel: "front", point: landmarkOf(front, "waistSide"), place: "the side" },
      ...[front, back].map((panel) => ({
        deviation: 2 * insideAngle(edgeOf(panel, "crotch"), firstWaist(panel)) - 180,
        panel: panel.id,
        point: landmarkOf(panel, "waistCentre"),
        place: `the centre ${panel.id}`,
      })),
    ]);
    return report(
      this,
      joint,
      byLimits(joint.deviation, 2, 6),
      2,
      "Redraw the waist with the darts closed, square at the centre.",
    );
  },
};

/** The hem across side seam and inseam. Small steps of tapered hems pass. */
export const smoothHem: CheckRule = {
  id: "smooth-hem",
  label: "Hem runs on",
  note: "Joined at side and inseam, the hem runs on without peak or dip.",
  measure({ front, back }) {
    const joint = worstOf([
      {
        deviation: cornerOf(front, "side", "hem") + cornerOf(back, "side", "hem") - 180,
        panel: "front",
        point: landmarkOf(front, "hemSide"),
        place: "the side seam",
      },
      {
        deviation: cornerOf(front, "hem", "inseam") + cornerOf(back, "hem", "inseam") - 180,
        panel: "front",
        point: landmarkOf(front, "hemInseam"),
        place: "the inseam",
      },
    ]);
    // A tapered hem meets in a shallow peak; what matters is the step over 60 mm of hem.
    const step = 60 * Math.tan((Math.abs(joint.deviation) * Math.PI) / 360);
    const status = joint.deviation > 0 && step < 3 ? "pass" : byLimits(joint.deviation, 2, 6);
    return report(this, joint, status, 2, "True the hem square to both seams.");
  },
};

/** The crotch seam across the inseam. */
export const smoothCrotch: CheckRule = {
  id: "smooth-crotch",
  label: "Crotch runs on",
  note: "Joined at the inseam, the crotch seam runs on without peak or dip.",
  measure({ front, back }) {
    const angle = cornerOf(front, "inseam", "crotch") + cornerOf(back, "inseam", "crotch");
    const joint = {
      deviation: angle - 180,
      panel: "back",
      point: landmarkOf(back, "crotchPoint"),
      place: "the inseam",
    };
    return report(this, joint, byLimits(joint.deviation, 3, 8), 3, "Draw both crotch curves square to the inseam.");
  },
};
