"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import { setView, useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Sentence } from "@/ui/Sentence";

/** Steps through the restyling as through the block: the pattern after each line of the worksheet, and what it drew. */
export function LineSlider() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const afterLine = useView((v) => v.afterLine);
  const lines = shape?.worksheet ?? [];
  const last = lines.length - 1;
  if (last < 1) return null;
  const at = Math.min(afterLine ?? last, last);
  const line = afterLine === null ? undefined : lines[at];
  const go = (to: number): void => setView({ afterLine: to });
  return (
    <section
      aria-label="The pattern after each line"
      style={{ borderTop: "1px solid var(--rule)", background: "var(--panel)", padding: "4px 18px" }}
    >
      {line ? (
        <p aria-live="polite" style={{ margin: "4px 0 0", fontSize: 16, lineHeight: 1.35 }}>
          <b>
            {at + 1} of {last + 1}.
          </b>{" "}
          <Sentence says={line.passed ?? line.sentence} tape={tape} />
        </p>
      ) : null}
      <div style={{ display: "grid", gridTemplateColumns: "auto 1fr auto", gap: 16, alignItems: "center" }}>
        <span style={{ color: "var(--quiet)" }}>After line</span>
        <Slider
          size="small"
          aria-label="The pattern after this line of the worksheet"
          min={0}
          max={last}
          step={1}
          marks
          value={at}
          getAriaValueText={(value) => phrase`after line ${value + 1} of ${last + 1}`}
          onChange={(_event, value) => go(value as number)}
          sx={{ color: "var(--chalk)" }}
        />
        <Button size="small" disabled={afterLine === null} onClick={() => setView({ afterLine: null })}>
          Whole pattern
        </Button>
      </div>
    </section>
  );
}
