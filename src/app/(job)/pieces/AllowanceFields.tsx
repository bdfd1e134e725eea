"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useState } from "react";
import { ALLOWANCE_SETS, type AllowanceSetId } from "@/core/finish";
import { endWords } from "@/core/pieces";
import { keptText, formatLength, textOf } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { JobLengthField } from "@/ui/JobLengthField";
import { LengthField } from "@/ui/LengthField";
import { PaneHeading } from "@/ui/StageLayout";
import { ALLOWANCES } from "./allowanceRows";

const SETS = Object.entries(ALLOWANCE_SETS).map(([id, { label }]) => [id as AllowanceSetId, label] as const);

/** Allowances: a set by cloth, every kind of seam, and single edges that differ. */
export function AllowanceFields() {
  const { job, shape } = useOpenJob();
  if (!shape) return null;
  const { allowances } = shape;
  return (
    <section aria-label="Allowances">
      <PaneHeading>Allowances</PaneHeading>
      <Choice
        label="Set for"
        width={158}
        value={allowances.id}
        options={SETS}
        onChange={(set) =>
          changeJob((draft) => {
            draft.allowances = { ...draft.allowances, set };
          })
        }
      />
      <p style={{ color: "var(--quiet)", fontSize: 13, margin: "0 0 6px" }}>{ALLOWANCE_SETS[allowances.id].note}</p>
      {ALLOWANCES.map(([key, label]) => (
        <JobLengthField
          key={key}
          label={label}
          path={["allowances", key]}
          mm={allowances.widths[key]}
          changed={job.allowances?.[key] !== undefined}
          prepare={(draft) => void (draft.allowances ??= {})}
        />
      ))}
      <Choice
        label="Corners"
        width={158}
        value={allowances.corners}
        options={[
          ["mitred", "run out to a point"],
          ["squared", "squared off"],
        ]}
        onChange={(corners) =>
          changeJob((draft) => {
            draft.allowances = { ...draft.allowances, corners };
          })
        }
      />
      <SingleEdges />
    </section>
  );
}

/** Edges with an allowance of their own, the same all along or running from one width to another. */
function SingleEdges() {
  const { job, shape, proof, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [edge, setEdge] = useState("");
  const pieces = proof?.pieces ?? [];
  const names = new Map<string, string>(
    pieces.flatMap((piece) =>
      piece.panel.edges
        .filter((e) => e.role !== "fold")
        .map((e) => [`${piece.id}.${e.id}`, phrase`${textOf(piece.name)}, ${textOf(e.name)}`] as const),
    ),
  );
  // An allowance may run from one width to another: its ends are called by what lies there.
  const ends = new Map<string, readonly [string, string]>(
    pieces.flatMap((piece) => piece.panel.edges.map((e) => [`${piece.id}.${e.id}`, endWords(piece.panel, e)] as const)),
  );
  const own = shape?.allowances.edges ?? {};
  const set = (key: string, end: 0 | 1, text: string): void =>
    changeJob((draft) => {
      const edges = { ...draft.allowances?.edges };
      if (text === "") delete edges[key];
      else {
        const kept = keptText(text, tape, job.body.unit);
        const held = edges[key];
        const now = typeof held === "object" && "from" in held ? held : { from: held ?? kept, to: held ?? kept };
        edges[key] = end === 0 ? { ...now, from: kept } : { ...now, to: kept };
      }
      draft.allowances = { ...draft.allowances, edges };
    });
  const options = [...names].filter(([key]) => own[key] === undefined);
  return (
    <div style={{ marginTop: 10 }}>
      <b>Single edges</b>
      {Object.entries(own).map(([key, widths]) => (
        <div key={key} style={{ margin: "6px 0" }}>
          <div style={{ fontStretch: "85%" }}>{names.get(key) ?? key}</div>
          <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr auto", gap: 6, alignItems: "start" }}>
            {([0, 1] as const).map((end) => (
              <LengthField
                key={end}
                label={ends.get(key)?.[end] ?? (end === 0 ? "start" : "end")}
                allowEmpty
                text={formatLength(widths[end], tape)}
                unit={tape}
                tape={tape}
                error={faultAt(fault, `allowances.edges.${key}`, tape)}
                onCommit={(text) => set(key, end, text)}
              />
            ))}
            <Button size="small" onClick={() => set(key, 0, "")}>
              Put back
            </Button>
          </div>
        </div>
      ))}
      {options.length > 0 ? (
        <div style={{ display: "grid", gridTemplateColumns: "1fr auto", gap: 6, alignItems: "end" }}>
          <Choice
            label="Another"
            width={170}
            value={options.some(([key]) => key === edge) ? edge : (options[0]?.[0] ?? "")}
            options={options}
            onChange={setEdge}
          />
          <Button
            size="small"
            onClick={() => {
              const key = options.some(([k]) => k === edge) ? edge : options[0]?.[0];
              if (key) set(key, 0, tape === "in" ? "1/2" : "1.5");
            }}
          >
            Set
          </Button>
        </div>
      ) : null}
    </div>
  );
}
