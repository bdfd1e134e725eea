"use client";
import { type Panel } from "@/core/pattern";
import { useMemo } from "react";
import { deriveShape } from "@/core/derive/shape";
import type { Job } from "@/core/files";
import { jobOn } from "@/core/derive/versions";
import type { Readings } from "@/core/inspect";
import { useView } from "@/store/viewStore";

export interface VersionOver {
  readonly name: string;
  readonly panels: readonly Panel[];
  readonly readings: Readings;
}

/** The kept version that is laid over the pattern, drawn on the present card; null when none is, or it cannot be drawn. */
export function useVersionOver(job: Job): VersionOver | null {
  const id = useView((v) => v.over);
  const version = job.versions?.find((v) => v.id === id);
  const { body } = job;
  return useMemo(() => {
    if (!version) return null;
    const shape = deriveShape(jobOn(body, version));
    return shape.ok ? { name: version.name, panels: shape.panels, readings: shape.readings } : null;
  }, [version, body]);
}
