"use client";
import type { Exercise } from "@/core/derive/practice";
import { MEASURES } from "@/core/body";
import { formatLength, type Tape, isNothing } from "@/core/units";
import { Sentence } from "../Sentence";
import { PaneHeading } from "../StageLayout";

/** What was to be made: the wearer's measures, the sums of the block, and what each move was asked. The pattern is held against it. */
export function OrderSheet({ exercise, tape }: { readonly exercise: Exercise; readonly tape: Tape }) {
  const { sound, job } = exercise;
  const measured = MEASURES.filter(({ key }) => job.body.measures[key] !== undefined);
  const numbers = Object.entries(sound.block.numbers).filter(([, q]) => !isNothing(q.sum));
  const row = {
    display: "flex",
    justifyContent: "space-between",
    gap: 10,
    borderBottom: "1px solid var(--rule)",
  } as const;
  return (
    <section aria-label="The order">
      <PaneHeading>
        {job.name}, for {job.body.name}
      </PaneHeading>
      <p style={{ margin: "0 0 10px", lineHeight: 1.45 }}>
        This is what was asked. One thing in the pattern is not so: lay the tape, roll the seams, read the numbers, and
        find it.
      </p>
      <PaneHeading>The wearer</PaneHeading>
      {measured.map(({ key, label }) => (
        <div key={key} style={row}>
          <span>{label}</span>
          <b>{formatLength(sound.measures[key].mm, tape)}</b>
        </div>
      ))}
      <PaneHeading>The block’s sums</PaneHeading>
      {numbers.map(([name, q]) => (
        <div key={name} style={{ ...row, fontSize: 13 }}>
          <span style={{ color: "var(--quiet)" }}>
            <Sentence says={q.sum} tape={tape} />
          </span>
          <b style={{ whiteSpace: "nowrap" }}>{formatLength(q.mm, tape)}</b>
        </div>
      ))}
      <PaneHeading>What was done to it</PaneHeading>
      <ol style={{ margin: 0, paddingLeft: 18, lineHeight: 1.4 }}>
        {sound.worksheet
          .filter((l) => l.on && !l.passed)
          .map((l) => (
            <li key={l.id}>
              <Sentence says={l.sentence} tape={tape} />
            </li>
          ))}
      </ol>
      <PaneHeading>Allowances</PaneHeading>
      {(["side", "inseam", "crotch", "waist"] as const).map((kind) => (
        <div key={kind} style={row}>
          <span>{kind}</span>
          <b>{formatLength(sound.allowances.widths[kind], tape)}</b>
        </div>
      ))}
      {sound.hemDepth ? (
        <div style={row}>
          <span>hem</span>
          <b>{formatLength(sound.hemDepth.mm, tape)}</b>
        </div>
      ) : null}
      <PaneHeading>It should measure</PaneHeading>
      {(
        [
          ["Crotch seam, front", sound.readings.crotchSeamFront],
          ["Crotch seam, back", sound.readings.crotchSeamBack],
          ["Hip", sound.readings.hipGirth],
          ["Waist, sewn", sound.readings.waistGirth],
          ["Side seam", sound.readings.outseam],
          ["Hem, one leg", sound.readings.hemGirth],
        ] as const
      ).map(([label, mm]) => (
        <div key={label} style={row}>
          <span>{label}</span>
          <b>{formatLength(mm, tape)}</b>
        </div>
      ))}
    </section>
  );
}
