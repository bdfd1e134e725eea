"use client";
import useMediaQuery from "@mui/material/useMediaQuery";

/** True where there is room for one thing at a time: the table first, everything else as sheets from below. */
export const usePhone = (): boolean => useMediaQuery("(max-width: 719px)");
