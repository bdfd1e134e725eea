"use client";
import { phrase } from "@/core/words";
import Checkbox from "@mui/material/Checkbox";
import TextField from "@mui/material/TextField";
import type { ReactNode } from "react";
import type { Derived } from "@/core/derive";
import type { Step } from "@/core/making";
import { formatLength, sameSentence, type Tape, NOTHING } from "@/core/units";
import type { MakingProgress } from "@/store/makingStore";
import { MiniOutline } from "@/ui/MiniOutline";
import { Sentence } from "@/ui/Sentence";

interface Props {
  /** What stands before the first step. */
  readonly head: ReactNode;
  readonly order: readonly Step[];
  /** The step that was searched for. */
  readonly at: number | null;
  readonly pieces: Derived["pieces"];
  readonly tape: Tape;
  readonly progress: MakingProgress | null;
  readonly onChange: (recipe: (now: MakingProgress) => MakingProgress) => void;
}

/** What is done one after the other, with a small picture of what it works on; ticked off with the minutes it took. */
export function OrderView({ head, order, at, pieces, tape, progress, onChange }: Props) {
  const done = progress?.done ?? {};
  const names = new Map(order.map((o) => [o.id, o.n]));
  return (
    <div style={{ overflowY: "auto", height: "100%" }}>
      {head}
      <ol aria-label="Making order" style={{ listStyle: "none", margin: 0, padding: "0 24px 40px" }}>
        {order.map((step) => {
          const isDone = done[step.id] !== undefined;
          const shown = pieces
            .filter((p) => step.pieces.includes(p.id))
            .map((p) => p.panel)
            .slice(0, 3);
          const tick = (now: MakingProgress): MakingProgress => {
            const { [step.id]: had, ...rest } = now.done;
            return {
              ...now,
              done: had
                ? rest
                : {
                    ...now.done,
                    [step.id]: { at: new Date().toISOString(), minutes: null, doing: step.doing, guess: step.minutes },
                  },
            };
          };
          return (
            <li
              key={step.id}
              ref={step.n === at ? (element) => element?.scrollIntoView({ block: "center" }) : undefined}
              style={{
                background: step.n === at ? "var(--chalk-wash)" : undefined,
                display: "grid",
                gridTemplateColumns: "40px 74px 1fr 92px",
                gap: 10,
                alignItems: "center",
                borderBottom: "1px solid var(--rule)",
                minHeight: 62,
              }}
            >
              <Checkbox
                checked={isDone}
                onChange={() => onChange(tick)}
                slotProps={{ input: { "aria-label": phrase`Step ${step.n} done` } }}
              />
              <div>{shown.length > 0 ? <MiniOutline panels={shown} width={64} height={50} /> : null}</div>
              <div style={{ lineHeight: 1.35 }}>
                <b>{step.n}.</b>{" "}
                <span style={{ textDecoration: isDone ? "line-through" : undefined }}>
                  <Sentence says={step.says} tape={tape} />
                </span>
                <div style={{ color: "var(--quiet)", fontSize: 13 }}>
                  {step.allowance !== null ? phrase`allowance ${formatLength(step.allowance, tape)}; ` : ""}
                  {step.after.length > 0
                    ? phrase`after ${step.after
                        .map((id) => names.get(id))
                        .sort((a, b) => (a ?? 0) - (b ?? 0))
                        .join(", ")}`
                    : "may be done first"}
                </div>
                {step.caution && !sameSentence(step.caution, order[step.n - 2]?.caution ?? NOTHING) ? (
                  <div style={{ color: "var(--look)", fontSize: 13 }}>
                    <Sentence says={step.caution} tape={tape} />
                  </div>
                ) : null}
              </div>
              {isDone ? (
                <TextField
                  type="number"
                  size="small"
                  value={done[step.id]?.minutes ?? ""}
                  placeholder={String(step.minutes)}
                  slotProps={{ htmlInput: { "aria-label": phrase`Minutes for step ${step.n}`, min: 0, max: 6000 } }}
                  onChange={(event) => {
                    const minutes =
                      event.target.value === "" ? null : Math.max(0, Math.min(6000, Number(event.target.value)));
                    onChange((now) => ({
                      ...now,
                      done: { ...now.done, [step.id]: { ...(now.done[step.id] ?? { at: "" }), minutes } },
                    }));
                  }}
                />
              ) : (
                <span style={{ color: "var(--quiet)", textAlign: "right" }}>about {step.minutes} min</span>
              )}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
