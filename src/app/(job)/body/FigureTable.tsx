"use client";
import { phrase } from "@/core/words";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useMemo, useState } from "react";
import { figureOf, measureOf, plainMeasures, type FigureView, type MeasureKey, type Tape } from "@/core/body";
import { boxOf, pathFlatten, type Box } from "@/core/geometry";
import { formatLength } from "@/core/units";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { layOut, boundsOf, pathData } from "@/ui/table/layout";
import { Table } from "@/ui/table/Table";

const PLAIN = plainMeasures();

const STROKE = { fill: "none", vectorEffect: "non-scaling-stroke", strokeLinecap: "round" } as const;

/** The wearer drawn from the numbers of the card, with the path of the tape for the measure in focus. */
export function FigureTable({ focus, upper }: { readonly focus: MeasureKey; readonly upper: boolean }) {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  // Before there are numbers a plain figure stands there, so that the tape can be shown.
  const measures = shape?.measures ?? PLAIN;
  const figure = useMemo(() => figureOf(measures, upper), [measures, upper]);
  const lit = figure.tapes[focus];
  const [chosen, setChosen] = useState<{ readonly focus: MeasureKey; readonly view: FigureView } | null>(null);
  // The view the tape shows best in comes to the front with a new focus, until another is chosen by hand.
  const main = chosen?.focus === focus ? chosen.view : (lit?.view ?? "front");
  const shown: readonly FigureView[] =
    main === "sitting" ? ["sitting"] : main === "side" ? ["side", "front"] : [main, "side"];
  const items = shown.map((view) => ({ id: view, item: view, box: viewBox(figure.views[view]) }));
  const places = layOut(items);
  const label = measureOf(focus).label;
  return (
    <div style={{ position: "relative", height: "100%" }}>
      <Table
        label="Figure on the table"
        bounds={{ ...boundsOf(places), top: boundsOf(places).top - 0.06 * figure.floor }}
        fitKey={`${main}-${upper}-${Math.round(figure.floor)}`}
        tape={tape}
        footer={
          shape
            ? phrase`${label} ${formatLength(measures[focus].mm, tape)}${measures[focus].source === "estimated" ? ", estimated" : ""}`
            : phrase`${label}: a plain figure, until waist and hip are written`
        }
        overlay={(view) =>
          places.map(({ id, at, box }) => (
            <text
              key={id}
              x={((box.left + box.right) / 2 + at[0]) * view.k + view.x}
              y={(box.bottom + at[1]) * view.k + view.y + 22}
              textAnchor="middle"
              fontSize={13}
              fill="var(--quiet)"
            >
              {VIEWS.find(([v]) => v === id)?.[1]}
            </text>
          ))
        }
      >
        {places.map(({ id, item, at }) => (
          <g key={id} transform={`translate(${at[0]} ${at[1]})`} role="img" aria-label={phrase`Figure, ${id}`}>
            {figure.views[item].map((path, i) => (
              <path key={i} d={pathData(path)} {...STROKE} stroke="var(--text)" strokeWidth={1.6} />
            ))}
            {lit && lit.view === item ? <LitTape tape={lit} /> : null}
          </g>
        ))}
      </Table>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={main}
        aria-label="View of the figure"
        onChange={(_event, view: FigureView | null) => view && setChosen({ focus, view })}
        sx={{
          position: "absolute",
          top: 10,
          left: 14,
          "& .MuiToggleButton-root": { py: 0.25, px: 1.25, textTransform: "none" },
        }}
      >
        {VIEWS.map(([view, word]) => (
          <ToggleButton key={view} value={view}>
            {word}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </div>
  );
}

const VIEWS: readonly (readonly [FigureView, string])[] = [
  ["front", "Front"],
  ["back", "Back"],
  ["side", "Side"],
  ["sitting", "Sitting"],
];

function viewBox(paths: readonly (readonly Parameters<typeof pathFlatten>[0][number][])[]): Box {
  const box = boxOf(paths.flatMap((path) => pathFlatten(path, 2)));
  return { ...box, left: box.left - 45, right: box.right + 45 };
}

function LitTape({ tape }: { readonly tape: Tape }) {
  return (
    <g aria-hidden data-tape="lit">
      {tape.hidden.map((path, i) => (
        <path
          key={`h${i}`}
          d={pathData(path)}
          {...STROKE}
          stroke="var(--chalk)"
          strokeWidth={2}
          strokeDasharray="3 4"
        />
      ))}
      {tape.runs.map((path, i) => (
        <path key={i} d={pathData(path)} {...STROKE} stroke="var(--chalk)" strokeWidth={4} />
      ))}
    </g>
  );
}
