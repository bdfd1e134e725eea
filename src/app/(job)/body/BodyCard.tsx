"use client";
import TextField from "@mui/material/TextField";
import { entryLength, MEASURES, type Measure, type MeasureKey } from "@/core/body";
import { formatLength, keptText } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { PaneHeading } from "@/ui/StageLayout";

/** Text of a card entry as it was typed. */
function typedText(entry: unknown): string {
  if (entry === undefined) return "";
  const length = entryLength(entry as Parameters<typeof entryLength>[0]);
  return typeof length === "object" ? `${length.value} ${length.unit}` : String(length);
}

/** The lower-body card: lengths as typed, estimates where nothing is written, questions beside what looks odd. */
export function BodyCard({ onFocus }: { readonly onFocus: (key: MeasureKey) => void }) {
  const { job } = useOpenJob();
  const { body } = job;
  const groups: readonly (readonly [string, readonly Measure[]])[] = [
    ["Girths", MEASURES.filter((m) => m.kind === "girth")],
    ["Levels and lengths, from the tied tape", MEASURES.filter((m) => m.kind !== "girth")],
  ];
  return (
    <>
      <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 10, marginBottom: 8 }}>
        <TextField
          label="Wearer"
          value={body.name}
          slotProps={{ htmlInput: { maxLength: 120, autoComplete: "off" } }}
          onChange={(event) => changeJob((draft) => void (draft.body.name = event.target.value))}
        />
        <TextField
          label="Card of"
          type="date"
          value={body.taken ?? ""}
          slotProps={{ inputLabel: { shrink: true } }}
          onChange={(event) =>
            changeJob((draft) => {
              if (event.target.value) draft.body.taken = event.target.value;
              else delete draft.body.taken;
            })
          }
        />
      </div>
      <Choice
        label="Bare numbers on this card are"
        value={body.unit}
        options={[
          ["cm", "centimetres"],
          ["in", "inches"],
          ["mm", "millimetres"],
        ]}
        onChange={(unit) => changeJob((draft) => changeUnit(draft.body, unit))}
      />
      {groups.map(([title, measures]) => (
        <section key={title} aria-label={title} style={{ marginTop: 12 }}>
          <PaneHeading>{title}</PaneHeading>
          {measures.map((m) => (
            <Row key={m.key} measure={m} onFocus={onFocus} />
          ))}
        </section>
      ))}
      <TextField
        label="Note"
        multiline
        fullWidth
        value={body.note ?? ""}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
        onChange={(event) => changeJob((draft) => void (draft.body.note = event.target.value))}
        sx={{ mt: 2 }}
      />
    </>
  );
}

/** Changing the card's unit keeps every length: bare numbers get the unit they were written in. */
function changeUnit(
  body: { unit: "in" | "cm" | "mm"; measures: Record<string, unknown> },
  unit: "in" | "cm" | "mm",
): void {
  for (const [key, entry] of Object.entries(body.measures)) {
    if (typeof entry === "number" || typeof entry === "string")
      body.measures[key] = keptText(String(entry), body.unit, unit);
  }
  body.unit = unit;
}

function Row({ measure, onFocus }: { readonly measure: Measure; readonly onFocus: (key: MeasureKey) => void }) {
  const { job, shape, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { key, label, required } = measure;
  const path = `body.measures.${key}`;
  const typed = typedText(job.body.measures[key]);
  const known = shape?.measures[key];
  const question = shape?.questions.find((q) => q.measure === key)?.message;
  const estimate = typed === "" && known?.source === "estimated" ? known : null;
  return (
    <div style={{ display: "grid", gridTemplateColumns: "132px 1fr", gap: 8, alignItems: "start", padding: "3px 0" }}>
      <span style={{ paddingTop: 6 }}>
        {label}
        {required ? <span aria-hidden> *</span> : null}
      </span>
      <LengthField
        label={label}
        hideLabel
        allowEmpty
        text={typed}
        unit={job.body.unit}
        tape={tape}
        placeholder={estimate ? `about ${formatLength(estimate.mm, tape)}` : required ? "needed" : ""}
        error={faultAt(fault, path)}
        helper={
          question ? (
            <span style={{ color: "var(--look)" }}>{question}</span>
          ) : estimate ? (
            <i>estimated: {estimate.formula} mm</i>
          ) : undefined
        }
        onFocus={() => onFocus(key)}
        onCommit={(text) =>
          changeJob((draft) => {
            if (text === "") delete draft.body.measures[key];
            else draft.body.measures[key] = text;
          })
        }
      />
    </div>
  );
}
