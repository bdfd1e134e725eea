"use client";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { readLength, type LengthInput, type Mm } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { JobLengthField } from "@/ui/JobLengthField";
import { PaneHeading } from "@/ui/StageLayout";

const STRETCHES = [
  ["0", "none"],
  ["0.1", "a tenth"],
  ["0.2", "a fifth"],
  ["0.3", "three tenths"],
  ["0.5", "a half"],
] as const;

/** The cloth in hand: its name, width and length, and how far it gives across. */
export function ClothFields() {
  const { job } = useOpenJob();
  const { cloth } = job;
  const [typed, setTyped] = useState<string | null>(null);
  const mm = (input: LengthInput | undefined): Mm | null => {
    const read = input === undefined ? null : readLength(input, job.body.unit);
    return read?.ok ? read.mm : null;
  };
  const stretch = String(cloth?.stretch ?? 0);
  return (
    <section aria-label="Cloth" style={{ marginBottom: 14 }}>
      <PaneHeading>Cloth</PaneHeading>
      <label style={{ display: "grid", gridTemplateColumns: "1fr 158px", gap: 8, alignItems: "center", minHeight: 34 }}>
        <span style={{ fontStretch: "85%" }}>Name</span>
        <TextField
          value={typed ?? cloth?.name ?? ""}
          placeholder="not decided"
          slotProps={{ htmlInput: { "aria-label": "Name of the cloth", maxLength: 120 } }}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={() => {
            if (typed === null) return;
            const name = typed.trim();
            changeJob((draft) => {
              draft.cloth = { ...draft.cloth, ...(name ? { name } : {}) };
              if (!name) delete draft.cloth.name;
            });
            setTyped(null);
          }}
        />
      </label>
      {(
        [
          ["width", "Usable width"],
          ["length", "Length in hand"],
          ["liningWidth", "Width of the lining"],
        ] as const
      )
        // A remnant is as wide and as long as its corners say.
        .filter(([key]) => key === "liningWidth" || !cloth?.outline)
        .map(([key, label]) => (
          <JobLengthField
            key={key}
            label={label}
            path={["cloth", key]}
            mm={mm(cloth?.[key])}
            changed={cloth?.[key] !== undefined}
            prepare={(draft) => void (draft.cloth ??= {})}
          />
        ))}
      <Choice
        label="It gives across"
        value={stretch}
        options={STRETCHES.some(([value]) => value === stretch) ? STRETCHES : [...STRETCHES, [stretch, stretch]]}
        onChange={(next) =>
          changeJob((draft) => {
            draft.cloth = { ...draft.cloth, stretch: Number(next) };
          })
        }
      />
    </section>
  );
}
