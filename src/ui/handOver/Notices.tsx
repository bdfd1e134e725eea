"use client";
import type { DeriveFault } from "@/core/derive/shape";
import type { Sentence as Says, Tape } from "@/core/units";
import { Sentence } from "../Sentence";

interface Props {
  readonly fault: DeriveFault | null;
  readonly notices: readonly Says[];
  readonly tape: Tape;
}

/** What must be said before cutting. Nothing of it blocks. */
export function Notices({ fault, notices, tape }: Props) {
  return (
    <>
      {fault ? (
        <p style={{ color: "var(--fault)", margin: "0 0 8px" }}>
          As it stands this cannot be drawn:{" "}
          {fault.errors[0] ? <Sentence says={fault.errors[0].says} tape={tape} /> : null}
        </p>
      ) : null}
      {notices.length > 0 ? (
        <>
          <b>Printed with the pattern</b>
          <ul style={{ margin: "6px 0 0", paddingLeft: 18 }}>
            {notices.map((n, i) => (
              <li key={i}>
                <Sentence says={n} tape={tape} />
              </li>
            ))}
          </ul>
        </>
      ) : (
        <span style={{ color: "var(--pass)" }}>Nothing is open: every measure taken, nothing undecided, no fault.</span>
      )}
      <p style={{ color: "var(--quiet)", margin: "10px 0 0" }}>
        Shears and rotary blades: cut away from the hand, close them after use.
      </p>
    </>
  );
}
