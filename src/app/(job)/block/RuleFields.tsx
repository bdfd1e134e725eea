"use client";
import { phrase } from "@/core/words";
import Checkbox from "@mui/material/Checkbox";
import type { Job } from "@/core/files";
import { isUsed, RULE_SECTIONS, ruleAt, schoolRules, type RuleRow } from "@/core/drafting";
import { formatLength, keptText, tapeOf, wordsOn } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { FittingNotes } from "@/ui/FittingNotes";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";

type Value = string | number | boolean;

/** Sets or, with undefined, puts back one rule of a job. */
function setRule(draft: Job, path: RuleRow["path"], value: Value | undefined): void {
  const rules = draft.block.rules as Record<string, Value | Record<string, Value> | undefined>;
  if (path.length === 1) {
    if (value === undefined) delete rules[path[0]];
    else rules[path[0]] = value;
    return;
  }
  const held = rules[path[0]];
  // `hang` may be kept as one word; it becomes a group when a second number joins it.
  const group: Record<string, Value> = typeof held === "object" ? held : held === undefined ? {} : { from: held };
  if (value === undefined) delete group[path[1]];
  else group[path[1]] = value;
  if (Object.keys(group).length === 0) delete rules[path[0]];
  else rules[path[0]] = group;
}

/** The rules of the school; one that was changed is bold, says what the school has, and can be put back. */
export function RuleFields() {
  const { job, shape } = useOpenJob();
  if (!shape) return null;
  const own = Object.keys(job.block.rules).length;
  return (
    <section aria-label="Rules">
      <label
        title="Every number that is chosen is brought to eighths of an inch, or half centimetres, before it is used; what is solved follows from them."
        style={{ display: "grid", gridTemplateColumns: "1fr auto", alignItems: "center", minHeight: 34 }}
      >
        <span style={{ fontStretch: "85%" }}>Draft on my tape</span>
        <Checkbox
          size="small"
          checked={job.block.onTape ?? false}
          onChange={(event) =>
            changeJob((draft) => {
              if (event.target.checked) draft.block.onTape = true;
              else delete draft.block.onTape;
            })
          }
        />
      </label>
      {own > 0 ? (
        <p style={{ margin: "0 0 10px", color: "var(--quiet)" }}>
          Changed rules are bold.{" "}
          <Quiet onPress={() => changeJob((draft) => void (draft.block.rules = {}))}>Put all rules back</Quiet>
        </p>
      ) : null}
      {RULE_SECTIONS.map(({ section, rows }) => {
        const shown = rows.filter((row) => isUsed(row, shape.rules));
        return shown.length === 0 ? null : (
          <section key={section} aria-label={phrase`Rules: ${section}`} style={{ marginBottom: 12 }}>
            <PaneHeading>{section}</PaneHeading>
            {shown.map((row) => (
              <Rule key={row.path.join(".")} row={row} />
            ))}
          </section>
        );
      })}
    </section>
  );
}

function Rule({ row }: { readonly row: RuleRow }) {
  const { job, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  if (!shape) return null;
  const path = row.path.join(".");
  const changed = shape.changedRules.find((c) => c.path === path);
  const value = ruleAt(shape.ownRules, row.path);
  // The way of making the back is the school's own; its numbers are those of the back that was chosen.
  const preset = ruleAt(
    path === "back.how" ? schoolRules(job.block.school, tapeOf(job.body.unit)) : shape.presetRules,
    row.path,
  );
  const { param } = row;
  const words = (v: Value): string => {
    if (typeof v === "number") return formatLength(v, tape);
    if (param.as === "flag") return v ? param.yes : param.no;
    if (param.as === "choice") return wordsOn(param.options.find(([word]) => word === v)?.[1] ?? "", tape);
    return param.as === "length" ? (param.word?.[1] ?? "") : String(v);
  };
  return (
    <div title={param.note && wordsOn(param.note, tape)} style={{ fontWeight: changed ? 700 : undefined }}>
      <RuleControl row={row} value={value} />
      {changed ? (
        <div style={{ color: "var(--quiet)", fontSize: 13, fontWeight: 450, marginBottom: 4 }}>
          {changed.by === "style" ? "The style’s; " : ""}the school’s: {words(preset)}.{" "}
          {changed.by === "maker" ? (
            <Quiet onPress={() => changeJob((draft) => setRule(draft, row.path, undefined))}>Put back</Quiet>
          ) : null}
        </div>
      ) : null}
      <FittingNotes changes={(change) => "rule" in change && change.rule === path} />
    </div>
  );
}

function RuleControl({ row, value }: { readonly row: RuleRow; readonly value: Value }) {
  const { param } = row;
  const { job, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const set = (next: Value | undefined): void => changeJob((draft) => setRule(draft, row.path, next));
  if (param.as === "choice")
    return (
      <Choice
        label={param.label}
        value={String(value)}
        options={param.options}
        width="above"
        onChange={(next) => set(next)}
      />
    );
  if (param.as === "flag") {
    return (
      <label style={{ display: "grid", gridTemplateColumns: "1fr auto", alignItems: "center", minHeight: 34 }}>
        <span style={{ fontStretch: "85%" }}>{param.label}</span>
        <Checkbox size="small" checked={value === true} onChange={(event) => set(event.target.checked)} />
      </label>
    );
  }
  if (param.as !== "length") return null;
  return (
    <div style={{ display: "grid", gridTemplateColumns: "1fr 128px", gap: 8, alignItems: "start", minHeight: 34 }}>
      <span style={{ fontStretch: "85%", paddingTop: 5 }}>{param.label}</span>
      <LengthField
        label={param.label}
        hideLabel
        allowEmpty
        negative={param.negative}
        text={typeof value === "number" ? formatLength(value, tape) : ""}
        placeholder={param.word?.[1] ?? ""}
        unit={tape}
        tape={tape}
        error={faultAt(fault, `block.rules.${row.path.join(".")}`, tape)}
        onCommit={(text) => set(text === "" ? undefined : keptText(text, tape, job.body.unit))}
      />
    </div>
  );
}
