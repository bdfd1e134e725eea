"use client";
import type { SizeRow } from "@/core/derive/sizeSet";
import type { Tape } from "@/core/units";
import { Length } from "../Length";

interface Props {
  readonly names: readonly string[];
  readonly rows: readonly SizeRow[];
  readonly tape: Tape;
}

/** What the garment measures in every size, and by how much each differs from the first. */
export function SizeTable({ names, rows, tape }: Props) {
  return (
    <table style={{ borderCollapse: "collapse", width: "100%" }}>
      <thead>
        <tr>
          <th scope="col" style={{ textAlign: "left" }}>
            Measures
          </th>
          {names.map((name) => (
            <th key={name} scope="col" style={{ textAlign: "right", paddingLeft: 10 }}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ label, mm }) => (
          <tr key={label} style={{ borderTop: "1px solid var(--rule)" }}>
            <th scope="row" style={{ textAlign: "left", fontWeight: 450 }}>
              {label}
            </th>
            {mm.map((value, i) => (
              <td key={i} style={{ textAlign: "right", paddingLeft: 10, whiteSpace: "nowrap" }}>
                {value === null ? "none" : <Length mm={value} tape={tape} />}
                {i > 0 && value !== null && mm[0] !== null && mm[0] !== undefined && Math.abs(value - mm[0]) > 0.5 ? (
                  <span style={{ color: "var(--quiet)" }}>
                    {" "}
                    {value >= mm[0] ? "+" : "−"}
                    <Length mm={Math.abs(value - mm[0])} tape={tape} />
                  </span>
                ) : null}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
