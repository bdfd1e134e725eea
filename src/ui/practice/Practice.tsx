"use client";
import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import type { Exercise } from "@/core/derive/practice";
import { tapeOf } from "@/core/units";
import { setView, useView } from "@/store/viewStore";
import { JobProvider, type OpenJob } from "../JobContext";
import { PaneTabs } from "../PaneTabs";
import { PlainHeader } from "../PlainHeader";
import { PieceTable } from "../pieces/PieceTable";
import { RollTable } from "../pieces/RollTable";
import { Tools } from "../pieces/Tools";
import { PaneHeading, StageLayout } from "../StageLayout";
import { AnswerPane } from "./AnswerPane";
import { OrderSheet } from "./OrderSheet";
import { ProgressChart } from "./ProgressChart";
import { levelOf, usePractice, type Source } from "./usePractice";

/** The pattern with the mistake in it, as a job that lies on the table; its proof is kept from sight. */
function openOf({ job, derived }: Exercise): OpenJob {
  return {
    id: "practice",
    job,
    shape: derived,
    fault: null,
    proof: { ...derived, checks: [], advice: [], undecided: [], notices: [] },
    stale: false,
  };
}

/** A pattern with one mistake in it, to be found with tape and roll, named, and mended. */
export function Practice() {
  const [source, setSource] = useState<Source>("examples");
  const { exercise, isEmpty, record, answer, next } = usePractice(source);
  const tool = useView((v) => v.tool);
  const open = useMemo(() => exercise && openOf(exercise), [exercise]);
  return (
    <div style={{ height: "100dvh", display: "flex", flexDirection: "column" }}>
      <PlainHeader word="Practice: one mistake is in this pattern" />
      <div style={{ flex: 1, minHeight: 0, display: "flex" }}>
        {exercise && open ? (
          <JobProvider value={open}>
            <StageLayout
              worksheetLabel="The order"
              worksheetWidth={300}
              worksheet={
                <>
                  <PaneTabs<Source>
                    label="Patterns from"
                    value={source}
                    tabs={[
                      ["examples", "Worked examples"],
                      ["own", "My jobs"],
                    ]}
                    onChange={setSource}
                  />
                  <OrderSheet exercise={exercise} tape={tapeOf(exercise.job.body.unit)} />
                </>
              }
              table={tool === "roll" ? <RollTable /> : <PieceTable />}
              readings={
                <>
                  <Tools />
                  <AnswerPane
                    key={`${exercise.mistake.id}-${exercise.job.name}-${exercise.found}`}
                    exercise={exercise}
                    tape={tapeOf(exercise.job.body.unit)}
                    onAnswer={answer}
                    onNext={() => {
                      setView({ tool: "none" });
                      next();
                    }}
                  />
                  <PaneHeading>How it goes, level {levelOf(record) + 1} of 4</PaneHeading>
                  <ProgressChart record={record} />
                </>
              }
            />
          </JobProvider>
        ) : (
          <main style={{ padding: 32, color: "var(--quiet)" }}>
            {isEmpty ? (
              <>
                <p>No job of yours can be spoilt: make one first, or practise on the worked examples.</p>
                <Button variant="outlined" onClick={() => setSource("examples")}>
                  Worked examples
                </Button>
              </>
            ) : (
              <p>A pattern is drawn and a mistake hidden in it.</p>
            )}
          </main>
        )}
      </div>
    </div>
  );
}
