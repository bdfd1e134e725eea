"use client";
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import { useEffect, useState } from "react";
import type { Numbers, Step } from "@/core/drafting";
import type { Panel } from "@/core/pattern";
import { roundToTape, tellSum, type Tape, textOf } from "@/core/units";
import { Length } from "@/ui/Length";
import { Sentence } from "@/ui/Sentence";

const EVERY_MS = 2200;

interface Props {
  readonly steps: readonly Step[];
  readonly panels: readonly Panel[];
  readonly numbers: Numbers;
  readonly tape: Tape;
  readonly at: number;
  readonly onChange: (step: number) => void;
}

/** The ink of a panel: fronts are drawn in one, backs in the other. */
export const inkOf = (panel: Panel | undefined): string => (panel?.is.root === "back" ? "var(--back)" : "var(--front)");

/** The construction as it is drawn: one step at a time, with its sentence, its sums, and a scrubber. */
export function Playback({ steps, panels, numbers, tape, at, onChange }: Props) {
  const [playing, setPlaying] = useState(false);
  const step = steps.find((s) => s.n === at);
  const panel = panels.find((p) => p.id === step?.panel);
  const last = steps.length;
  useEffect(() => {
    if (!playing) return;
    const timer = setTimeout(() => (at >= last ? setPlaying(false) : onChange(at + 1)), at >= last ? 0 : EVERY_MS);
    return () => clearTimeout(timer);
  }, [playing, at, last, onChange]);
  if (!step) return null;
  const sums = [...new Set(step.numbers)].flatMap((name) => {
    const q = numbers[name];
    return q ? [{ name, q }] : [];
  });
  return (
    <section
      aria-label="Construction, step by step"
      style={{ borderTop: "1px solid var(--rule)", background: "var(--panel)", padding: "10px 18px 12px" }}
    >
      <p aria-live="polite" style={{ margin: 0, fontSize: 17, lineHeight: 1.4, minHeight: 48 }}>
        <b style={{ color: inkOf(panel) }}>
          {panel ? textOf(panel.name) : "Draft"}, {at} of {last}.
        </b>{" "}
        <Sentence says={step.sentence} tape={tape} />
      </p>
      <ul
        aria-label="Sums of this step"
        style={{
          listStyle: "none",
          margin: "4px 0 6px",
          padding: 0,
          display: "flex",
          flexWrap: "wrap",
          gap: "2px 18px",
          minHeight: 20,
          color: "var(--quiet)",
        }}
      >
        {sums.map(({ name, q }) => (
          <li key={name}>
            <b style={{ color: "var(--text)" }}>
              <Length mm={roundToTape(q.mm, tape).mm} tape={tape} unit />
            </b>{" "}
            = {tellSum(q.sum, tape)}
            {q.asked !== undefined ? (
              <>
                ; asked <Length mm={q.asked} tape={tape} unit />
              </>
            ) : null}
          </li>
        ))}
      </ul>
      <div style={{ display: "grid", gridTemplateColumns: "auto auto auto 1fr", gap: 10, alignItems: "center" }}>
        <Button variant="outlined" disabled={at <= 1} onClick={() => onChange(at - 1)}>
          Back a step
        </Button>
        <Button variant="outlined" disabled={at >= last} onClick={() => onChange(at + 1)}>
          Next step
        </Button>
        <Button
          variant="contained"
          onClick={() => {
            if (!playing && at >= last) onChange(1);
            setPlaying(!playing);
          }}
        >
          {playing ? "Stop" : "Play"}
        </Button>
        <Slider
          size="small"
          aria-label="Step of the construction"
          min={1}
          max={last}
          step={1}
          marks
          value={at}
          onChange={(_event, value) => onChange(value as number)}
          sx={{ color: "var(--chalk)", mx: 1, width: "auto" }}
        />
      </div>
    </section>
  );
}
