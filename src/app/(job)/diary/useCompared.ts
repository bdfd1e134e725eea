"use client";
import { useMemo } from "react";
import { deriveShape, type Shape } from "@/core/derive/shape";
import { jobOfVersion } from "@/core/derive/versions";
import type { Job } from "@/core/files";

/** Two versions of a job as they are drawn, by id; what is no version is the job as it stands. Null without a job. */
export function useCompared(
  job: Job | null,
  first: string,
  second: string,
): { readonly first: Shape | null; readonly second: Shape | null } | null {
  return useMemo(() => {
    if (!job) return null;
    const shapeOf = (which: string): Shape | null => {
      const version = job.versions?.find((v) => v.id === which);
      const drawn = deriveShape(version ? jobOfVersion(job, version) : job);
      return drawn.ok ? drawn : null;
    };
    return { first: shapeOf(first), second: shapeOf(second) };
  }, [job, first, second]);
}
