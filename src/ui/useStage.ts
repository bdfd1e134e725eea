"use client";
import { usePathname } from "next/navigation";
import type { StageId } from "./stages";

/** The stage that is open, by the address. */
export const useStage = (): StageId => usePathname().split("/")[1] as StageId;
