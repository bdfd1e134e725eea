"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { wordsOn, type Words } from "@/core/units";
import { useView } from "@/store/viewStore";

/** A short list to choose from, labelled on its left, or above it where the room is narrow. */
export function Choice<T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, Words])[];
  readonly onChange: (value: T) => void;
  /** Width of the list in pixels; `above` gives it the whole width. */
  readonly width?: number | "above";
}) {
  const tape = useView((v) => v.tape);
  const above = props.width === "above";
  return (
    <label
      style={{
        display: "grid",
        gridTemplateColumns: above ? "1fr" : `1fr ${props.width ?? 128}px`,
        alignItems: "center",
        gap: above ? 2 : 8,
        minHeight: 34,
      }}
    >
      <span style={{ fontStretch: "85%", fontSize: above ? 13 : undefined }}>{props.label}</span>
      <TextField
        select
        value={props.value}
        slotProps={{ select: { "aria-label": props.label } as object }}
        onChange={(event) => props.onChange(event.target.value as T)}
      >
        {props.options.map(([value, text]) => (
          <MenuItem key={value} value={value}>
            {wordsOn(text, tape)}
          </MenuItem>
        ))}
      </TextField>
    </label>
  );
}
