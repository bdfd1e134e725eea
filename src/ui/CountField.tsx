"use client";
import { phrase } from "@/core/words";
import TextField from "@mui/material/TextField";
import type { ReactNode } from "react";
import { useTyped } from "./useTyped";

interface Props {
  readonly label: string;
  /** The number as it stands; null where it is worked out by itself. */
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly whole?: boolean;
  readonly helper?: ReactNode;
  readonly error?: string | null;
  /** Called with the number once it can be taken; with undefined where the field was emptied. */
  readonly onCommit: (value: number | undefined) => void;
}

/**
 * A count or a ratio. Enter or leaving it commits, the arrows step, Esc takes the typing back; emptied, it goes back to
 * what is usual. What cannot be taken stays in the field with a sentence beneath, and nothing is changed.
 */
export function CountField({ label, value, least, most, step, whole, helper, error, onCommit }: Props) {
  function refusal(typed: string): string | null {
    if (typed.trim() === "") return null;
    const number = Number(typed);
    if (!Number.isFinite(number) || (whole && !Number.isInteger(number)))
      return whole ? "Write a whole number." : "Write a number.";
    return number < least || number > most ? phrase`Choose between ${least} and ${most} here.` : null;
  }
  const { shown, problem, setTyped, commit, onKeyDown } = useTyped({
    text: value === null ? "" : String(value),
    refusal,
    onCommit: (typed) => onCommit(typed === "" ? undefined : Number(typed)),
    onStep(from, direction) {
      const next = Math.min(most, Math.max(least, Number(from) + direction * step));
      onCommit(Number(next.toFixed(6)));
      return true;
    },
  });

  return (
    <TextField
      type="number"
      label={label}
      value={shown}
      error={problem !== null || Boolean(error)}
      helperText={problem ?? error ?? helper}
      slotProps={{ htmlInput: { min: least, max: most, step } }}
      onChange={(event) => {
        // What the field's own arrows set says no kind of typing: it is taken at once, like a key.
        const { inputType } = event.nativeEvent as InputEvent;
        const next = event.target.value;
        if (inputType || next === "" || refusal(next) !== null) setTyped(next);
        else {
          setTyped(null);
          onCommit(Number(next));
        }
      }}
      onBlur={commit}
      onKeyDown={onKeyDown}
    />
  );
}
