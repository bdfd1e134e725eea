"use client";
import { useEffect, useState } from "react";
import type { Job } from "@/core/files";
import { miniatureOf } from "@/workers/client";
import type { Miniature } from "@/workers/proof";

/** The outlines of several jobs, worked out behind the page; the last ones stay until new ones arrive. */
export function useMiniatures(jobs: readonly Job[]): readonly Miniature[] {
  const [held, setHeld] = useState<readonly Miniature[]>([]);
  useEffect(() => {
    let wanted = true;
    Promise.all(jobs.map((job) => miniatureOf(job)))
      .then((drawn) => wanted && setHeld(drawn))
      .catch((error: unknown) => console.error("the worker could not draw the outlines", error));
    return () => {
      wanted = false;
    };
  }, [jobs]);
  return held;
}
