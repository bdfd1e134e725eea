"use client";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";

interface Props<V extends string> {
  /** What is chosen here, for who cannot see it. */
  readonly label: string;
  readonly value: V;
  readonly options: readonly {
    readonly value: V;
    readonly word: string;
    readonly spoken?: string;
    readonly lang?: string;
  }[];
  readonly onChoose: (next: V) => void;
}

/** One of a few, chosen in the dark head of a page. */
export function HeaderToggle<V extends string>({ label, value, options, onChoose }: Props<V>) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={value}
      aria-label={label}
      onChange={(_, next: V | null) => next && onChoose(next)}
    >
      {options.map((option) => (
        <ToggleButton key={option.value} value={option.value} lang={option.lang} aria-label={option.spoken} sx={style}>
          {option.word}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

const style = {
  color: "#dfe9d8",
  borderColor: "rgb(255 255 255 / 28%)",
  textTransform: "none",
  py: 0.3,
  px: 1.2,
  "&.Mui-selected, &.Mui-selected:hover": { bgcolor: "#f6f7f2", color: "#14302a", fontWeight: 700 },
} as const;
