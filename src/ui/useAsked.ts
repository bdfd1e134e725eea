"use client";
import { useSnackbar } from "notistack";
import { useEffect, useState } from "react";
import { sentenceOf } from "./sentenceOf";

/**
 * What was asked of a worker, once it is there; null until then. `ask` stays the same while the question does; a newer
 * question's answer takes its place. What cannot be answered is said: by its own sentence, or by `sorry`.
 */
export function useAsked<T>(ask: () => Promise<T>, sorry: string): T | null {
  const [held, setHeld] = useState<{ readonly of: () => Promise<T>; readonly value: T } | null>(null);
  const { enqueueSnackbar } = useSnackbar();
  useEffect(() => {
    let wanted = true;
    ask().then(
      (value) => wanted && setHeld({ of: ask, value }),
      (error: unknown) => wanted && enqueueSnackbar(sentenceOf(error, sorry), { variant: "error" }),
    );
    return () => {
      wanted = false;
    };
  }, [ask, sorry, enqueueSnackbar]);
  return held?.of === ask ? held.value : null;
}
