"use client";
import { useState } from "react";
import type { MeasureKey } from "@/core/body";
import { StageLayout } from "@/ui/StageLayout";
import { PatternTable } from "@/ui/table/PatternTable";
import { BodyCard } from "./BodyCard";
import { MeasureHelp } from "./MeasureHelp";

/** Stage 1: the wearer's card, beside the block it gives. */
export default function BodyPage() {
  const [focus, setFocus] = useState<MeasureKey>("waist");
  return (
    <StageLayout
      worksheetLabel="Card"
      worksheetWidth={430}
      worksheet={<BodyCard onFocus={setFocus} />}
      table={<PatternTable label="Block on the table" what="block" />}
      readings={<MeasureHelp focus={focus} />}
    />
  );
}
