"use client";
import { inSentence, phrase } from "@/core/words";
import { SYMPTOMS, symptomOf, isOf, type Fitting } from "@/core/fitting";
import { formatLength, type Tape } from "@/core/units";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { dayOf } from "@/ui/dayOf";

/** A change of a fitting in words: what, which way. */
function labelOf(fitting: Fitting, change: Fitting["changes"][number]): string {
  const own = SYMPTOMS.find((s) => s.id === fitting.seen)?.cures.find((c) => isOf(c, change));
  return own?.label ?? "";
}

interface Props {
  readonly fittings: readonly Fitting[];
  readonly tape: Tape;
  readonly onTakeBack: (id: string) => void;
}

/** What fittings have changed of the pattern so far, each with its day, and taken back by one press. */
export function AppliedList({ fittings, tape, onTakeBack }: Props) {
  if (fittings.length === 0) return null;
  return (
    <section aria-label="Changed by fittings" style={{ marginTop: 14 }}>
      <PaneHeading>Changed by fittings</PaneHeading>
      {fittings.map((fitting) => (
        <div key={fitting.id} style={{ borderBottom: "1px solid var(--rule)", padding: "6px 0", lineHeight: 1.4 }}>
          <b>{dayOf(fitting.date)}</b> {symptomOf(fitting.seen).label}
          {fitting.pinned === "both"
            ? ""
            : phrase`, pinned ${fitting.pinned}, ${fitting.alone ? "there alone" : "mirrored"}`}
          {fitting.words ? <div>{fitting.words}</div> : null}
          <div style={{ color: "var(--quiet)" }}>
            {fitting.changes
              .map(
                (change) => phrase`${inSentence(labelOf(fitting, change))} ${formatLength(Math.abs(change.by), tape)}`,
              )
              .join(", ")}
            . <Quiet onPress={() => onTakeBack(fitting.id)}>Take it back</Quiet>
          </div>
        </div>
      ))}
    </section>
  );
}
