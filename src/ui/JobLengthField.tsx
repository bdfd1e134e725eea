"use client";
import type { Job } from "@/core/files";
import { formatLength, keptText, tellSum, type Mm, type Sentence } from "@/core/units";
import { setAtPath } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { faultAt, useOpenJob } from "./JobContext";
import { LengthField } from "./LengthField";

interface Props {
  readonly label: string;
  /** Where in the job the length is kept. */
  readonly path: readonly (string | number)[];
  /** What it comes to now. */
  readonly mm: Mm | null;
  readonly changed: boolean;
  readonly note?: Sentence;
  readonly negative?: boolean;
  /** Prepares the draft before the value is set, where the path does not exist yet. */
  readonly prepare?: (draft: Job) => void;
}

/** A length of the job as a labelled line: what it is now; bold when it is not the usual one; emptied, it goes back. */
export function JobLengthField({ label, path, mm, changed, note, negative, prepare }: Props) {
  const { job, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  return (
    <div style={{ display: "grid", gridTemplateColumns: "1fr 128px", gap: 8, alignItems: "start", minHeight: 34 }}>
      <span
        style={{ fontStretch: "85%", paddingTop: 5, fontWeight: changed ? 700 : 450 }}
        title={note && tellSum(note, tape)}
      >
        {label}
      </span>
      <LengthField
        label={label}
        hideLabel
        allowEmpty
        negative={negative}
        placeholder={mm === null ? "by itself" : undefined}
        text={mm === null ? "" : formatLength(mm, tape)}
        unit={tape}
        tape={tape}
        error={faultAt(fault, path.join("."), tape)}
        onCommit={(text) =>
          changeJob((draft) => {
            prepare?.(draft);
            setAtPath(draft, path, text === "" ? undefined : keptText(text, tape, job.body.unit));
          })
        }
      />
    </div>
  );
}
