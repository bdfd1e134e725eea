"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";

/** A short list to choose from, labelled on its left. */
export function Choice<T extends string>(props: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onChange: (value: T) => void;
  /** Width of the list in pixels. */
  readonly width?: number;
}) {
  return (
    <label
      style={{
        display: "grid",
        gridTemplateColumns: `1fr ${props.width ?? 128}px`,
        alignItems: "center",
        gap: 8,
        minHeight: 34,
      }}
    >
      <span style={{ fontStretch: "85%" }}>{props.label}</span>
      <TextField
        select
        value={props.value}
        slotProps={{ select: { "aria-label": props.label } as object }}
        onChange={(event) => props.onChange(event.target.value as T)}
      >
        {props.options.map(([value, text]) => (
          <MenuItem key={value} value={value}>
            {text}
          </MenuItem>
        ))}
      </TextField>
    </label>
  );
}
