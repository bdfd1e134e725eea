"use client";
import { useEffect, useMemo, useState } from "react";
import { deriveShape, type DeriveFault, type Shape } from "@/core/derive";
import type { Job } from "@/core/files";
import { setPulled } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { deriveWorker } from "@/workers/client";
import type { Proof } from "@/workers/proof";

export interface LiveShape {
  /** The last shape that could be drawn; null before there is one. */
  readonly shape: Shape | null;
  /** Why the job as it stands cannot be drawn; the last good shape stays on the table. */
  readonly fault: DeriveFault | null;
}

/** The job's shape on the seam lines, worked out on the page (a few milliseconds), with a pulled handle's number in it. */
export function useShape(job: Job | null): LiveShape {
  const pull = useView((v) => v.pull);
  const [lastGood, setLastGood] = useState<Shape | null>(null);
  const result = useMemo(() => {
    if (!job) return null;
    if (!pull) return deriveShape(job);
    const pulled = structuredClone(job);
    setPulled(pulled, pull);
    return deriveShape(pulled);
  }, [job, pull]);
  // The last good shape has to outlive a refused one, so it is kept as state, set while rendering.
  if (result?.ok && result !== lastGood) setLastGood(result);
  return result?.ok ? { shape: result, fault: null } : { shape: job ? lastGood : null, fault: result };
}

/** Pieces, proof and advice, worked out behind the page; the last good ones stay until new ones arrive. */
export function useProof(job: Job | null): { readonly proof: Proof | null; readonly stale: boolean } {
  const [held, setHeld] = useState<{ readonly job: Job; readonly proof: Proof } | null>(null);
  useEffect(() => {
    if (!job) return;
    let wanted = true;
    deriveWorker()
      .proof(job)
      .then((proof) => {
        if (wanted && proof) setHeld({ job, proof });
      })
      .catch((error: unknown) => console.error("the worker could not prove this job", error));
    return () => {
      wanted = false;
    };
  }, [job]);
  return { proof: held?.proof ?? null, stale: held?.job !== job };
}
