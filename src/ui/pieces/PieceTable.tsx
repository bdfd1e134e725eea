"use client";
import { textOf } from "@/core/units";
import { type Piece } from "@/core/pieces";
import { isOf } from "@/core/pattern";
import { useMemo } from "react";
import { boxOf, type Point } from "@/core/geometry";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { layOutParts } from "@/ui/table/layout";
import { labelWidth, screenLabel } from "@/ui/table/labels";
import { PieceView } from "@/ui/table/PieceView";
import { styleOf } from "@/ui/table/PanelView";
import { Table } from "@/ui/table/Table";
import { TapeTool } from "./TapeTool";

/** The view the pieces are laid out for; a larger window shows the same larger. */
const VIEW = { width: 490, height: 650 };

/** Words on the pieces are written once there is room for them: at so many pixels a millimetre. */
const WORDS_FROM = 0.7;

/** Backs first, then fronts, then every other part. */
const rank = (piece: Piece): number => (isOf(piece, "back") ? 0 : isOf(piece, "front") ? 1 : 2);

/** Every piece on the table with cut line, seam line, grain, notches and label. */
export function PieceTable() {
  const { id, proof } = useOpenJob();
  const { tape, showFront, showBack, lit, tool } = useView();
  const { placed, bounds } = useMemo(() => {
    const pieces = [...(proof?.pieces ?? [])].sort((a, b) => rank(a) - rank(b));
    return layOutParts(
      pieces.map((piece) => ({
        id: piece.panel.id,
        item: piece,
        box: boxOf(piece.cutLine),
        part: rank(piece) === 2,
        label: labelWidth(piece),
      })),
      VIEW,
    );
  }, [proof]);
  if (placed.length === 0)
    return <div style={{ padding: 32, color: "var(--quiet)" }}>The pieces are being worked out.</div>;
  const visible = placed.filter(({ item }) => (isOf(item, "front") ? showFront : isOf(item, "back") ? showBack : true));
  return (
    <Table
      label="Pieces on the table"
      bounds={bounds}
      fitKey={`${id}-pieces-${placed.length}`}
      tape={tape}
      footer={tool === "tape" ? "press two places: straight, and along the edge" : "heavy line: cut   own line: sew"}
      overlay={(view) => {
        const onScreen = (at: Point, [x, y]: Point): Point => [
          (x + at[0]) * view.k + view.x,
          (y + at[1]) * view.k + view.y,
        ];
        const lightAt = lit && placed.find((p) => p.id === lit.panel || p.item.id === lit.panel);
        const light = lit && lightAt ? onScreen(lightAt.at, [lit.point[0], lit.point[1]]) : null;
        return (
          <>
            {visible.map(({ id: pieceId, item, at }) => {
              const label = screenLabel(item, view.k);
              const [x, y] = onScreen(at, label.at);
              const from = label.leader && onScreen(at, label.leader);
              return (
                <g key={pieceId}>
                  {view.k >= WORDS_FROM
                    ? item.signs.words.map((word, i) => {
                        const [wx, wy] = onScreen(at, word.at);
                        return (
                          <text
                            key={i}
                            x={wx}
                            y={wy}
                            fontSize={12}
                            fill="var(--text)"
                            style={{ pointerEvents: "none" }}
                          >
                            {textOf(word.text)}
                          </text>
                        );
                      })
                    : null}
                  {from ? <path d={`M${from[0]} ${from[1]}V${y + 2}`} stroke="var(--quiet)" strokeWidth={1} /> : null}
                  <text
                    x={x}
                    y={y + 12}
                    fontSize={13}
                    fill="var(--text)"
                    className="narrow"
                    style={{ pointerEvents: "none" }}
                  >
                    {label.lines.map((text, i) => (
                      <tspan
                        key={text}
                        x={x}
                        dy={i === 0 ? 0 : 16}
                        fontWeight={i === 0 ? 700 : 450}
                        fill={i === 0 ? styleOf(item).color : undefined}
                      >
                        {text}
                      </tspan>
                    ))}
                  </text>
                </g>
              );
            })}
            {tool === "tape" ? <TapeTool view={view} placed={visible} tape={tape} /> : null}
            {light ? (
              <circle cx={light[0]} cy={light[1]} r={14} fill="none" stroke="var(--chalk)" strokeWidth={3} />
            ) : null}
          </>
        );
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
