"use client";
import { formatLength, type Tape } from "@/core/units";
import type { Readings } from "@/core/inspect";
import { Length } from "./Length";
import { PaneHeading } from "./StageLayout";

const ROWS: readonly (readonly [string, (r: Readings) => number | null])[] = [
  ["Hem, one leg", (r) => r.hemGirth],
  ["Knee, one leg", (r) => r.kneeGirth],
  ["Thigh", (r) => r.thighGirth],
  ["Hip", (r) => r.hipGirth],
  ["Waist", (r) => r.waistGirth],
  ["Crotch seam", (r) => r.crotchSeam],
  ["Side seam", (r) => r.outseam],
  ["Inseam", (r) => r.inseam],
];

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
          {ROWS.map(([label, read]) => {
            const [was, is] = [read(before), read(now)];
            const changed = was === null || is === null || formatLength(was, tape) !== formatLength(is, tape);
            return (
              <tr key={label} style={{ borderBottom: "1px solid var(--rule)", height: 28 }}>
                <th scope="row" style={{ textAlign: "left", fontWeight: 450, fontStretch: "85%" }}>
                  {label}
                </th>
                <td style={{ textAlign: "right", color: "var(--quiet)", whiteSpace: "nowrap" }}>
                  {was === null ? "none" : <Length mm={was} tape={tape} />} to
                </td>
                <td
                  style={{
                    textAlign: "right",
                    fontWeight: changed ? 700 : 450,
                    width: 82,
                    fontSize: changed ? 15 : 14,
                  }}
                >
                  {is === null ? "none" : <Length mm={is} tape={tape} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
