"use client";
import { useCallback, useDeferredValue, useMemo } from "react";
import type { Corrected } from "@/core/derive/corrected";
import { withFitting } from "@/core/derive/changes";
import { cutByNow, type Entry } from "@/core/diary";
import type { Job } from "@/core/files";
import type { Fitting } from "@/core/fitting";
import { type Sentence, type Tape, textOf, inside } from "@/core/units";
import { useAsked } from "@/ui/useAsked";
import { correctedBy } from "@/workers/client";
import { fittingOf, marksOf, type Settled } from "./draft";
import { useRecut } from "./useRecut";

interface Asked {
  readonly id: string;
  readonly draft: Settled | null;
  readonly entries: readonly Entry[];
  readonly job: Job;
  readonly today: string;
  readonly tape: Tape;
}

/** The garment after a fitting, worked out behind the page; null until it is there. */
function useCorrected(job: Job, fitting: Fitting | null): Corrected | { readonly refused: Sentence } | null {
  const ask = useCallback(() => (fitting ? correctedBy({ job, fitting }) : Promise.resolve(null)), [job, fitting]);
  return useAsked(ask, "The fitting could not be worked out.");
}

/** What a fitting that is thought over would do: the garment after it, and what of the pieces cut by now would be void. */
export function useTrial({ id, draft, entries, job, today, tape }: Asked) {
  const asked = useDeferredValue(draft);
  // Words about it change nothing of the garment: it is not worked out anew for them.
  const { seen, amounts, pinned, alone } = asked ?? {};
  const fitting = useMemo(
    () =>
      seen && amounts && pinned && alone !== undefined
        ? fittingOf({ seen, amounts, pinned, alone, words: "" }, "trial", today)
        : null,
    [seen, amounts, pinned, alone, today],
  );
  const made = useCorrected(job, fitting);
  const after = made && "panels" in made ? made : null;
  const voided = useMemo(() => {
    const cut = cutByNow(entries);
    return (after?.recut ?? []).filter((p) => cut.has(p.was));
  }, [after, entries]);
  const afterJob = useMemo(() => (after && fitting ? withFitting(job, fitting) : null), [after, fitting, job]);
  const recut = useRecut(
    id,
    afterJob,
    voided.filter((p) => p.material === "shell").map((p) => p.id),
  );
  return {
    made,
    after,
    voided: voided.map((p) => textOf(inside(p.name))),
    recut,
    marks: after && asked ? marksOf(asked, tape) : [],
  };
}
