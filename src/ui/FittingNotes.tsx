"use client";
import { phrase } from "@/core/words";
import { symptomOf, type FittingChange } from "@/core/fitting";
import { formatLength } from "@/core/units";
import { useView } from "@/store/viewStore";
import { dayOf } from "./dayOf";
import { useOpenJob } from "./JobContext";

/** What fittings put on top of a number, with the day and what was seen. */
export function FittingNotes({ changes }: { readonly changes: (change: FittingChange) => boolean }) {
  const { job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const notes = (job.fittings ?? []).flatMap((fitting) =>
    fitting.changes.filter(changes).map((change) => ({ fitting, by: change.by })),
  );
  return (
    <>
      {notes.map(({ fitting, by }, i) => (
        <div
          key={`${fitting.id}-${i}`}
          style={{ color: "var(--chalk-text)", fontSize: 13, fontWeight: 450, marginBottom: 4 }}
        >
          {by >= 0 ? "+" : "−"} {formatLength(Math.abs(by), tape)}, fitting of {dayOf(fitting.date)}:{" "}
          {symptomOf(fitting.seen).label}
          {fitting.alone ? phrase`, ${fitting.pinned} alone` : ""}
        </div>
      ))}
    </>
  );
}
