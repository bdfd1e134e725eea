"use client";
import { useSnackbar } from "notistack";
import { useCallback } from "react";
import type { HandedFile } from "@/core/files";
import { download } from "./download";
import { sentenceOf } from "./sentenceOf";

/** Gives a file that is being made to the downloads and says so, or says why there is none. Settled either way. */
export function useSave(): (making: HandedFile | Promise<HandedFile>, sorry: string) => Promise<void> {
  const { enqueueSnackbar } = useSnackbar();
  return useCallback(
    async (making, sorry) => {
      try {
        const file = await making;
        download(file);
        enqueueSnackbar(`${file.name} is in your downloads.`);
      } catch (error) {
        enqueueSnackbar(sentenceOf(error, sorry), { variant: "error" });
      }
    },
    [enqueueSnackbar],
  );
}
