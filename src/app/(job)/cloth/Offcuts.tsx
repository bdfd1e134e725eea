"use client";
import { phrase } from "@/core/words";
import { nanoid } from "nanoid";
import { useCallback } from "react";
import type { ClothLay, LayCloth } from "@/core/cloth";
import { leftOver, type CupboardCloth } from "@/core/cloth/cupboard";
import { boxOf, type Point } from "@/core/geometry";
import { formatLength, formatSize, type Mm } from "@/core/units";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Quiet } from "@/ui/Quiet";
import { useAsked } from "@/ui/useAsked";
import { besideTheLay } from "@/workers/client";
import { pathOf } from "./LayPiece";

interface Props {
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  /** Length in hand. */
  readonly length: Mm;
  readonly name: string;
  readonly onKeep: (left: CupboardCloth) => void;
}

/** What a lay leaves of the cloth in hand, each part put into the cupboard, with its outline, by one press. */
export function Offcuts({ lay, cloth, length, name, onKeep }: Props) {
  const { job } = useOpenJob();
  const tape = useView((v) => v.tape);
  const ask = useCallback(() => besideTheLay((face) => face.left(lay, cloth, length)), [lay, cloth, length]);
  const offcuts = useAsked<readonly (readonly Point[])[]>(ask, "What is left could not be worked out.") ?? [];
  if (offcuts.length === 0) return null;
  return (
    <ul aria-label="What is left" style={{ listStyle: "none", margin: "8px 0", padding: 0 }}>
      {offcuts.map((outline, i) => {
        const { left, right, top, bottom } = boxOf(outline);
        return (
          <li key={i} style={{ display: "flex", alignItems: "center", gap: 8, padding: "3px 0" }}>
            <svg
              width={46}
              height={30}
              viewBox={`${left - 10} ${top - 10} ${right - left + 20} ${bottom - top + 20}`}
              aria-hidden
              style={{ transform: "scaleY(-1)" }}
            >
              <path
                d={pathOf(outline)}
                fill="var(--cloth, #f3e9d7)"
                stroke="var(--text)"
                vectorEffect="non-scaling-stroke"
              />
            </svg>
            <span style={{ flex: 1 }}>left, {formatSize([right - left, bottom - top], tape)}</span>
            <Quiet
              label={phrase`Keep what is left, ${formatLength(right - left, tape)} long`}
              onPress={() => onKeep(leftOver(job.cloth ?? {}, name, job.body.unit, outline, nanoid(10)))}
            >
              Keep
            </Quiet>
          </li>
        );
      })}
    </ul>
  );
}
