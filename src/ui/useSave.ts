"use client";
import { phrase } from "@/core/words";
import { useSnackbar } from "notistack";
import { useCallback } from "react";
import type { HandedFile } from "@/core/files";
import { download } from "./download";
import { useSorry } from "./useSorry";

/** Gives a file that is being made to the downloads and says so, or says why there is none. Settled either way. */
export function useSave(): (making: HandedFile | Promise<HandedFile>, sorry: string) => Promise<void> {
  const { enqueueSnackbar } = useSnackbar();
  const tellSorry = useSorry();
  return useCallback(
    async (making, sorry) => {
      try {
        const file = await making;
        download(file);
        enqueueSnackbar(phrase`${file.name} is in your downloads.`);
      } catch (error) {
        tellSorry(error, sorry);
      }
    },
    [enqueueSnackbar, tellSorry],
  );
}
