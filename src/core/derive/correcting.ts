import { changeOf, type Correction, type Fitting, type Symptom } from "../fitting";
import { panelOutline, type Panel } from "../pattern";
import { usualOn } from "../params";
import { tapeOf, type Mm } from "../units";
import { withFitting } from "./changes";
import { outlinesDiffer } from "./outlines";
import { deriveShape, type Shape } from "./shape";
import type { Job } from "../files";

/** A correction as it can be made on this pattern: which of its symptom's it is. */
export interface Cure {
  readonly n: number;
  readonly correction: Correction;
  /** The amount it is tried with, and the most that can be drawn. */
  readonly usual: Mm;
}

const trial = (job: Job, symptom: Symptom, changes: Fitting["changes"]): Job =>
  withFitting(job, { id: "trial", date: "2000-01-01", seen: symptom.id, pinned: "both", words: "", changes });

/** True where two patterns differ anywhere by more than a hundredth of a millimetre. */
export function hasMoved(before: readonly Panel[], after: readonly Panel[]): boolean {
  return (
    before.length !== after.length ||
    before.some((panel) => {
      const now = after.find((p) => p.id === panel.id);
      return !now || outlinesDiffer(panelOutline(panel), panelOutline(now));
    })
  );
}

/** The corrections of a symptom that change this pattern: those of another construction, or of a line it has not, do not. */
export function curesOf(job: Job, shape: Shape, symptom: Symptom): readonly Cure[] {
  const tape = tapeOf(job.body.unit);
  return symptom.cures.flatMap((correction, n): Cure[] => {
    const usual = usualOn(correction.usual, tape);
    const moves = (amount: Mm): boolean => {
      const after = deriveShape(trial(job, symptom, [changeOf(correction, amount)]));
      return after.ok && hasMoved(shape.panels, after.panels);
    };
    // What cannot be drawn by this much, but by a little, is offered all the same: it says how far it goes.
    return moves(usual) || moves(A_LITTLE) ? [{ n, correction, usual }] : [];
  });
}

const A_LITTLE: Mm = 1;
