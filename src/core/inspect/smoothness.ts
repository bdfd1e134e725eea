import { panelById, panelOutline, type Edge, type EdgeRef, type EdgeRole, type Panel } from "../pattern";
import { angleFromTo, pathEndTangent, pathStart, pathStartTangent, polygonArea, type Point } from "../geometry";
import type { Seam } from "../pieces";
import { toDegrees, say, angle, type Sentence, inside } from "../units";
import { byLimits, verdict, type Check, type CheckRule, type CheckStatus } from "./check";

/** What bounds the panel beside the start of a walked edge, and the angle inside the panel there, in degrees. */
interface Corner {
  readonly beside: Edge;
  readonly inside: number;
  readonly point: Point;
}

function cornerAt(panels: readonly Panel[], ref: EdgeRef, end: "start" | "end"): Corner {
  const panel = panelById(panels, ref.panel);
  const { edges } = panel;
  const i = edges.findIndex((edge) => edge.id === ref.edge);
  // The corner lies before the edge where its walk starts along the outline, or ends against it.
  const before = (end === "start") !== ref.reversed;
  const [arriving, leaving] = before
    ? [edges[(i + edges.length - 1) % edges.length] as Edge, edges[i] as Edge]
    : [edges[i] as Edge, edges[(i + 1) % edges.length] as Edge];
  const orientation = Math.sign(polygonArea(panelOutline(panel)));
  const turn = toDegrees(angleFromTo(pathEndTangent(arriving.path), pathStartTangent(leaving.path)));
  return { beside: before ? arriving : leaving, inside: 180 - orientation * turn, point: pathStart(leaving.path) };
}

interface Joint {
  readonly deviation: number;
  readonly panel: string;
  readonly point: Point;
  readonly place: Sentence;
}

/** Every place where a seam brings two edges of a role end to end, with how far the joined edge is from straight. */
function jointsOf(panels: readonly Panel[], seams: readonly Seam[], role: EdgeRole): readonly Joint[] {
  return seams.flatMap((seam) =>
    (["start", "end"] as const).flatMap((end): Joint[] => {
      const [a, b] = [seam.walkA, seam.walkB].map((walk) => walk.at(end === "start" ? 0 : -1)) as [EdgeRef, EdgeRef];
      const [first, second] = [cornerAt(panels, a, end), cornerAt(panels, b, end)];
      if (first.beside.role !== role || second.beside.role !== role) return [];
      const deviation = first.inside + second.inside - 180;
      return [{ deviation, panel: a.panel, point: first.point, place: say`the ${inside(seam.label)}` }];
    }),
  );
}

const worstOf = (joints: readonly Joint[]): Joint | null =>
  joints.reduce<Joint | null>((a, b) => (!a || Math.abs(b.deviation) > Math.abs(a.deviation) ? b : a), null);

function report(rule: CheckRule, joint: Joint, status: CheckStatus, limit: number, fix: Sentence): Check {
  const { deviation } = joint;
  return verdict(rule, {
    status,
    value: deviation,
    limit,
    unit: "degrees",
    message:
      Math.abs(deviation) < 0.05
        ? say`The joined edge runs straight on.`
        : say`At ${joint.place} the joined edge ${deviation > 0 ? "dips" : "peaks"} by ${angle(Math.abs(deviation))}.`,
    where: { panel: joint.panel, point: joint.point },
    fix,
  });
}

/** The waist across the side seam and the centres. */
export const smoothWaist: CheckRule = {
  id: "smooth-waist",
  label: "Waist runs on",
  note: "Joined at side and centres, the waist runs on without peak or dip.",
  measure({ legs, legSeams }) {
    // A waist that is a V is meant to come to a point at its centres.
    const isPointed = legs.some((panel) => panel.worn?.pointed);
    const joint = worstOf(jointsOf(legs, isPointed ? legSeams.filter((s) => s.kind !== "centre") : legSeams, "waist"));
    return (
      joint &&
      report(
        this,
        joint,
        byLimits(joint.deviation, 2, 6),
        2,
        say`Redraw the waist with the darts closed, square at the centre.`,
      )
    );
  },
};

/** The hem across side seam and inseam. Small steps of tapered hems pass. */
export const smoothHem: CheckRule = {
  id: "smooth-hem",
  label: "Hem runs on",
  note: "Joined at its seams, the hem runs on without peak or dip.",
  measure({ legs, legSeams }) {
    const joint = worstOf(jointsOf(legs, legSeams, "hem"));
    if (!joint) return null;
    // A tapered hem meets in a shallow peak; what matters is the step over 60 mm of hem.
    const step = 60 * Math.tan((Math.abs(joint.deviation) * Math.PI) / 360);
    const status = joint.deviation > 0 && step < 3 ? "pass" : byLimits(joint.deviation, 2, 6);
    return report(this, joint, status, 2, say`True the hem square to both seams.`);
  },
};

/** The crotch seam across the inseam. */
export const smoothCrotch: CheckRule = {
  id: "smooth-crotch",
  label: "Crotch runs on",
  note: "Joined at the inseam, the crotch seam runs on without peak or dip.",
  measure({ legs, legSeams }) {
    const joint = worstOf(jointsOf(legs, legSeams, "crotch"));
    return (
      joint &&
      report(this, joint, byLimits(joint.deviation, 3, 8), 3, say`Draw both crotch curves square to the inseam.`)
    );
  },
};
