import { isOf, type Correction, type Fitting, type Symptom } from "../fitting";
import { isBodice, panelOutline, type Panel } from "../pattern";
import { usualOn } from "../params";
import { tapeOf, type Mm } from "../units";
import { deriveShape, type Shape } from "./shape";
import type { Job } from "../files";

/** A correction as it can be made on this pattern. */
export interface Cure {
  readonly correction: Correction;
  /** The amount it is tried with, and the most that can be drawn. */
  readonly usual: Mm;
}

/** The change a correction makes, by an amount. */
export const changeOf = ({ changes, way }: Correction, amount: Mm): Fitting["changes"][number] =>
  "rule" in changes
    ? { rule: changes.rule, by: way * amount }
    : { move: changes.move, param: changes.param, by: way * amount };

/** The job with one more fitting. */
export const withFitting = (job: Job, fitting: Fitting): Job => ({
  ...job,
  fittings: [...(job.fittings ?? []), fitting],
});

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

type Places = readonly (readonly [number, number])[];
/** True where two outlines differ anywhere by more than a hundredth of a millimetre. */
export const outlinesDiffer = (a: Places, b: Places): boolean =>
  a.length !== b.length ||
  a.some(([x, y], i) => Math.abs(x - (b[i]?.[0] ?? 0)) > 0.01 || Math.abs(y - (b[i]?.[1] ?? 0)) > 0.01);

/** The corrections of a symptom that change this pattern: those of another construction, or of a line it has not, do not. */
export function curesOf(job: Job, shape: Shape, symptom: Symptom): readonly Cure[] {
  const tape = tapeOf(job.body.unit);
  return symptom.cures.flatMap((correction): Cure[] => {
    const usual = usualOn(correction.usual, tape);
    const moves = (amount: Mm): boolean => {
      const after = deriveShape(trial(job, symptom, [changeOf(correction, amount)]));
      return after.ok && hasMoved(shape.panels, after.panels);
    };
    // What cannot be drawn by this much, but by a little, is offered all the same: it says how far it goes.
    return moves(usual) || moves(A_LITTLE) ? [{ correction, usual }] : [];
  });
}

const A_LITTLE: Mm = 1;

/** Symptoms that can be seen on a garment, nearest first where a place on a panel was pressed. */
export function symptomsOf(
  symptoms: readonly Symptom[],
  panels: readonly Panel[],
  pressed: { readonly root: "front" | "back"; readonly point: readonly [number, number] } | null,
): readonly Symptom[] {
  const hasBodice = panels.some((p) => isBodice(p));
  const possible = symptoms.filter((s) => !s.needsBodice || hasBodice);
  if (!pressed) return possible;
  const away = (symptom: Symptom): Mm => {
    const panel = panels.find(
      (p) => p.is.component === "legs" && p.is.root === symptom.root && p.landmarks[symptom.at],
    );
    const at = panel?.landmarks[symptom.at];
    if (!at) return Infinity;
    const far = Math.hypot(at[0] - pressed.point[0], at[1] - pressed.point[1]);
    // What is seen on the other panel is farther than anything on this one.
    return symptom.root === pressed.root ? far : far + OTHER_PANEL;
  };
  return [...possible].sort((a, b) => away(a) - away(b));
}
const OTHER_PANEL: Mm = 2000;

/** An amount that came back in the fittings of one wearer. */
export interface Learned {
  readonly label: string;
  readonly change: Fitting["changes"][number];
  /** In how many of the wearer's garments. */
  readonly times: number;
  readonly seen: Fitting["seen"];
}

/**
 * What several garments of one wearer were corrected by: corrections that came back, each with the mean of its amounts,
 * the most frequent first.
 */
export function learnedFrom(jobs: readonly Pick<Job, "fittings">[], symptoms: readonly Symptom[]): readonly Learned[] {
  const found = new Map<Correction, { by: Mm[]; jobs: Set<number>; seen: Fitting["seen"] }>();
  jobs.forEach(({ fittings = [] }, n) =>
    fittings.forEach((fitting) =>
      fitting.changes.forEach((change) => {
        const correction = symptoms.find((s) => s.id === fitting.seen)?.cures.find((c) => isOf(c, change));
        if (!correction) return;
        const held = found.get(correction) ?? { by: [], jobs: new Set<number>(), seen: fitting.seen };
        held.by.push(change.by);
        held.jobs.add(n);
        found.set(correction, held);
      }),
    ),
  );
  return [...found]
    .map(([correction, { by, jobs: of, seen }]): Learned => {
      const mean = by.reduce((sum, mm) => sum + mm, 0) / by.length;
      return {
        label: correction.label,
        change: changeOf(correction, (correction.way * Math.round(mean * 10)) / 10),
        times: of.size,
        seen,
      };
    })
    .filter(({ times }) => times > 1)
    .sort((a, b) => b.times - a.times);
}
