"use client";
import TextField from "@mui/material/TextField";
import type { ReactNode } from "react";
import { formatLength, MM_PER, parseLength, tapeDivision, type Mm, type Tape, type Unit } from "@/core/units";
import { useTyped } from "./useTyped";

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
  const { shown, problem, setTyped, commit, onKeyDown } = useTyped({
    text,
    onCommit,
    refusal(value) {
      if (value.trim() === "") return props.allowEmpty ? null : "Write a length here.";
      const read = parseLength(value, unit);
      if (!read.ok) return read.message;
      return !props.negative && read.mm < 0 ? "Write a length of nothing or more." : null;
    },
    onStep(from, direction, large) {
      const read = parseLength(from || String(props.placeholder ?? ""), unit);
      if (!read.ok) return false;
      const step: Mm = large ? MM_PER[tape] : tapeDivision(tape);
      onCommit(formatLength(Math.max(props.negative ? -Infinity : 0, read.mm + direction * step), tape));
      return true;
    },
  });

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
