"use client";
import { createContext, useContext } from "react";
import type { DeriveFault, Shape } from "@/core/derive/shape";
import type { Job } from "@/core/files";
import { tell, type Tape } from "@/core/units";
import type { Proof } from "@/workers/proof";
import type { LiveShape } from "./useDerived";

export interface OpenJob {
  readonly id: string;
  readonly job: Job;
  readonly shape: Shape | null;
  readonly fault: DeriveFault | null;
  readonly proof: Proof | null;
  readonly stale: boolean;
}

const JobContext = createContext<OpenJob | null>(null);

export const JobProvider = JobContext.Provider;

/** The open job with everything derived from it; only inside a stage. */
export function useOpenJob(): OpenJob {
  const open = useContext(JobContext);
  if (!open) throw new Error("a stage needs an open job");
  return open;
}

/** The open job as it lies under the hand. */
export type LiveJob = LiveShape & Pick<OpenJob, "id" | "job">;

const LiveJobContext = createContext<LiveJob | null>(null);

export const LiveJobProvider = LiveJobContext.Provider;

/**
 * The job under the hand, for the table and its readings alone: everything else takes `useOpenJob`, whose shape lags
 * behind a pull until the hand rests, so that the table never waits for panes and fields.
 */
export function useLiveJob(): LiveJob {
  const live = useContext(LiveJobContext);
  if (!live) throw new Error("a table and its readings need an open job");
  return live;
}

/** The sentence of a fault for a path of the job on the maker's tape, if there is one. */
export function faultAt(fault: DeriveFault | null, path: string, tape: Tape): string | null {
  const found = fault?.errors.find((e) => e.path === path || e.path.startsWith(`${path}.`));
  return found ? tell(found.says, tape) : null;
}
