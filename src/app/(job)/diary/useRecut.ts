"use client";
import { useEffect, useState } from "react";
import type { Recut } from "@/core/derive/recut";
import type { Job } from "@/core/files";
import { findLay } from "@/store/layStore";
import { besideTheLay } from "@/workers/client";

/** Whether void pieces can be cut again from what the kept lay has left; null while that is looked at, or where none is void. */
export function useRecut(id: string, after: Job | null, pieces: readonly string[]): Recut | null {
  const [found, setFound] = useState<{ readonly key: string; readonly recut: Recut } | null>(null);
  const key = after && pieces.length > 0 ? JSON.stringify([pieces, after.fittings, after.cloth]) : "";
  useEffect(() => {
    if (!after || key === "") return;
    let wanted = true;
    findLay(id, "shell")
      .catch(() => null)
      .then((kept) => besideTheLay<Recut>((face) => face.recut(after, pieces, kept?.lay ?? null)))
      .then(
        (recut) => wanted && setFound({ key, recut }),
        () => undefined,
      );
    return () => {
      wanted = false;
    };
    // What it rests on is in the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, key]);
  return found?.key === key && key !== "" ? found.recut : null;
}
