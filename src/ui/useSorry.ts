"use client";
import { useSnackbar } from "notistack";
import { useCallback } from "react";
import { sentenceOf } from "./sentenceOf";

/** Says of something that failed why: by its own sentence where it is one for the maker, or by `sorry`. Stays the same. */
export function useSorry(): (error: unknown, sorry: string) => void {
  const { enqueueSnackbar } = useSnackbar();
  return useCallback(
    (error, sorry) => void enqueueSnackbar(sentenceOf(error, sorry), { variant: "error" }),
    [enqueueSnackbar],
  );
}
