"use client";
import { useEffect, useState } from "react";
import type { LayCloth } from "@/core/cloth";
import type { Job } from "@/core/files";
import type { Material } from "@/core/pattern";
import { besideTheLay } from "@/workers/client";
import { cutKey } from "./cutKey";

/**
 * The lengths the pieces take on other cloths, looked at quickly once the lay itself has had its first go; empty until they
 * are there, null for a cloth they cannot be laid on.
 */
export function useElsewhere(
  jobs: readonly Job[],
  material: Material,
  cloths: readonly LayCloth[],
  afterMs: number,
): readonly (number | null)[] {
  const key = JSON.stringify([cloths, material, cutKey(jobs)]);
  const [found, setFound] = useState<{
    readonly key: string;
    readonly lengths: readonly (number | null)[];
  } | null>(null);
  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(() => {
      besideTheLay((face) => face.elsewhere(jobs, material, cloths)).then(
        (lengths) => wanted && setFound({ key, lengths }),
        () => undefined,
      );
    }, afterMs);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
    // What the lengths rest on is in the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return found?.key === key ? found.lengths : [];
}
