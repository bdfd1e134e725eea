"use client";
import { useState } from "react";
import { MEASURES, type MeasureKey } from "@/core/body";
import { isBodice } from "@/core/pattern";
import { useOpenJob } from "@/ui/JobContext";
import { StageLayout } from "@/ui/StageLayout";
import { BodyCard } from "./BodyCard";
import { CardHistory } from "./CardHistory";
import { FigureTable } from "./FigureTable";
import { MeasureHelp } from "./MeasureHelp";

/** Stage 1: the wearer's card, and the figure drawn from its numbers with the tape's path. */
export default function BodyPage() {
  const { job, shape } = useOpenJob();
  const [focus, setFocus] = useState<MeasureKey>("waist");
  const [asked, setAsked] = useState(false);
  // The upper body is asked for where a bodice, a rule or the datum rests on it, where it is carded, or by hand.
  const upper =
    asked ||
    job.body.datum === "shoulder" ||
    shape?.panels.some((panel) => isBodice(panel)) ||
    shape?.rules.dart.at === "bust" ||
    MEASURES.some((m) => m.part === "upper" && job.body.measures[m.key] !== undefined);
  return (
    <StageLayout
      worksheetLabel="Card"
      worksheetWidth={430}
      worksheet={<BodyCard upper={upper} onUpper={() => setAsked(true)} onFocus={setFocus} />}
      table={<FigureTable focus={focus} upper={upper} />}
      readings={
        <>
          <MeasureHelp focus={focus} />
          <CardHistory focus={focus} />
        </>
      }
    />
  );
}
