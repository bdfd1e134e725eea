import { inSentence, phrase } from "@/core/words";
import type { Cure } from "@/core/derive/correcting";
import { changeOf, placeOfCure, symptomOf, type Fitting } from "@/core/fitting";
import { formatLength, type Mm, type Tape } from "@/core/units";
import type { Mark } from "./OverTable";

/** A fitting while it is thought over: amounts by the place of the correction in its list; null as they are usual. */
export interface Draft {
  readonly seen: Fitting["seen"];
  readonly amounts: Readonly<Record<number, Mm>> | null;
  readonly pinned: Fitting["pinned"];
  /** It stays on that side. */
  readonly alone: boolean;
  readonly words: string;
}

/** A fitting thought over, with nothing of it settled yet. */
export const startOf = (seen: Fitting["seen"]): Draft => ({
  seen,
  amounts: null,
  pinned: "both",
  alone: false,
  words: "",
});

/** The amounts of a draft: as they were set, or the usual ones of the corrections that are tried first. */
export const amountsOf = (amounts: Draft["amounts"], cures: readonly Cure[]): NonNullable<Draft["amounts"]> =>
  amounts ?? Object.fromEntries(cures.flatMap(({ n, correction, usual }) => (correction.first ? [[n, usual]] : [])));

/** A draft with its amounts settled. */
export type Settled = Draft & { readonly amounts: NonNullable<Draft["amounts"]> };

/** The fitting a draft comes to; null while nothing of it is asked. */
export function fittingOf(draft: Settled, id: string, date: string): Fitting | null {
  const { cures } = symptomOf(draft.seen);
  const changes = Object.entries(draft.amounts).flatMap(([n, mm]) => {
    const correction = cures[Number(n)];
    return correction && mm > 0 ? [changeOf(correction, mm)] : [];
  });
  return changes.length === 0
    ? null
    : {
        id,
        date,
        seen: draft.seen,
        pinned: draft.pinned,
        ...(draft.alone && { alone: true }),
        words: draft.words.trim(),
        changes,
      };
}

/** What is changed, in words beside its place on the pattern. */
export const marksOf = (draft: Settled, tape: Tape): readonly Mark[] =>
  symptomOf(draft.seen).cures.flatMap((cure, n): Mark[] => {
    const mm = draft.amounts[n] ?? 0;
    const place = placeOfCure(cure);
    if (mm === 0 || !place) return [];
    return [{ root: place[0], landmark: place[1], words: phrase`${inSentence(cure.label)} ${formatLength(mm, tape)}` }];
  });
