"use client";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { AdvicePane, FaultNote, ProofPane } from "@/ui/ProofPane";
import { StageLayout } from "@/ui/StageLayout";
import { Finishes } from "./Finishes";
import { PieceList } from "./PieceList";
import { PieceTable } from "@/ui/pieces/PieceTable";
import { RollTable } from "@/ui/pieces/RollTable";
import { Tools } from "@/ui/pieces/Tools";

/** Stage 4: what is cut, with its allowances. */
export default function PiecesPage() {
  const { proof, stale } = useOpenJob();
  const tool = useView((v) => v.tool);
  return (
    <StageLayout
      worksheetLabel="Finishes and allowances"
      worksheetWidth={288}
      worksheet={
        <>
          <FaultNote />
          <Finishes />
        </>
      }
      table={tool === "roll" ? <RollTable /> : <PieceTable />}
      readings={
        <>
          <Tools />
          <PieceList />
          <ProofPane proof={proof} stale={stale} />
          <AdvicePane proof={proof} />
        </>
      }
    />
  );
}
