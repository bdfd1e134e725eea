"use client";
import { panelById } from "@/core/pattern";
import { listOf, phrase } from "@/core/words";
import Slider from "@mui/material/Slider";
import { useCallback, useMemo, useState } from "react";
import { widthBudget, type WidthParts } from "@/core/inspect";
import { formatLength, type Mm, type Tape, textOf, inside } from "@/core/units";
import { useView } from "@/store/viewStore";
import { Chart, type ChartInk } from "@/ui/Chart";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";

const PARTS = [
  ["body", "body"],
  ["ease", "ease"],
  ["dart", "dart"],
  ["opening", "opened"],
  ["allowance", "allowance"],
] as const;

/** Width budget: at named levels and at any level between, where each millimetre of front and back goes. */
export function WidthPane() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [level, setLevel] = useState<Mm | null>(null);
  const sources = useMemo(
    () =>
      shape && {
        panels: shape.panels,
        easeProfile: shape.readings.easeProfile,
        crotch: shape.plan.levels.crotch,
        wedges: shape.shown,
        allowances: shape.allowances.widths,
      },
    [shape],
  );
  const levels = useMemo(() => {
    if (!shape) return [];
    const { hip, crotch, knee, hem, waist } = shape.plan.levels;
    return [
      ["below the waist", Math.max(waist, 0) + 20],
      ["hip", hip],
      ["crotch + 25", crotch + 25],
      ["knee", Math.min(knee, hem - 5)],
      ["above the hem", hem - 15],
    ] as const;
  }, [shape]);
  const rows = useMemo(
    () =>
      sources
        ? levels.flatMap(([name, y]) =>
            widthBudget(sources, y).parts.map((parts) => ({
              name: phrase`${name}, ${textOf(inside(panelById(sources.panels, parts.panel).name))}`,
              parts,
            })),
          )
        : [],
    [sources, levels],
  );
  const option = useCallback((ink: ChartInk) => chartOption(rows, tape, ink), [rows, tape]);
  if (!shape || !sources) return null;
  const [top, bottom] = [shape.plan.levels.waist + 5, shape.plan.levels.hem - 5];
  const y = Math.min(bottom, Math.max(top, level ?? shape.plan.levels.hip));
  const own = widthBudget(sources, y);
  return (
    <section aria-label="Width budget">
      <PaneHeading>Where the width goes</PaneHeading>
      <Chart
        label={phrase`Stacked widths of front and back at ${listOf(levels.map(([n]) => n))}`}
        height={330}
        option={option}
      />
      <PaneHeading>At any level</PaneHeading>
      <Slider
        size="small"
        aria-label="Level below the natural waist"
        min={Math.ceil(top)}
        max={Math.floor(bottom)}
        value={y}
        onChange={(_event, value) => setLevel(value as number)}
        valueLabelDisplay="auto"
        valueLabelFormat={(v) => formatLength(v, tape)}
        sx={{ color: "var(--chalk)", mx: 1, width: "calc(100% - 16px)" }}
      />
      <p style={{ margin: "0 0 6px" }}>
        <b>
          <Length mm={y} tape={tape} unit />
        </b>{" "}
        below the natural waist
      </p>
      <table style={{ width: "100%", borderCollapse: "collapse" }}>
        <thead>
          <tr style={{ color: "var(--quiet)", textAlign: "right", fontStretch: "80%" }}>
            <th style={{ textAlign: "left", fontWeight: 500 }}>Part</th>
            {own.parts.map((p) => (
              <th key={p.panel} style={{ fontWeight: 500 }}>
                {textOf(panelById(shape.panels, p.panel).name)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...PARTS, ["cut", "cut width"] as const].map(([key, word]) => (
            <tr key={key} style={{ borderTop: "1px solid var(--rule)", fontWeight: key === "cut" ? 700 : undefined }}>
              <th scope="row" style={{ textAlign: "left", fontWeight: "inherit", padding: "4px 0" }}>
                {word}
              </th>
              {own.parts.map((p) => (
                <td key={p.panel} style={{ textAlign: "right" }}>
                  <Length mm={key === "cut" ? p.width + p.allowance : p[key]} tape={tape} unit />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function chartOption(
  rows: readonly { readonly name: string; readonly parts: WidthParts }[],
  tape: Tape,
  ink: ChartInk,
) {
  const colours: Record<string, string> = {
    body: ink.lining,
    ease: ink.pass,
    dart: ink.note,
    opening: ink.chalk,
    allowance: ink.ghost,
  };
  const names = rows.map((r) => r.name).reverse();
  return {
    grid: { left: 118, right: 10, top: 52, bottom: 24 },
    legend: { top: 0, left: 0, itemWidth: 12, itemHeight: 10, textStyle: { color: ink.text, fontSize: 12 } },
    tooltip: {
      trigger: "axis",
      axisPointer: { type: "shadow" },
      valueFormatter: (v: unknown) => formatLength(Number(v), tape),
    },
    xAxis: {
      type: "value",
      axisLabel: { color: ink.quiet, formatter: (v: number) => formatLength(v, tape, { withUnit: false }) },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    yAxis: { type: "category", data: names, axisLabel: { color: ink.text, fontSize: 11.5 }, axisTick: { show: false } },
    series: PARTS.map(([key, word]) => ({
      name: word,
      type: "bar",
      stack: "width",
      itemStyle: { color: colours[key] },
      data: rows.map((r) => Math.round(r.parts[key])).reverse(),
    })),
  };
}
