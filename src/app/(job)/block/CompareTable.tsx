"use client";
import { phrase } from "@/core/words";
import { panelPath, type Panel } from "@/core/pattern";
import type { Compared } from "@/core/derive/compare";
import { useView } from "@/store/viewStore";
import { boundsOf, layOut, panelBox, pathData } from "@/ui/table/layout";
import { Table } from "@/ui/table/Table";
import { boxOf } from "@/core/geometry";
import { inkOf } from "./compareInk";

/** Several drafts of one body over each other, crease on crease and waist on waist. */
export function CompareTable({ compared }: { readonly compared: readonly Compared[] }) {
  const { tape, showFront, showBack } = useView();
  const drawn = compared.flatMap((c, i) => (c.block ? [{ i, label: c.label, panels: c.block.panels }] : []));
  const side = (which: 0 | 1): Panel[] => drawn.map((d) => d.panels[which]);
  const shown = (
    [
      ["back", 1, showBack],
      ["front", 0, showFront],
    ] as const
  ).filter(([, which, on]) => on && side(which).length > 0);
  const places = layOut(
    shown.map(([id, which]) => {
      const boxes = side(which).map(panelBox);
      return {
        id,
        item: which,
        box: boxOf(boxes.flatMap((b) => [[b.left, b.top] as const, [b.right, b.bottom] as const])),
      };
    }),
  );
  if (places.length === 0)
    return <p style={{ padding: 32, color: "var(--quiet)" }}>None of these can be drafted for this card.</p>;
  return (
    <Table
      label="Compared blocks on the table"
      bounds={boundsOf(places)}
      fitKey={`compare-${places.length}-${drawn.length}`}
      tape={tape}
      footer="B back   F front   0 fit"
      overlay={(view) =>
        places.map(({ id, at, box }) => (
          <text
            key={id}
            x={((box.left + box.right) / 2 + at[0]) * view.k + view.x}
            y={Math.max(20, (box.top + at[1]) * view.k + view.y - 12)}
            textAnchor="middle"
            fontWeight={700}
            fontSize={14}
            fill={id === "front" ? "var(--front)" : "var(--back)"}
          >
            {id === "front" ? "Front" : "Back"}
          </text>
        ))
      }
    >
      {places.map(({ id, item, at }) => (
        <g key={id} transform={`translate(${at[0]} ${at[1]})`}>
          {drawn.map(({ i, label, panels }) => (
            <path
              key={label}
              role="img"
              aria-label={phrase`${label}, ${id}`}
              d={pathData(panelPath(panels[item]), true)}
              fill="none"
              stroke={inkOf(i).color}
              strokeWidth={1.8}
              strokeDasharray={inkOf(i).dash}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        </g>
      ))}
    </Table>
  );
}
