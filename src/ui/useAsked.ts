"use client";
import { useEffect, useState } from "react";
import { useSorry } from "./useSorry";

/**
 * What was asked of a worker, once it is there; null until then. `ask` stays the same while the question does; a newer
 * question's answer takes its place. What cannot be answered is said: by its own sentence, or by `sorry`.
 */
export function useAsked<T>(ask: () => Promise<T>, sorry: string): T | null {
  const [held, setHeld] = useState<{ readonly of: () => Promise<T>; readonly value: T } | null>(null);
  const tellSorry = useSorry();
  useEffect(() => {
    let wanted = true;
    ask().then(
      (value) => wanted && setHeld({ of: ask, value }),
      (error: unknown) => wanted && tellSorry(error, sorry),
    );
    return () => {
      wanted = false;
    };
  }, [ask, sorry, tellSorry]);
  return held?.of === ask ? held.value : null;
}
