"use client";
import { roundingNote, tellSum } from "@/core/units";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";

const SHOWN: readonly (readonly [string, string])[] = [
  ["crotchDepth", "Crotch depth"],
  ["frontWidth", "Front width"],
  ["backWidth", "Back width"],
  ["frontExtension", "Front extension"],
  ["backExtension", "Back extension"],
  ["waistQuarter", "Waist, a quarter"],
  ["frontHollow", "Front hollow"],
  ["backHollow", "Back hollow"],
  ["backCrotchDrop", "Back crotch lowered"],
  ["blockLegGirth", "Leg"],
  ["bustQuarter", "Bust, a quarter"],
  ["backLength", "Bodice back, nape to waist"],
  ["frontLength", "Bodice front, over the bust"],
  ["frontLonger", "Front longer than back"],
  ["bustDart", "Bust dart"],
  ["shoulder", "Shoulder"],
  ["underarm", "Underarm, below the neck's end"],
  ["armhole", "Armhole"],
];

/** The numbers of the draft, each with its sum, and what rounding to the tape does to it. */
export function NumberList() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  if (!shape) return null;
  return (
    <section aria-label="Numbers" style={{ marginTop: 18 }}>
      <PaneHeading>Numbers and their sums</PaneHeading>
      <dl style={{ margin: 0 }}>
        {SHOWN.map(([name, label]) => {
          const q = shape.drafted.numbers[name];
          if (!q) return null;
          const note = roundingNote(q.mm, tape);
          return (
            <div
              key={name}
              style={{
                display: "grid",
                gridTemplateColumns: "1fr auto",
                borderBottom: "1px solid var(--rule)",
                padding: "5px 0",
              }}
            >
              <dt style={{ fontStretch: "85%" }}>{label}</dt>
              <dd style={{ margin: 0, fontWeight: 700, fontStyle: q.estimated ? "italic" : undefined }}>
                <Length mm={q.mm} tape={tape} unit />
              </dd>
              <dd style={{ margin: 0, gridColumn: "1 / 3", color: "var(--quiet)", fontSize: 13 }}>
                {tellSum(q.sum, tape)}
                {q.asked !== undefined ? (
                  <>
                    ; asked <Length mm={q.asked} tape={tape} />, drawn <Length mm={q.mm} tape={tape} />
                  </>
                ) : null}
                {note ? `; ${note}` : ""}
                {q.estimated ? "; rests on an estimate" : ""}
              </dd>
            </div>
          );
        })}
      </dl>
    </section>
  );
}
