"use client";
import { useSnackbar } from "notistack";
import { useDeferredValue, useEffect, useMemo, useState } from "react";
import type { Derived } from "@/core/derive";
import type { Corrected } from "@/core/derive/corrected";
import { withFitting } from "@/core/derive/correcting";
import { cutByNow, type Entry } from "@/core/diary";
import type { Job } from "@/core/files";
import type { Fitting } from "@/core/fitting";
import type { Sentence, Tape } from "@/core/units";
import { sentenceOf } from "@/ui/sentenceOf";
import { correctedBy } from "@/workers/client";
import { fittingOf, marksOf, type Draft } from "./draft";
import { useRecut } from "./useRecut";

interface Asked {
  readonly id: string;
  readonly draft: Draft | null;
  readonly before: Derived | null;
  readonly entries: readonly Entry[];
  readonly job: Job;
  readonly today: string;
  readonly tape: Tape;
}

/** What was made of a fitting, and of which. */
interface Made {
  readonly of: Fitting;
  readonly job: Job;
  readonly what: Corrected | { readonly refused: Sentence };
}

/** The garment after a fitting, worked out behind the page; null until it is there. */
function useCorrected(job: Job, fitting: Fitting | null): Made["what"] | null {
  const [made, setMade] = useState<Made | null>(null);
  const { enqueueSnackbar } = useSnackbar();
  useEffect(() => {
    if (!fitting) return;
    let wanted = true;
    correctedBy({ job, fitting })
      .then((what) => wanted && what && setMade({ of: fitting, job, what }))
      .catch((error: unknown) => {
        if (wanted) enqueueSnackbar(sentenceOf(error, "The fitting could not be worked out."), { variant: "error" });
      });
    return () => {
      wanted = false;
    };
  }, [job, fitting, enqueueSnackbar]);
  return fitting && made?.of === fitting && made.job === job ? made.what : null;
}

/** What a fitting that is thought over would do: the garment after it, and what of the pieces cut by now would be void. */
export function useTrial({ id, draft, before, entries, job, today, tape }: Asked) {
  const asked = useDeferredValue(draft);
  const fitting = useMemo(() => asked && fittingOf(asked, "trial", today), [asked, today]);
  const made = useCorrected(job, fitting);
  const after = made && "panels" in made ? made : null;
  const voided = useMemo(() => {
    const cut = cutByNow(entries);
    return (before?.pieces ?? []).filter((p) => cut.has(p.id) && after?.recut.includes(p.id));
  }, [after, before, entries]);
  const afterJob = useMemo(() => (after && fitting ? withFitting(job, fitting) : null), [after, fitting, job]);
  const recut = useRecut(
    id,
    afterJob,
    voided.filter((p) => p.material === "shell").map((p) => p.id),
  );
  return {
    made,
    after,
    voided: voided.map((p) => p.name.toLowerCase()),
    recut,
    marks: after && asked ? marksOf(asked, tape) : [],
  };
}
