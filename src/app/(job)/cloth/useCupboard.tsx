"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useSnackbar } from "notistack";
import { useEffect, useState } from "react";
import { sameCloth, type CupboardCloth } from "@/core/cloth/cupboard";
import { keepCloth, listCloths, removeCloth } from "@/store/layStore";
import { useSorry } from "@/ui/useSorry";

const NOT_READ = "The browser’s store does not answer, so the cupboard was not read.";
const NOT_KEPT = "The browser’s store is full or blocked, so the cloth was not kept.";
const NOT_REMOVED = "The browser’s store does not answer, so the cloth was not removed.";

/** The cloths of the cupboard; what is kept or removed is said, and so is what could not be. */
export function useCupboard() {
  const [cloths, setCloths] = useState<readonly CupboardCloth[]>([]);
  const { enqueueSnackbar } = useSnackbar();
  const tellSorry = useSorry();
  useEffect(() => void listCloths().then(setCloths, (error: unknown) => tellSorry(error, NOT_READ)), [tellSorry]);
  const done = async (doing: Promise<void>, sorry: string): Promise<boolean> => {
    try {
      await doing;
    } catch (error) {
      tellSorry(error, sorry);
      return false;
    }
    await listCloths().then(setCloths, (error: unknown) => tellSorry(error, NOT_READ));
    return true;
  };
  const keep = async (cloth: CupboardCloth): Promise<void> => {
    if (cloths.some((own) => sameCloth(own, cloth)))
      enqueueSnackbar(phrase`${cloth.name} is in the cupboard as it is here.`);
    else if (await done(keepCloth(cloth), NOT_KEPT)) enqueueSnackbar(phrase`${cloth.name} is in the cupboard.`);
  };
  const remove = async (cloth: CupboardCloth): Promise<void> => {
    if (!(await done(removeCloth(cloth.id), NOT_REMOVED))) return;
    enqueueSnackbar(phrase`${cloth.name} was taken out of the cupboard.`, {
      action: () => <Button onClick={() => void done(keepCloth(cloth), NOT_KEPT)}>Put it back</Button>,
    });
  };
  return { cloths, keep, remove };
}
