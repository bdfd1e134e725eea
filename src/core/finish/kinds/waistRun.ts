import { type Words, say } from "../../units";
import { isOf, walkedBack, waistWalk, type EdgeRef, panelById } from "../../pattern";
import type { Garment } from "../garment";
import type { OpensAt } from "../define";

export const CENTRE_FRONT = "centre front";

/** A stretch of the waist between two places where a band can end: its edges in the order they are sewn. */
export interface WaistStretch {
  readonly id: string;
  readonly name: Words;
  /** What lies at its start and at its end. */
  readonly from: string;
  readonly to: string;
  readonly leg: "left" | "right";
  readonly refs: readonly EdgeRef[];
}

/**
 * The sewn waist from one side of the opening right round to the other. Closed round at the centre back where the
 * garment does not open; at the left side seam where it opens there.
 */
export function waistRun(garment: Garment, opens: OpensAt): readonly WaistStretch[] {
  const right = waistWalk(garment, "right");
  const left = waistWalk(garment, "left");
  const half = (leg: "left" | "right", refs: readonly EdgeRef[], from: string, to: string): WaistStretch => ({
    id: leg,
    name: say`${leg} half`,
    from,
    to,
    leg,
    refs,
  });
  const [front, behind, side] = [CENTRE_FRONT, "centre back", "left side"] as const;
  switch (opens) {
    case "centre-front":
      return [half("left", walkedBack(left), front, behind), half("right", right, behind, front)];
    case "side": {
      const isBack = (ref: EdgeRef): boolean => isOf(panelById(garment.panels, ref.panel), "back");
      const [backs, fronts] = [left.filter(isBack), left.filter((ref) => !isBack(ref))];
      const stretches: readonly WaistStretch[] = [
        { id: "left-back", name: "left back", leg: "left", refs: walkedBack(backs), from: side, to: behind },
        half("right", right, behind, front),
        { id: "left-front", name: "left front", leg: "left", refs: walkedBack(fronts), from: front, to: side },
      ];
      // A yoke in one piece goes round the side: all of the waist is the back's then.
      return stretches.filter((s) => s.refs.length > 0);
    }
    default:
      return [half("right", right, behind, front), half("left", walkedBack(left), front, behind)];
  }
}
