"use client";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { setView, useView } from "@/store/viewStore";

/** What the hand does on the pieces: look, roll two edges along each other, or lay the tape. */
export function Tools() {
  const tool = useView((v) => v.tool);
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={tool}
      aria-label="Tool"
      sx={{
        mb: 1.5,
        "& .MuiToggleButton-root": { color: "var(--text)", fontStretch: "85%", px: 1.25, textTransform: "none" },
      }}
      onChange={(_, next: "none" | "roll" | "tape" | null) => next && setView({ tool: next })}
    >
      <ToggleButton value="none">Pieces</ToggleButton>
      <ToggleButton value="roll">Roll the seams</ToggleButton>
      <ToggleButton value="tape">Lay the tape</ToggleButton>
    </ToggleButtonGroup>
  );
}
