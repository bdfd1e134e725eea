"use client";
import { useDeferredValue, useMemo } from "react";
import type { Derived } from "@/core/derive";
import { corrected, withFitting } from "@/core/derive/correcting";
import { cutByNow, type Entry } from "@/core/diary";
import type { Job } from "@/core/files";
import type { Tape } from "@/core/units";
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

/** What a fitting that is thought over would do: the garment after it, and what of the pieces cut by now would be void. */
export function useTrial({ id, draft, before, entries, job, today, tape }: Asked) {
  const asked = useDeferredValue(draft);
  const fitting = useMemo(() => asked && fittingOf(asked, "trial", today), [asked, today]);
  const made = useMemo(() => (before && fitting ? corrected(job, before, fitting) : null), [fitting, before, job]);
  const after = made && "after" in made ? made.after : null;
  const voided = useMemo(() => {
    const cut = cutByNow(entries);
    const { recut = [] } = made && "after" in made ? made : {};
    return (before?.pieces ?? []).filter((p) => cut.has(p.id) && recut.includes(p.id));
  }, [made, before, entries]);
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
