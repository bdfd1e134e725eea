"use client";
import { useCallback } from "react";
import type { Job } from "@/core/files";
import { listDays } from "@/store/dayStore";
import { dayOf } from "@/ui/dayOf";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { useRead } from "@/ui/useRead";

interface Props {
  readonly id: string;
  readonly onReturn: (job: Job, date: string) => void;
}

/** The job as it stood at the end of each day on which it was changed. */
export function DaysList({ id, onReturn }: Props) {
  const read = useCallback(() => listDays(id), [id]);
  const days = useRead(read) ?? [];
  return (
    <section aria-label="Days before" style={{ marginTop: 18 }}>
      <PaneHeading>As it was at the end of a day</PaneHeading>
      {days.length === 0 ? (
        <p style={{ color: "var(--quiet)", lineHeight: 1.4, margin: 0 }}>
          From tomorrow on, with the first change of a day, the job is kept here as the day before left it.
        </p>
      ) : (
        <ul style={{ listStyle: "none", margin: 0, padding: 0, maxHeight: 220, overflowY: "auto" }}>
          {days.map(({ date, job }) => (
            <li
              key={date}
              style={{ display: "flex", justifyContent: "space-between", minHeight: 30, alignItems: "center" }}
            >
              <span>{dayOf(date)}</span>
              <Quiet onPress={() => onReturn(job, date)}>Return to it</Quiet>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
