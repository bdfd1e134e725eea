"use client";
import { useCallback, useMemo, useState } from "react";
import { compareBlocks, type Variant } from "@/core/derive/compare";
import { useView } from "@/store/viewStore";
import { tapeOf } from "@/core/units";
import { useOpenJob } from "@/ui/JobContext";
import { PaneTabs } from "@/ui/PaneTabs";
import { FaultNote } from "@/ui/ProofPane";
import { Sentence } from "@/ui/Sentence";
import { StageLayout } from "@/ui/StageLayout";
import { PatternTable } from "@/ui/table/PatternTable";
import { ComparePane } from "./ComparePane";
import { CompareTable } from "./CompareTable";
import { NumberList } from "./NumberList";
import { OwnBlockPane } from "./OwnBlockPane";
import { OwnBodicePane } from "./OwnBodicePane";
import { inkOf, Playback } from "./Playback";
import { RuleFields } from "./RuleFields";
import { SchoolPicker } from "./SchoolPicker";
import { WidthPane } from "./WidthPane";

type Left = "rules" | "steps";
type Right = "numbers" | "widths" | "compare";

const FIRST: readonly Variant[] = [
  { school: "proportional" },
  { school: "traced" },
  { school: "hinged" },
  { school: "eased-metric" },
];

/** Stage 2: the base block, the rules it is drawn by, how it is drawn, and what other schools would do. */
export function BlockStage() {
  const { job, shape } = useOpenJob();
  const cardTape = tapeOf(job.body.unit);
  const tape = useView((v) => v.tape);
  const [left, setLeft] = useState<Left>("rules");
  const [right, setRight] = useState<Right>("numbers");
  const [at, setAt] = useState(1);
  const [variants, setVariants] = useState(FIRST);
  const comparing = right === "compare";
  const measures = shape?.measures;
  const compared = useMemo(
    () => (comparing && measures ? compareBlocks(measures, variants, cardTape) : []),
    [comparing, measures, variants, cardTape],
  );
  const steps = shape?.drafted.steps ?? [];
  const panelOf = (id: string) => shape?.drafted.panels.find((p) => p.id === id);
  const step = Math.min(at, Math.max(1, steps.length));
  const playing = left === "steps" && shape !== null && !comparing;
  const go = useCallback((n: number) => setAt(n), []);
  return (
    <StageLayout
      worksheetLabel="Construction"
      worksheetWidth={330}
      worksheet={
        <>
          <FaultNote />
          <SchoolPicker />
          <PaneTabs<Left>
            label="Rules or steps"
            value={left}
            tabs={[
              ["rules", job.block.school === "own" ? "Block" : "Rules"],
              ["steps", "Step by step"],
            ]}
            onChange={setLeft}
          />
          {left === "rules" ? job.block.school === "own" ? <OwnBlockPane /> : <RuleFields /> : null}
          {left === "rules" ? <OwnBodicePane /> : null}
          {left === "steps" ? (
            <ol aria-label="Steps" style={{ listStyle: "none", margin: 0, padding: 0 }}>
              {steps.map((s) => (
                <li
                  key={s.n}
                  ref={s.n === step ? (element) => element?.scrollIntoView({ block: "nearest" }) : undefined}
                  style={{ borderTop: "1px solid var(--rule)" }}
                >
                  <button
                    type="button"
                    aria-pressed={s.n === step}
                    onClick={() => setAt(s.n)}
                    style={{
                      all: "unset",
                      cursor: "pointer",
                      display: "grid",
                      gridTemplateColumns: "26px 1fr",
                      padding: "7px 4px",
                      width: "calc(100% - 8px)",
                      background: s.n === step ? "var(--chalk-wash)" : undefined,
                    }}
                  >
                    <span style={{ color: inkOf(panelOf(s.panel)), fontWeight: 700 }}>{s.n}</span>
                    <span style={{ lineHeight: 1.35 }}>
                      <Sentence says={s.sentence} tape={tape} />
                    </span>
                  </button>
                </li>
              ))}
            </ol>
          ) : null}
        </>
      }
      table={
        <div style={{ display: "flex", flexDirection: "column", height: "100%" }}>
          <div style={{ flex: 1, minHeight: 0 }}>
            {comparing ? (
              <CompareTable compared={compared} />
            ) : (
              <PatternTable label="Block on the table" what="block" {...(playing ? { upTo: step } : {})} />
            )}
          </div>
          {playing ? (
            <Playback
              steps={steps}
              panels={shape.drafted.panels}
              numbers={shape.drafted.numbers}
              tape={tape}
              at={step}
              onChange={go}
            />
          ) : null}
        </div>
      }
      readings={
        <>
          <PaneTabs<Right>
            label="What to read"
            value={right}
            tabs={[
              ["numbers", "Numbers"],
              ["widths", "Widths"],
              ["compare", "Compare"],
            ]}
            onChange={setRight}
          />
          {right === "numbers" ? <NumberList /> : right === "widths" ? <WidthPane /> : null}
          {comparing ? <ComparePane variants={variants} compared={compared} onChange={setVariants} /> : null}
        </>
      }
    />
  );
}
