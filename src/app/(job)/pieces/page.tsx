"use client";
import { useOpenJob } from "@/ui/JobContext";
import { AdvicePane, FaultNote, ProofPane } from "@/ui/ProofPane";
import { StageLayout } from "@/ui/StageLayout";
import { Finishes } from "./Finishes";
import { PieceList } from "./PieceList";
import { PieceTable } from "./PieceTable";

/** Stage 4: what is cut, with its allowances. */
export default function PiecesPage() {
  const { proof, stale } = useOpenJob();
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
      table={<PieceTable />}
      readings={
        <>
          <PieceList />
          <ProofPane proof={proof} stale={stale} />
          <AdvicePane proof={proof} />
        </>
      }
    />
  );
}
