"use client";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { AdvicePane, FaultNote, ProofPane } from "@/ui/ProofPane";
import { ReadingsTable } from "@/ui/ReadingsPane";
import { StageLayout } from "@/ui/StageLayout";
import { PatternTable } from "@/ui/table/PatternTable";
import { StyleShelf } from "./StyleShelf";
import { Worksheet } from "./Worksheet";

/** Stage 3: the style pulled on the pattern. */
export default function RestylePage() {
  const { shape, proof, stale } = useOpenJob();
  const tape = useView((v) => v.tape);
  return (
    <StageLayout
      worksheetLabel="Worksheet"
      worksheet={
        <>
          <StyleShelf />
          <FaultNote />
          <Worksheet />
        </>
      }
      table={<PatternTable label="Style on the table" what="style" />}
      readings={
        <>
          {shape ? <ReadingsTable before={shape.blockReadings} now={shape.readings} tape={tape} /> : null}
          <ProofPane proof={proof} stale={stale} />
          <AdvicePane proof={proof} />
        </>
      }
    />
  );
}
