"use client";
import { useSorry } from "./useSorry";
import { startTransition, useEffect, useMemo, useRef, useState } from "react";
import { deriveShape, type DeriveFault, type Shape } from "@/core/derive/shape";
import type { Job } from "@/core/files";
import { setPulled, pullOf, type Pull } from "@/store/pull";
import { useView } from "@/store/viewStore";
import { proofOf } from "@/workers/client";
import type { Proof } from "@/workers/proof";

export interface LiveShape {
  /** The last shape that could be drawn; null before there is one. */
  readonly shape: Shape | null;
  /** Why the job as it stands, with what is pulled, cannot be drawn; the last good shape stays on the table. */
  readonly fault: DeriveFault | null;
  /** How far the handle under the hand has come in that shape; null when none is pulled. */
  readonly pull: Pull | null;
}

/**
 * The job with a handle pulled. A pull so far that the handle's own move could not be made is a fault, not a pattern
 * without the move: the handle would vanish from under the hand.
 */
export function derivePulled(job: Job, pull: Pull): Shape | DeriveFault {
  const pulled = structuredClone(job);
  setPulled(pulled, pull);
  const result = deriveShape(pulled);
  const why = result.ok && result.worksheet.find((line) => line.index === pull.moveIndex)?.passed;
  if (!why) return result;
  return { ok: false, status: 422, errors: [{ path: `moves.${pull.moveIndex}.params.${pull.param}`, says: why }] };
}

/** The job's shape on the seam lines, worked out on the page (a few milliseconds), with a pulled handle's number in it. */
export function useShape(job: Job): LiveShape {
  const pull = useView((v) => v.pull);
  const [lastGood, setLastGood] = useState<LiveShape>({ shape: null, fault: null, pull: null });
  const result = useMemo((): LiveShape => {
    const drawn = pull ? derivePulled(job, pull) : deriveShape(job);
    return drawn.ok ? { shape: drawn, fault: null, pull } : { shape: null, fault: drawn, pull };
  }, [job, pull]);
  useWarm(job);
  // The last good shape has to outlive a refused one, so it is kept as state, set while rendering.
  if (result.shape && result !== lastGood) setLastGood(result);
  return useMemo(() => {
    if (result.shape) return result;
    return { shape: lastGood.shape, fault: result.fault, pull: pull && lastGood.pull };
  }, [result, lastGood, pull]);
}

/** Runs of the engine that make its code quick, so that the first frame of a first pull is as short as the others. */
const WARMING = 24;

/** Pulls the job's handles in thought while the page is idle, each to a number of its own: one short task at a time. */
function useWarm(job: Job): void {
  const latest = useRef(job);
  useEffect(() => {
    latest.current = job;
  }, [job]);
  useEffect(() => {
    if (typeof requestIdleCallback === "undefined") return;
    let [done, waiting] = [0, 0];
    let pulls: readonly Pull[] = [];
    const run = (): void => {
      const now = latest.current;
      if (done === 0) {
        const shape = deriveShape(now);
        if (shape.ok) pulls = shape.worksheet.flatMap((l) => l.handles.map((h) => pullOf(h, l.index ?? 0, h.value)));
      }
      // What was worked out before is remembered, and only what is new makes its code quick.
      const pull = pulls[done % Math.max(1, pulls.length)];
      if (pull) derivePulled(now, { ...pull, value: pull.value + 1 + done / 8 });
      done++;
      if (done < WARMING) waiting = requestIdleCallback(run);
    };
    waiting = requestIdleCallback(run);
    return () => cancelIdleCallback(waiting);
  }, []);
}

/** What was proved last, and the job it was proved of. */
export interface Proved {
  readonly job: Job;
  readonly proof: Proof;
}

/** Pieces, proof and advice, worked out behind the page; the last good ones stay until new ones arrive. */
export function useProof(job: Job): Proved | null {
  const [held, setHeld] = useState<Proved | null>(null);
  const tellSorry = useSorry();
  useEffect(() => {
    let wanted = true;
    proofOf(job)
      .then((proof) => {
        // Every pane reads the proof; they follow in what is left of each frame.
        if (wanted && proof) startTransition(() => setHeld({ job, proof }));
      })
      .catch((error: unknown) => {
        if (wanted) tellSorry(error, "The pieces could not be worked out.");
      });
    return () => {
      wanted = false;
    };
  }, [job, tellSorry]);
  return held;
}
