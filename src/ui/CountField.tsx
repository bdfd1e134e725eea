"use client";
import TextField from "@mui/material/TextField";
import { useState, type KeyboardEvent, type ReactNode } from "react";
import { useCountedTyping } from "@/store/typing";

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
  const [typed, setTyped] = useState<string | null>(null);
  const text = value === null ? "" : String(value);
  useCountedTyping(typed !== null && typed !== text);
  const problem = typed === null || typed.trim() === "" ? null : refusal(Number(typed));

  function refusal(number: number): string | null {
    if (!Number.isFinite(number) || (whole && !Number.isInteger(number)))
      return whole ? "Write a whole number." : "Write a number.";
    return number < least || number > most ? `Choose between ${least} and ${most} here.` : null;
  }

  function commit(): void {
    if (typed === null || problem !== null) return;
    if (typed !== text) onCommit(typed.trim() === "" ? undefined : Number(typed));
    setTyped(null);
  }

  function onKeyDown(event: KeyboardEvent): void {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") {
      event.stopPropagation();
      setTyped(null);
    }
    if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
    event.preventDefault();
    const from = Number(typed ?? text);
    const next = Math.min(most, Math.max(least, from + (event.key === "ArrowUp" ? step : -step)));
    setTyped(null);
    onCommit(Number(next.toFixed(6)));
  }

  return (
    <TextField
      type="number"
      label={label}
      value={typed ?? text}
      error={problem !== null || Boolean(error)}
      helperText={problem ?? error ?? helper}
      slotProps={{ htmlInput: { min: least, max: most, step } }}
      onChange={(event) => {
        // What the field's own arrows set says no kind of typing: it is taken at once, like a key.
        const { inputType } = event.nativeEvent as InputEvent;
        const next = event.target.value;
        if (inputType || next === "" || refusal(Number(next)) !== null) setTyped(next);
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
