"use client";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { MOST_VERSIONS } from "@/core/derive/versions";
import type { Job, Version } from "@/core/files";
import { PaneHeading } from "@/ui/StageLayout";
import { dayOf } from "@/ui/dayOf";

/** The pattern as it stands, among its versions. */
export const NOW = "now";

interface Props {
  readonly job: Job;
  readonly cut: ReadonlySet<string>;
  readonly first: string;
  readonly second: string;
  readonly onChoose: (first: string, second: string) => void;
  readonly onKeep: (name: string) => void;
  readonly onReturn: (version: Version) => void;
  readonly onName: (version: Version, name: string) => void;
}

/** Versions as a line in time: two are chosen and laid over each other, one is returned to or named. */
export function VersionLine({ job, cut, first, second, onChoose, onKeep, onReturn, onName }: Props) {
  const [name, setName] = useState("");
  const [naming, setNaming] = useState<string | null>(null);
  const versions = job.versions ?? [];
  const places = [...versions.map((v) => [v.id, v] as const), [NOW, null] as const];
  return (
    <section aria-label="Versions">
      <PaneHeading>Versions, oldest first</PaneHeading>
      <ol style={{ listStyle: "none", margin: 0, padding: "0 0 0 10px", borderLeft: "2px solid var(--chalk)" }}>
        {places.map(([id, version]) => (
          <li key={id} style={{ padding: "6px 0 8px 4px", lineHeight: 1.4 }}>
            {version && naming === id ? (
              <TextField
                autoFocus
                fullWidth
                defaultValue={version.name}
                slotProps={{ htmlInput: { "aria-label": "Name of the version", maxLength: 80 } }}
                onBlur={(event) => {
                  if (event.target.value.trim()) onName(version, event.target.value.trim());
                  setNaming(null);
                }}
                onKeyDown={(event) => event.key === "Enter" && (event.target as HTMLInputElement).blur()}
              />
            ) : (
              <b>{version ? version.name : "As it is now"}</b>
            )}{" "}
            <span style={{ color: "var(--quiet)" }}>
              {version ? dayOf(version.date) : ""}
              {version && cut.has(version.id) ? ", cut" : ""}
            </span>
            <div style={{ display: "flex", gap: 14, flexWrap: "wrap" }}>
              <label style={{ minHeight: 28 }}>
                <input type="radio" name="first" checked={first === id} onChange={() => onChoose(id, second)} /> pale
              </label>
              <label style={{ minHeight: 28 }}>
                <input type="radio" name="second" checked={second === id} onChange={() => onChoose(first, id)} /> bold
              </label>
              {version ? (
                <>
                  <Button size="small" sx={{ px: 0, minWidth: 0 }} onClick={() => onReturn(version)}>
                    Return to it
                  </Button>
                  <Button size="small" sx={{ px: 0, minWidth: 0 }} onClick={() => setNaming(version.id)}>
                    Name
                  </Button>
                </>
              ) : null}
            </div>
          </li>
        ))}
      </ol>
      <form
        style={{ display: "flex", gap: 8, marginTop: 10 }}
        onSubmit={(event) => {
          event.preventDefault();
          onKeep(name.trim());
          setName("");
        }}
      >
        <TextField
          value={name}
          fullWidth
          placeholder="Name for today’s"
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { "aria-label": "Name for today’s version", maxLength: 80 } }}
        />
        <Button type="submit" variant="outlined" disabled={versions.length >= MOST_VERSIONS}>
          Keep
        </Button>
      </form>
    </section>
  );
}
