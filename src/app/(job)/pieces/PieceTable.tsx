"use client";
import { useMemo } from "react";
import { boxOf } from "@/core/geometry";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { boundsOf, layOut } from "@/ui/table/layout";
import { PieceView } from "@/ui/table/PieceView";
import { Table } from "@/ui/table/Table";

const ORDER = ["back", "front", "waistband"];

/** Every piece on the table with cut line, seam line, grain, notches and label. */
export function PieceTable() {
  const { id, proof } = useOpenJob();
  const { tape, showFront, showBack, lit } = useView();
  const placed = useMemo(() => {
    const pieces = [...(proof?.pieces ?? [])].sort((a, b) => ORDER.indexOf(a.id) - ORDER.indexOf(b.id));
    return layOut(pieces.map((piece) => ({ id: piece.id, item: piece, box: boxOf(piece.cutLine) })));
  }, [proof]);
  if (placed.length === 0)
    return <div style={{ padding: 32, color: "var(--quiet)" }}>The pieces are being worked out.</div>;
  const visible = placed.filter((p) => (p.id === "front" ? showFront : p.id === "back" ? showBack : true));
  return (
    <Table
      label="Pieces on the table"
      bounds={boundsOf(placed)}
      fitKey={`${id}-pieces-${placed.length}`}
      tape={tape}
      footer="heavy line: cut   own line: sew"
      overlay={(view) => {
        const at = lit && placed.find((p) => p.id === lit.panel);
        if (!lit || !at) return null;
        const [x, y] = [(lit.point[0] + at.at[0]) * view.k + view.x, (lit.point[1] + at.at[1]) * view.k + view.y];
        return <circle cx={x} cy={y} r={14} fill="none" stroke="var(--chalk)" strokeWidth={3} />;
      }}
    >
      {visible.map(({ id: pieceId, item, at }) => (
        <g key={pieceId} transform={`translate(${at[0]} ${at[1]})`}>
          <PieceView piece={item} />
        </g>
      ))}
    </Table>
  );
}
