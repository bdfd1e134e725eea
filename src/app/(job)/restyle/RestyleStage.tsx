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

type Right = "readings" | "figure" | "girths" | "versions";

/** Stage 3: the style pulled on the pattern. */
export function RestyleStage() {
  const { proof, stale } = useOpenJob();
  const [right, setRight] = useState<Right>("readings");
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
            tabs={[
              ["readings", "Readings"],
              ["figure", "Figure"],
              ["girths", "Girths"],
              ["versions", "Versions"],
            ]}
            onChange={setRight}
          />
          {right === "figure" ? <FigurePane /> : null}
          {right === "girths" ? <GirthPane /> : null}
          {right === "versions" ? <VersionPane /> : null}
          {right === "readings" ? (
            <>
              <LiveReadings />
              <ProofPane proof={proof} stale={stale} />
              <AdvicePane proof={proof} />
            </>
          ) : null}
        </>
      }
    />
  );
}
