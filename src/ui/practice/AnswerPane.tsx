"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Exercise, Mistake } from "@/core/derive/practice";
import { readingRows } from "@/core/inspect/readingRows";
import { formatLength, parseLength, tapeDivision, type Tape, textOf, inside } from "@/core/units";
import { LengthField } from "../LengthField";
import { PaneHeading } from "../StageLayout";

interface Props {
  readonly exercise: Exercise;
  readonly tape: Tape;
  readonly onAnswer: (isFound: boolean) => void;
  readonly onNext: () => void;
}

/** What is read on the spoilt pattern, and the learner's answer: which mistake it is, and what it has to measure. */
export function AnswerPane({ exercise, tape, onAnswer, onNext }: Props) {
  const { mistake, found, right, offered, derived } = exercise;
  const [named, setNamed] = useState<Mistake | null>(null);
  const [mended, setMended] = useState("");
  const [isOver, setOver] = useState(false);
  const typed = parseLength(mended, tape);
  const isMended = typed.ok && Math.abs(typed.mm - right) <= 2 * tapeDivision(tape);
  const isNamed = named === mistake;
  return (
    <section aria-label="What is wrong">
      <PaneHeading>Read on this pattern</PaneHeading>
      {readingRows(derived.readings).map(({ label, read }) => {
        const mm = read(derived.readings);
        return mm === null ? null : (
          <div
            key={label}
            style={{ display: "flex", justifyContent: "space-between", borderBottom: "1px solid var(--rule)" }}
          >
            <span>{label}</span>
            <b>{formatLength(mm, tape)}</b>
          </div>
        );
      })}
      <PaneHeading>What is wrong?</PaneHeading>
      <fieldset style={{ border: 0, margin: 0, padding: 0 }} disabled={isOver}>
        <legend className="visually-hidden" style={{ position: "absolute", left: -9999 }}>
          What is wrong with this pattern
        </legend>
        {offered.map((m) => (
          <label key={m.id} style={{ display: "flex", gap: 8, alignItems: "baseline", minHeight: 32, lineHeight: 1.3 }}>
            <input type="radio" name="mistake" checked={named === m} onChange={() => setNamed(m)} />
            <span style={{ fontWeight: isOver && m === mistake ? 700 : 450 }}>{textOf(m.label)}</span>
          </label>
        ))}
      </fieldset>
      {named && !isOver ? (
        <div
          style={{ display: "grid", gridTemplateColumns: "1fr 104px", gap: 8, alignItems: "center", margin: "8px 0" }}
        >
          <span>{textOf(named.measure)}: it should be</span>
          <LengthField
            label="It should measure"
            hideLabel
            allowEmpty
            text={mended}
            unit={tape}
            tape={tape}
            onCommit={setMended}
          />
        </div>
      ) : null}
      {isOver ? (
        <div
          role="status"
          style={{
            borderLeft: `4px solid var(--${isNamed ? "pass" : "look"})`,
            paddingLeft: 10,
            margin: "10px 0",
            lineHeight: 1.45,
          }}
        >
          <b>
            {isNamed
              ? isMended
                ? "Found, and mended."
                : "Found."
              : phrase`It was this: ${textOf(inside(mistake.label))}.`}
          </b>{" "}
          {textOf(mistake.measure)}: {formatLength(found, tape)}, and {formatLength(right, tape)} is right.{" "}
          {textOf(mistake.explains)}
        </div>
      ) : null}
      <div style={{ display: "flex", gap: 8, margin: "10px 0 16px" }}>
        {isOver ? (
          <Button variant="contained" onClick={onNext}>
            The next one
          </Button>
        ) : (
          <Button
            variant="contained"
            disabled={named === null}
            onClick={() => {
              setOver(true);
              onAnswer(isNamed);
            }}
          >
            That is it
          </Button>
        )}
      </div>
    </section>
  );
}
