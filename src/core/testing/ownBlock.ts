import type { OwnBlock } from "../drafting";
import { outlineData } from "../tracing";
import { panelPath, type Panel } from "../pattern";
import type { Job } from "../files";
import { HAND_BODY, palazzoJob, shapeOf } from "./jobs";

type OwnPanel = OwnBlock["panels"]["front"];
type Marks = OwnBlock["landmarks"]["front"];

const marksOf = ({ landmarks }: Panel): Marks => {
  const at = (name: string): [number, number] => [...(landmarks[name] as readonly [number, number])];
  return {
    waistCentre: at("waistCentre"),
    waistSide: at("waistSide"),
    hipSide: at("hipSide"),
    crotchPoint: at("crotchPoint"),
    kneeSide: at("kneeSide"),
    kneeInseam: at("kneeInseam"),
    hemSide: at("hemSide"),
    hemInseam: at("hemInseam"),
    creaseTop: at("creaseCrotch"),
    creaseHem: at("creaseHem"),
  };
};

const PLAIN = palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, moves: [] });

/**
 * A drafted block as one that somebody brings in: that of the card whose sums can be done by hand, or of a job without
 * moves.
 */
export function ownBlockOf(
  change: (marks: Marks, which: "front" | "back") => Marks = (marks) => marks,
  drafted: Job = PLAIN,
): OwnBlock {
  const { front, back } = shapeOf(drafted);
  const panel = (p: Panel): OwnPanel => ({
    path: outlineData(panelPath(p)),
    darts: p.lines.filter((l) => l.kind === "dart").map((l) => l.points.map((q) => [...q])) as NonNullable<
      OwnPanel["darts"]
    >,
  });
  return {
    panels: { front: panel(front), back: panel(back) },
    landmarks: { front: change(marksOf(front), "front"), back: change(marksOf(back), "back") },
  };
}

/** A job whose block was brought in, restyled by moves. */
export const ownBlockJob = (own: OwnBlock, moves: Job["moves"] = [], rules: Job["block"]["rules"] = {}): Job =>
  palazzoJob(HAND_BODY, {
    block: { school: "own", rules, own },
    style: { id: "straight", params: {} },
    ...(moves && { moves }),
  });
