"use client";
import Button from "@mui/material/Button";
import type { OptionsObject } from "notistack";
import { undo } from "@/store/jobStore";

/** What is told of a change of the job, with a button that takes it back. */
export const UNDOABLE: OptionsObject = {
  action: () => (
    <Button color="inherit" onClick={() => undo()}>
      Undo
    </Button>
  ),
};
