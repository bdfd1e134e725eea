"use client";
import Button from "@mui/material/Button";
import { drawnOtherwise } from "@/core/derive/editions";
import { tapeOf } from "@/core/units";
import { changeJob, useJobStore } from "@/store/jobStore";
import { Sentence } from "./Sentence";

/** Said once of a job that was kept by an earlier Eland: what of it is drawn otherwise now. */
export function EditionNotice() {
  const job = useJobStore((s) => s.job);
  const changes = job ? drawnOtherwise(job) : [];
  if (!job || changes.length === 0) return null;
  return (
    <div
      role="note"
      aria-label="Drawn otherwise now"
      style={{
        display: "flex",
        gap: 16,
        padding: "8px 16px",
        background: "var(--chalk-wash)",
        color: "var(--chalk-text)",
      }}
    >
      <div style={{ flex: 1 }}>
        <b>An earlier Eland kept this job. Drawn otherwise now:</b>
        <ul style={{ margin: "4px 0 0", paddingLeft: 18 }}>
          {changes.map((says, i) => (
            <li key={i}>
              <Sentence says={says} tape={tapeOf(job.body.unit)} />
            </li>
          ))}
        </ul>
      </div>
      <Button sx={{ alignSelf: "start" }} onClick={() => changeJob((draft) => void delete draft.edition)}>
        Understood
      </Button>
    </div>
  );
}
