"use client";
import { phrase } from "@/core/words";
import { isOf } from "@/core/pattern";
import Button from "@mui/material/Button";
import { nanoid } from "nanoid";
import type { Mm } from "@/core/units";
import { MOVES } from "@/core/moves";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";
import { FieldOfMove } from "./MoveFields";

/** The moves with numbers that move width from one place to another. */
const SHARES = Object.values(MOVES).flatMap(({ id, label, params }) => {
  const own = Object.entries(params).flatMap(([name, param]) => (param.movesWidth ? [name] : []));
  return own.length > 0 ? [{ move: id, params: own, add: label }] : [];
});

/**
 * Width moved by hand, the total staying what it is: between front and back, between side and inseam, and at the waist
 * between darts, side and ease. A number whose move is not on the worksheet brings it.
 */
export function Redistribute() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  if (!shape) return null;
  const balance = (root: "front" | "back"): Mm | null => {
    const { hemSide, hemInseam, creaseHem } =
      shape.panels.find((p) => isOf(p, root) && p.landmarks.creaseHem)?.landmarks ?? {};
    if (!hemSide || !hemInseam || !creaseHem) return null;
    return Math.abs(hemSide[0] - creaseHem[0]) - Math.abs(hemInseam[0] - creaseHem[0]);
  };
  const words = (["front", "back"] as const).flatMap((root) => {
    const by = balance(root);
    if (by === null) return [];
    return [
      <span key={root}>
        {Math.abs(by) < 0.5 ? (
          phrase`; the ${root} is halved by its crease`
        ) : (
          <>
            ; the {root} is <Length mm={Math.abs(by)} tape={tape} unit /> wider toward the {by > 0 ? "side" : "inseam"}
          </>
        )}
      </span>,
    ];
  });
  return (
    <>
      <PaneHeading>Move width, the total stays</PaneHeading>
      <p style={{ margin: "0 0 8px" }}>
        Hem of one leg{" "}
        <b>
          <Length mm={shape.readings.hemGirth} tape={tape} unit />
        </b>
        {words}. Waist{" "}
        <b>
          <Length mm={shape.readings.waistGirth} tape={tape} unit />
        </b>
        .
      </p>
      {SHARES.map(({ move, params, add }) => {
        const line = shape.worksheet.find((l) => l.move === move && l.on && !l.passed && l.index !== null);
        return line?.index === undefined || line.index === null ? (
          <Button
            key={move}
            sx={{ px: 0, mb: 1 }}
            onClick={() =>
              changeJob((draft) => void ownMoves(draft).unshift({ id: nanoid(6), move, on: true, params: {} }))
            }
          >
            {add}
          </Button>
        ) : (
          <div
            key={move}
            style={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: "6px 12px", marginBottom: 12 }}
          >
            {params.map((param) => (
              <FieldOfMove key={param} index={line.index as number} line={line} param={param} />
            ))}
          </div>
        );
      })}
    </>
  );
}
