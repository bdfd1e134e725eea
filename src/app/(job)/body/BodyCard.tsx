"use client";
import { phrase } from "@/core/words";
import { Sentence } from "@/ui/Sentence";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { DATUM_LEVELS, entryLength, entryNet, isEmptyCard, MEASURES, type Measure, type MeasureKey } from "@/core/body";
import { formatLength, keptText, tellSum } from "@/core/units";
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

/** The measure a new card begins with. */
const FIRST: MeasureKey = "waist";

interface Props {
  /** Whether the upper body is carded too. */
  readonly upper: boolean;
  readonly onUpper: () => void;
  readonly onFocus: (key: MeasureKey) => void;
}

/** The card: lengths as typed, estimates where nothing is written, questions beside what looks odd. */
export function BodyCard({ upper, onUpper, onFocus }: Props) {
  const { job } = useOpenJob();
  const { body } = job;
  const groups: readonly (readonly [string, readonly Measure[]])[] = [
    ["Girths", MEASURES.filter((m) => m.part === "lower" && m.kind === "girth")],
    [
      body.datum === "shoulder" ? "Levels, from the shoulder, and lengths" : "Levels and lengths, from the tied tape",
      MEASURES.filter((m) => m.part === "lower" && m.kind !== "girth"),
    ],
    ...(upper ? [["Upper body", MEASURES.filter((m) => m.part === "upper")] as const] : []),
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
      <Choice
        label="Levels are taken from"
        value={body.datum ?? "waist"}
        options={[
          ["waist", "the tied tape"],
          ["shoulder", "the shoulder"],
        ]}
        onChange={(datum) =>
          changeJob((draft) => {
            if (datum === "waist") delete draft.body.datum;
            else draft.body.datum = datum;
          })
        }
      />
      {groups.map(([title, measures]) => (
        <section key={title} aria-label={title} style={{ marginTop: 12 }}>
          <PaneHeading>{title}</PaneHeading>
          {measures.map((m) => (
            <Row key={m.key} measure={m} onFocus={onFocus} />
          ))}
        </section>
      ))}
      {upper ? null : (
        <Button sx={{ px: 0, mt: 1 }} onClick={onUpper}>
          Card the upper body too
        </Button>
      )}
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
  const kept = (length: unknown): unknown =>
    typeof length === "number" || typeof length === "string" ? keptText(String(length), body.unit, unit) : length;
  for (const [key, entry] of Object.entries(body.measures)) {
    body.measures[key] =
      typeof entry === "object" && entry !== null && "length" in entry
        ? { ...entry, length: kept(entry.length) }
        : kept(entry);
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
  const fromShoulder = job.body.datum === "shoulder" && typed !== "" && DATUM_LEVELS.includes(key);
  const estimate = typed === "" && known?.source === "estimated" ? known : null;
  return (
    <div style={{ display: "grid", gridTemplateColumns: "132px 1fr", gap: 8, alignItems: "start", padding: "3px 0" }}>
      <span style={{ paddingTop: 6 }}>
        {label}
        {required ? <span aria-hidden> *</span> : null}
        {entryNet(job.body.measures[key]) ? null : (
          <span style={{ display: "block", fontSize: 12, color: "var(--quiet)" }}>already with ease</span>
        )}
      </span>
      <LengthField
        label={label}
        hideLabel
        allowEmpty
        text={typed}
        unit={job.body.unit}
        tape={tape}
        placeholder={estimate ? phrase`about ${formatLength(estimate.mm, tape)}` : required ? "needed" : ""}
        // What is not written yet is no mistake.
        error={typed === "" ? null : faultAt(fault, path, tape)}
        helper={
          question ? (
            <span style={{ color: "var(--look)" }}>
              <Sentence says={question} tape={tape} />
            </span>
          ) : estimate ? (
            <i>estimated: {tellSum(estimate.sum, tape)}</i>
          ) : fromShoulder && known ? (
            <span>{formatLength(known.mm, tape)} below the waist</span>
          ) : undefined
        }
        autoFocus={key === FIRST && isEmptyCard(job.body)}
        onFocus={() => onFocus(key)}
        onCommit={(text) =>
          changeJob((draft) => {
            const held = draft.body.measures[key];
            if (text === "") delete draft.body.measures[key];
            else draft.body.measures[key] = entryNet(held) ? text : { length: text, net: false };
          })
        }
      />
    </div>
  );
}
