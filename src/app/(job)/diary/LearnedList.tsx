"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useEffect, useState } from "react";
import { learnedFrom, SYMPTOMS, symptomOf, type Learned } from "@/core/fitting";
import { formatLength, type Tape } from "@/core/units";
import { listJobs } from "@/store/database";
import { PaneHeading } from "@/ui/StageLayout";

interface Props {
  readonly id: string;
  readonly wearer: string;
  readonly tape: Tape;
  /** Labels of corrections this job has already. */
  readonly has: (learned: Learned) => boolean;
  readonly onTake: (learned: Learned) => void;
}

/** What the wearer's other garments were corrected by more than once: offered to this one, taken or left. */
export function LearnedList({ id, wearer, tape, has, onTake }: Props) {
  const [learned, setLearned] = useState<readonly Learned[]>([]);
  useEffect(() => {
    let wanted = true;
    listJobs().then(
      ({ records }) => {
        const own = records.filter(
          (r) => r.id !== id && r.job.body.name.trim() === wearer.trim() && wearer.trim() !== "",
        );
        if (wanted)
          setLearned(
            learnedFrom(
              own.map((r) => r.job),
              SYMPTOMS,
            ),
          );
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [id, wearer]);
  if (learned.length === 0) return null;
  return (
    <section aria-label="Learned">
      <PaneHeading>Learned with {wearer}</PaneHeading>
      {learned.map((own) => (
        <div
          key={own.label}
          style={{
            display: "grid",
            gridTemplateColumns: "1fr auto auto",
            gap: 10,
            alignItems: "center",
            borderBottom: "1px solid var(--rule)",
            minHeight: 36,
          }}
        >
          <span>
            {own.label}, {own.times === 2 ? "twice" : phrase`${own.times} times`}
            <span style={{ display: "block", color: "var(--quiet)", fontSize: 13 }}>{symptomOf(own.seen).label}</span>
          </span>
          <b>{formatLength(Math.abs(own.change.by), tape)}</b>
          {has(own) ? (
            <span style={{ color: "var(--quiet)" }}>taken</span>
          ) : (
            <Button size="small" variant="outlined" onClick={() => onTake(own)}>
              Take it
            </Button>
          )}
        </div>
      ))}
    </section>
  );
}
