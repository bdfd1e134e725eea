"use client";
import { useCountedTyping } from "@/store/typing";
import TextField from "@mui/material/TextField";
import { useState, type KeyboardEvent, type ReactNode } from "react";
import { formatLength, MM_PER, parseLength, tapeDivision, type Mm, type Tape, type Unit } from "@/core/units";

interface Props {
  readonly label: string;
  /** The text as stored, or empty. */
  readonly text: string;
  readonly unit: Unit;
  readonly tape: Tape;
  readonly placeholder?: string;
  readonly helper?: ReactNode;
  readonly error?: string | null;
  readonly hideLabel?: boolean;
  readonly allowEmpty?: boolean;
  readonly negative?: boolean;
  readonly width?: number | string;
  readonly autoFocus?: boolean;
  readonly onFocus?: () => void;
  /** Called with the text as typed once it reads as a length (or is empty where that is allowed). */
  readonly onCommit: (text: string) => void;
}

/**
 * A field for a length as a person types it. Enter or leaving it commits; Esc takes the typing back; arrows nudge by
 * one division of the tape, with shift by an inch or a centimetre. What cannot be read stays in the field with a
 * sentence beneath, and nothing is changed.
 */
export function LengthField(props: Props) {
  const { label, text, unit, tape, onCommit } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? text;
  useCountedTyping(typed !== null && typed.trim() !== text);
  const problem = typed === null ? null : refusal(typed);

  function refusal(value: string): string | null {
    if (value.trim() === "") return props.allowEmpty ? null : "Write a length here.";
    const read = parseLength(value, unit);
    if (!read.ok) return read.message;
    return !props.negative && read.mm < 0 ? "Write a length of nothing or more." : null;
  }

  function commit(): void {
    if (typed === null || refusal(typed) !== null) return;
    if (typed.trim() !== text) onCommit(typed.trim());
    setTyped(null);
  }

  function onKeyDown(event: KeyboardEvent): void {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") {
      event.stopPropagation();
      setTyped(null);
    }
    if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
    const read = parseLength(shown || String(props.placeholder ?? ""), unit);
    if (!read.ok) return;
    event.preventDefault();
    const step: Mm = event.shiftKey ? MM_PER[tape] : tapeDivision(tape);
    const next = Math.max(props.negative ? -Infinity : 0, read.mm + (event.key === "ArrowUp" ? step : -step));
    setTyped(null);
    onCommit(formatLength(next, tape));
  }

  return (
    <TextField
      label={props.hideLabel ? undefined : label}
      slotProps={{
        htmlInput: {
          "aria-label": label,
          inputMode: "text",
          autoComplete: "off",
          spellCheck: false,
        },
      }}
      value={shown}
      placeholder={props.placeholder}
      error={problem !== null || Boolean(props.error)}
      helperText={problem ?? props.error ?? props.helper}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      autoFocus={props.autoFocus}
      onFocus={props.onFocus}
      onKeyDown={onKeyDown}
      sx={{ width: props.width ?? "100%" }}
    />
  );
}
