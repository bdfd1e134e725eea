import type { Shape } from "@/core/derive/shape";
import { changeOf, curesOf } from "@/core/derive/correcting";
import type { Job } from "@/core/files";
import { placeOfCure, symptomOf, type Fitting, type Symptom } from "@/core/fitting";
import { formatLength, type Mm, type Tape } from "@/core/units";
import type { Mark } from "./OverTable";

/** A fitting while it is thought over: amounts by the place of the correction in its list. */
export interface Draft {
  readonly seen: Fitting["seen"];
  readonly amounts: Readonly<Record<number, Mm>>;
  readonly pinned: Fitting["pinned"];
  readonly words: string;
}

/** A fitting thought over: corrections of the first choice, as far as this garment's construction has them. */
export const startOf = (symptom: Symptom, job: Job, shape: Shape): Draft => {
  const { id: seen } = symptom;
  const amounts = curesOf(job, shape, symptom)
    .filter(({ correction }) => correction.first)
    .map(({ correction, usual }) => [symptom.cures.indexOf(correction), usual]);
  return { seen, amounts: Object.fromEntries(amounts) as Draft["amounts"], pinned: "both", words: "" };
};

/** The fitting a draft comes to; null while nothing of it is asked. */
export function fittingOf(draft: Draft, id: string, date: string): Fitting | null {
  const { cures } = symptomOf(draft.seen);
  const changes = Object.entries(draft.amounts).flatMap(([n, mm]) => {
    const correction = cures[Number(n)];
    return correction && mm > 0 ? [changeOf(correction, mm)] : [];
  });
  return changes.length === 0
    ? null
    : { id, date, seen: draft.seen, pinned: draft.pinned, words: draft.words.trim(), changes };
}

/** What is changed, in words beside its place on the pattern. */
export const marksOf = (draft: Draft, tape: Tape): readonly Mark[] =>
  symptomOf(draft.seen).cures.flatMap((cure, n): Mark[] => {
    const mm = draft.amounts[n] ?? 0;
    const place = placeOfCure(cure);
    if (mm === 0 || !place) return [];
    return [{ root: place[0], landmark: place[1], words: `${cure.label.toLowerCase()} ${formatLength(mm, tape)}` }];
  });
