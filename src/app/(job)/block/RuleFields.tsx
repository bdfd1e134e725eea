"use client";
import Checkbox from "@mui/material/Checkbox";
import type { Job } from "@/core/files";
import { schoolRules, type ResolvedRules } from "@/core/drafting";
import { formatLength, keptText, wordsOn } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { Quiet } from "@/ui/Quiet";
import { PaneHeading } from "@/ui/StageLayout";
import { RULE_GROUPS, type RuleRow } from "./ruleRows";

type Value = string | number | boolean;

/** A rule's value in resolved rules. */
function valueAt(rules: ResolvedRules, path: RuleRow["path"]): Value {
  const group = (rules as unknown as Record<string, Value | Record<string, Value>>)[path[0]] as
    Value | Record<string, Value>;
  return path.length === 1 ? (group as Value) : ((group as Record<string, Value>)[path[1]] as Value);
}

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
      {own > 0 ? (
        <p style={{ margin: "0 0 10px", color: "var(--quiet)" }}>
          Changed rules are bold.{" "}
          <Quiet onPress={() => changeJob((draft) => void (draft.block.rules = {}))}>Put all rules back</Quiet>
        </p>
      ) : null}
      {RULE_GROUPS.map(({ title, rows }) => {
        const shown = rows.filter((row) => row.shown?.(shape.rules) ?? true);
        return shown.length === 0 ? null : (
          <section key={title} aria-label={`Rules: ${title}`} style={{ marginBottom: 12 }}>
            <PaneHeading>{title}</PaneHeading>
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
  const value = valueAt(shape.rules, row.path);
  // The way of making the back is the school's own; its numbers are those of the back that was chosen.
  const preset = valueAt(path === "back.how" ? schoolRules(job.block.school) : shape.presetRules, row.path);
  const words = (v: Value): string =>
    typeof v === "number"
      ? formatLength(v, tape)
      : typeof v === "boolean"
        ? v
          ? "yes"
          : "no"
        : wordsOn(row.choices?.find(([word]) => word === v)?.[1] ?? row.word?.[1] ?? v, tape);
  return (
    <div title={row.note && wordsOn(row.note, tape)} style={{ fontWeight: changed ? 700 : undefined }}>
      <RuleControl row={row} value={value} />
      {changed ? (
        <div style={{ color: "var(--quiet)", fontSize: 13, fontWeight: 450, marginBottom: 4 }}>
          {changed.by === "style" ? "The style’s; " : ""}the school has {words(preset)}.{" "}
          {changed.by === "maker" ? (
            <Quiet onPress={() => changeJob((draft) => setRule(draft, row.path, undefined))}>Put back</Quiet>
          ) : null}
        </div>
      ) : null}
    </div>
  );
}

function RuleControl({ row, value }: { readonly row: RuleRow; readonly value: Value }) {
  const { job, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const set = (next: Value | undefined): void => changeJob((draft) => setRule(draft, row.path, next));
  if (row.choices)
    return (
      <Choice
        label={row.label}
        value={String(value)}
        options={row.choices}
        width={172}
        onChange={(next) => set(next)}
      />
    );
  if (row.yes) {
    return (
      <label style={{ display: "grid", gridTemplateColumns: "1fr auto", alignItems: "center", minHeight: 34 }}>
        <span style={{ fontStretch: "85%" }}>{row.label}</span>
        <Checkbox size="small" checked={value === true} onChange={(event) => set(event.target.checked)} />
      </label>
    );
  }
  return (
    <div style={{ display: "grid", gridTemplateColumns: "1fr 128px", gap: 8, alignItems: "start", minHeight: 34 }}>
      <span style={{ fontStretch: "85%", paddingTop: 5 }}>{row.label}</span>
      <LengthField
        label={row.label}
        hideLabel
        allowEmpty
        negative={row.negative}
        text={typeof value === "number" ? formatLength(value, tape) : ""}
        placeholder={row.word?.[1] ?? ""}
        unit={tape}
        tape={tape}
        error={faultAt(fault, `block.rules.${row.path.join(".")}`, tape)}
        onCommit={(text) => set(text === "" ? undefined : keptText(text, tape, job.body.unit))}
      />
    </div>
  );
}
