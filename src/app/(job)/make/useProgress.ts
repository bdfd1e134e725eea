"use client";
import { useCallback, useEffect, useState } from "react";
import { changeProgress, findProgress, onProgressElsewhere, type MakingProgress } from "@/store/makingStore";

/** How far the making of a job has come, kept beside it; what another tab ticks is ticked here too. */
export function useProgress(id: string) {
  const [progress, setProgress] = useState<MakingProgress | null>(null);
  useEffect(() => {
    let wanted = true;
    const read = (): void =>
      void findProgress(id).then(
        (found) => wanted && setProgress(found),
        () => undefined,
      );
    read();
    const stop = onProgressElsewhere(id, read);
    return () => {
      wanted = false;
      stop();
    };
  }, [id]);
  const change = useCallback(
    (recipe: (now: MakingProgress) => MakingProgress) => {
      setProgress((now) => now && recipe(now));
      void changeProgress(id, recipe).catch(() => undefined);
    },
    [id],
  );
  return { progress, change };
}
