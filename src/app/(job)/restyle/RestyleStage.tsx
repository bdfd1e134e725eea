"use client";
import { useState } from "react";
import { useOpenJob } from "@/ui/JobContext";
import { PaneTabs } from "@/ui/PaneTabs";
import { AdvicePane, FaultNote, ProofPane } from "@/ui/ProofPane";
import { LiveReadings } from "@/ui/ReadingsPane";
import { StageLayout } from "@/ui/StageLayout";
import { PatternTable } from "@/ui/table/PatternTable";
import { FigurePane } from "./FigurePane";
import { GirthPane } from "./GirthPane";
import { LineSlider } from "./LineSlider";
import { OwnStyles } from "./OwnStyles";
import { RecipeChoice } from "./RecipeChoice";
import { StyleShelf } from "./StyleShelf";
import { VersionPane } from "./VersionPane";
import { Worksheet } from "./Worksheet";

/** What is read beside the pattern: each pane by its name, as its tab is called. */
const PANES = [
  ["readings", "Readings", ReadingsPane],
  ["figure", "Figure", FigurePane],
  ["girths", "Girths", GirthPane],
  ["versions", "Versions", VersionPane],
] as const;
type Right = (typeof PANES)[number][0];

function ReadingsPane() {
  const { proof, stale } = useOpenJob();
  return (
    <>
      <LiveReadings />
      <ProofPane proof={proof} stale={stale} />
      <AdvicePane proof={proof} />
    </>
  );
}

/** Stage 3: the style pulled on the pattern. */
export function RestyleStage() {
  const [right, setRight] = useState<Right>("readings");
  const [, , Pane] = PANES.find(([name]) => name === right) ?? PANES[0];
  return (
    <StageLayout
      worksheetLabel="Worksheet"
      worksheet={
        <>
          <StyleShelf />
          <RecipeChoice />
          <OwnStyles />
          <FaultNote />
          <Worksheet />
        </>
      }
      table={
        <div style={{ display: "flex", flexDirection: "column", height: "100%" }}>
          <div style={{ flex: 1, minHeight: 0 }}>
            <PatternTable label="Style on the table" what="style" />
          </div>
          <LineSlider />
        </div>
      }
      readings={
        <>
          <PaneTabs<Right>
            label="What to read"
            value={right}
            tabs={PANES.map(([name, label]) => [name, label] as const)}
            onChange={setRight}
          />
          <Pane />
        </>
      }
    />
  );
}
