"use client";
import { useDeferredValue, useMemo } from "react";
import type { Derived } from "@/core/derive";
import { corrected } from "@/core/derive/correcting";
import { cutByNow, type Entry } from "@/core/diary";
import type { Job } from "@/core/files";
import type { Tape } from "@/core/units";
import { fittingOf, marksOf, type Draft } from "./draft";

interface Asked {
  readonly draft: Draft | null;
  readonly before: Derived | null;
  readonly entries: readonly Entry[];
  readonly job: Job;
  readonly today: string;
  readonly tape: Tape;
}

/** What a fitting that is thought over would do: the garment after it, and what of the pieces cut by now would be void. */
export function useTrial({ draft, before, entries, job, today, tape }: Asked) {
  const asked = useDeferredValue(draft);
  const made = useMemo(() => {
    const fitting = asked && fittingOf(asked, "trial", today);
    return before && fitting ? corrected(job, before, fitting) : null;
  }, [asked, before, job, today]);
  const after = made && "after" in made ? made.after : null;
  const voided = useMemo(() => {
    const cut = cutByNow(entries);
    const { recut = [] } = made && "after" in made ? made : {};
    return (before?.pieces ?? []).filter((p) => cut.has(p.id) && recut.includes(p.id)).map((p) => p.name.toLowerCase());
  }, [made, before, entries]);
  return { made, after, voided, marks: after && asked ? marksOf(asked, tape) : [] };
}
