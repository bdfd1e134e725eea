"use client";
import { useState } from "react";
import { SCHOOLS } from "@/core/drafting";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { FaultNote } from "@/ui/ProofPane";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading, StageLayout } from "@/ui/StageLayout";
import { PatternTable } from "@/ui/table/PatternTable";
import { NumberList } from "./NumberList";
import { RuleFields } from "./RuleFields";

/** Stage 2: the base block, how it was drawn, and the rules it was drawn by. */
export default function BlockPage() {
  const { job, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [chosen, setChosen] = useState<number | null>(null);
  const step = shape?.block.steps.find((s) => s.n === chosen);
  const school = SCHOOLS[job.block.school];
  return (
    <StageLayout
      worksheetLabel="Construction"
      worksheetWidth={330}
      worksheet={
        <>
          <FaultNote />
          <PaneHeading>School</PaneHeading>
          <p style={{ margin: "0 0 14px" }}>
            <b>{school.label}.</b> {school.note}
          </p>
          <PaneHeading>How it is drawn</PaneHeading>
          <ol style={{ listStyle: "none", margin: 0, padding: 0 }}>
            {shape?.block.steps.map((s) => (
              <li key={s.n} style={{ borderTop: "1px solid var(--rule)" }}>
                <button
                  type="button"
                  aria-pressed={s.n === chosen}
                  onClick={() => setChosen(s.n === chosen ? null : s.n)}
                  style={{
                    all: "unset",
                    cursor: "pointer",
                    display: "grid",
                    gridTemplateColumns: "26px 1fr",
                    padding: "7px 4px",
                    width: "calc(100% - 8px)",
                    background: s.n === chosen ? "var(--chalk-wash)" : undefined,
                  }}
                >
                  <span style={{ color: s.panel === "front" ? "var(--front)" : "var(--back)", fontWeight: 700 }}>
                    {s.n}
                  </span>
                  <span style={{ lineHeight: 1.35 }}>
                    <Sentence template={s.template} numbers={shape.block.numbers} tape={tape} />
                  </span>
                </button>
              </li>
            ))}
          </ol>
        </>
      }
      table={
        <PatternTable
          label="Block on the table"
          what="block"
          {...(step ? { marks: { [step.panel]: step.points } } : {})}
        />
      }
      readings={
        <>
          <RuleFields />
          <NumberList />
        </>
      }
    />
  );
}
