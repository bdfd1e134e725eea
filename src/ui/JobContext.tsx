"use client";
import { createContext, useContext } from "react";
import type { DeriveFault, Shape } from "@/core/derive";
import type { Job } from "@/core/files";
import type { Proof } from "@/workers/proof";

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

/** The sentence of a fault for a path of the job, if there is one. */
export function faultAt(fault: DeriveFault | null, path: string): string | null {
  return fault?.errors.find((e) => e.path === path || e.path.startsWith(`${path}.`))?.message ?? null;
}
