"use client";
import { memo } from "react";
import { formatLength, type Mm, type Tape } from "@/core/units";
import type { Readings } from "@/core/inspect";
import { useView } from "@/store/viewStore";
import { useLiveJob } from "./JobContext";
import { Length } from "./Length";
import { PaneHeading } from "./StageLayout";

const bust = (r: Readings): Mm | null => r.bustGirth;

const ROWS: readonly (readonly [string, (r: Readings) => number | null])[] = [
  ["Hem, one leg", (r) => r.hemGirth],
  ["Knee, one leg", (r) => r.kneeGirth],
  ["Thigh", (r) => r.thighGirth],
  ["Hip", (r) => r.hipGirth],
  ["Waist", (r) => r.waistGirth],
  ["Crotch seam", (r) => r.crotchSeam],
  ["Side seam", (r) => r.outseam],
  ["Inseam", (r) => r.inseam],
  ["Bust", bust],
];

/** Of a top there is nothing to read below its hem. */
const TOP_ROWS: typeof ROWS = [
  ["Bust", bust],
  ["Hem, all round", (r) => r.hemGirth],
];

/** The rows that say something of this garment. */
const rowsOf = (now: Readings): typeof ROWS =>
  now.outseam === 0 ? TOP_ROWS : ROWS.filter(([, read]) => read !== bust || read(now) !== null);

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
          {rowsOf(now).map(([label, read]) => (
            <Row key={label} label={label} was={read(before)} is={read(now)} tape={tape} />
          ))}
        </tbody>
      </table>
    </section>
  );
}
