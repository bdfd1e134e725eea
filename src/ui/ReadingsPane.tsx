"use client";
import { memo } from "react";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { readingRows } from "@/core/inspect/readingRows";
import type { Readings } from "@/core/inspect/readings";
import { useView } from "@/store/viewStore";
import { useLiveJob } from "./JobContext";
import { Length } from "./Length";
import { PaneHeading } from "./StageLayout";

/** The readings of what lies on the table, which follow a pulled handle in the same frame. */
export function LiveReadings() {
  const { shape } = useLiveJob();
  const tape = useView((v) => v.tape);
  return shape ? <ReadingsTable before={shape.blockReadings} now={shape.readings} tape={tape} /> : null;
}

interface RowProps {
  readonly label: string;
  readonly was: Mm | null;
  readonly is: Mm | null;
  readonly tape: Tape;
}

const Row = memo(function Row({ label, was, is, tape }: RowProps) {
  const changed = was === null || is === null || formatLength(was, tape) !== formatLength(is, tape);
  return (
    <tr style={{ borderBottom: "1px solid var(--rule)", height: 28 }}>
      <th scope="row" style={{ textAlign: "left", fontWeight: 450, fontStretch: "85%" }}>
        {label}
      </th>
      <td style={{ textAlign: "right", color: "var(--quiet)", whiteSpace: "nowrap" }}>
        {was === null ? "none" : <Length mm={was} tape={tape} />} to
      </td>
      <td style={{ textAlign: "right", fontWeight: changed ? 700 : 450, width: 82, fontSize: changed ? 15 : 14 }}>
        {is === null ? "none" : <Length mm={is} tape={tape} />}
      </td>
    </tr>
  );
});

/** Measured numbers: the block's, and now. What changed is bold. */
export function ReadingsTable({
  before,
  now,
  tape,
  first = "block",
}: {
  readonly before: Readings;
  readonly now: Readings;
  readonly tape: Tape;
  /** What the first column is. */
  readonly first?: string;
}) {
  return (
    <section aria-label="Readings">
      <PaneHeading>
        Readings, {first} and now, {tape === "in" ? "inches" : "centimetres"}
      </PaneHeading>
      <table style={{ width: "100%", borderCollapse: "collapse" }}>
        <tbody>
          {readingRows(now)
            .filter(({ isHalf }) => !isHalf)
            .map(({ label, read }) => (
              <Row key={label} label={label} was={read(before)} is={read(now)} tape={tape} />
            ))}
        </tbody>
      </table>
    </section>
  );
}
