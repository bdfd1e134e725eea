"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import { useState } from "react";
import { MOST_VERSIONS, takeOver, versionOf } from "@/core/derive/versions";
import { changeJob } from "@/store/jobStore";
import { UNDOABLE } from "@/ui/undoable";
import { setView, useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { ReadingsTable } from "@/ui/ReadingsPane";
import { PaneHeading } from "@/ui/StageLayout";
import { useVersionOver } from "@/ui/useVersionOver";

/** Versions of the pattern: kept under a name, laid over the present one with what differs, and returned to. */
export function VersionPane() {
  const { job, shape } = useOpenJob();
  const { over: overId, tape } = useView();
  const over = useVersionOver(job);
  const { enqueueSnackbar } = useSnackbar();
  const [name, setName] = useState("");
  const versions = job.versions ?? [];
  const full = versions.length >= MOST_VERSIONS;

  function keep(): void {
    const today = new Date().toISOString().slice(0, 10);
    const called = name.trim() || phrase`Version ${versions.length + 1}`;
    changeJob((draft) => {
      draft.versions = [...(draft.versions ?? []), versionOf(job, nanoid(8), called, today)];
    });
    setName("");
  }

  return (
    <section aria-label="Versions">
      <PaneHeading>Keep this version</PaneHeading>
      <form
        style={{ display: "flex", gap: 8, marginBottom: 12 }}
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <TextField
          label="Name of the version"
          value={name}
          fullWidth
          slotProps={{ htmlInput: { maxLength: 80, autoComplete: "off" } }}
          onChange={(event) => setName(event.target.value)}
        />
        <Button type="submit" variant="outlined" disabled={full}>
          Keep
        </Button>
      </form>
      {full ? <p style={{ color: "var(--look)" }}>A job keeps {MOST_VERSIONS} versions. Remove one first.</p> : null}
      {versions.length === 0 ? (
        <p style={{ margin: 0, color: "var(--quiet)" }}>
          None is kept yet. A version holds block, style, moves, finishes and allowances; card and cloth stay the job’s.
        </p>
      ) : (
        <ul style={{ listStyle: "none", margin: "0 0 12px", padding: 0 }}>
          {versions.map((version) => (
            <li key={version.id} style={{ borderTop: "1px solid var(--rule)", padding: "6px 0" }}>
              <b>{version.name}</b> <span style={{ color: "var(--quiet)" }}>{version.date}</span>
              <div>
                <Button
                  sx={{ px: 0, mr: 1.5 }}
                  aria-pressed={overId === version.id}
                  onClick={() => setView({ over: overId === version.id ? null : version.id })}
                >
                  {overId === version.id ? "Take off" : "Lay over"}
                </Button>
                <Button
                  sx={{ px: 0, mr: 1.5 }}
                  onClick={() => {
                    changeJob((draft) => takeOver(draft, version));
                    enqueueSnackbar(phrase`Back at “${version.name}”.`, UNDOABLE);
                  }}
                >
                  Return to it
                </Button>
                <Button
                  sx={{ px: 0 }}
                  onClick={() =>
                    changeJob((draft) => void (draft.versions = draft.versions?.filter((v) => v.id !== version.id)))
                  }
                >
                  Remove
                </Button>
              </div>
            </li>
          ))}
        </ul>
      )}
      {over && shape ? (
        <ReadingsTable before={over.readings} now={shape.readings} tape={tape} first={`“${over.name}”`} />
      ) : null}
    </section>
  );
}
