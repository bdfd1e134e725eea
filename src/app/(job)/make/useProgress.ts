"use client";
import { useCallback, useEffect, useState } from "react";
import { findProgress, keepProgress, type MakingProgress } from "@/store/makingStore";

/** How far the making of a job has come, kept beside it. */
export function useProgress(id: string) {
  const [progress, setProgress] = useState<MakingProgress | null>(null);
  useEffect(() => {
    let wanted = true;
    findProgress(id).then(
      (found) => wanted && setProgress(found),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [id]);
  const change = useCallback((recipe: (now: MakingProgress) => MakingProgress) => {
    setProgress((now) => {
      if (!now) return now;
      const next = recipe(now);
      void keepProgress(next).catch(() => undefined);
      return next;
    });
  }, []);
  return { progress, change };
}
