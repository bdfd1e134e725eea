"use client";
import { phrase } from "@/core/words";
import { isOf } from "@/core/pattern";
import { useCallback, useMemo } from "react";
import { legGirths, type GirthAt } from "@/core/inspect";
import { useView } from "@/store/viewStore";
import { Chart, type ChartInk } from "@/ui/Chart";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { PaneHeading } from "@/ui/StageLayout";
import { Redistribute } from "./Redistribute";

/** Girth of one leg by level: the block, the style, and the body inside them; and how each half is shared. */
export function GirthPane() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const curves = useMemo(
    () =>
      shape && {
        before: legGirths(shape.block.panels, shape.block.plan),
        now: legGirths(shape.panels, shape.plan),
        body: shape.readings.easeProfile
          .filter((p) => p.level !== "waist" && p.level !== "hip")
          .map((p): GirthAt => ({ y: p.y, girth: p.body })),
      },
    [shape],
  );
  const option = useCallback((ink: ChartInk) => (curves ? girthOption(curves, tape, ink) : {}), [curves, tape]);
  if (!shape || !curves) return null;
  const share = (root: "front" | "back"): readonly [number, number] => {
    const { hemSide, hemInseam, creaseHem } =
      shape.panels.find((p) => isOf(p, root) && p.landmarks.creaseHem)?.landmarks ?? {};
    if (!hemSide || !hemInseam || !creaseHem) return [0, 0];
    return [Math.abs(hemSide[0] - creaseHem[0]), Math.abs(hemInseam[0] - creaseHem[0])];
  };
  const rows = [
    ["Front", share("front"), shape.readings.hemWidthFront],
    ["Back", share("back"), shape.readings.hemWidthBack],
  ] as const;
  const shared = rows.filter(([, [side, inseam]]) => side > 0 || inseam > 0);
  return (
    <section aria-label="Girths">
      <PaneHeading>One leg by level, block and now, the body inside</PaneHeading>
      <Chart label="Girth of one leg by level: block, style and body" height={300} option={option} />
      {shared.length > 0 ? (
        <>
          <PaneHeading>How the hem is shared about the crease</PaneHeading>
          <table style={{ width: "100%", borderCollapse: "collapse" }}>
            <thead>
              <tr style={{ color: "var(--quiet)", textAlign: "right", fontStretch: "80%" }}>
                <th style={{ textAlign: "left", fontWeight: 500 }}>Panel</th>
                <th style={{ fontWeight: 500 }}>to the side</th>
                <th style={{ fontWeight: 500 }}>to the inseam</th>
                <th style={{ fontWeight: 500 }}>hem</th>
              </tr>
            </thead>
            <tbody>
              {shared.map(([name, [side, inseam], hem]) => (
                <tr key={name} style={{ borderTop: "1px solid var(--rule)", textAlign: "right" }}>
                  <th scope="row" style={{ textAlign: "left", fontWeight: 450, padding: "4px 0" }}>
                    {name}
                  </th>
                  <td>
                    <Length mm={side} tape={tape} unit />
                  </td>
                  <td>
                    <Length mm={inseam} tape={tape} unit />
                  </td>
                  <td style={{ fontWeight: 700 }}>
                    <Length mm={hem} tape={tape} unit />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      ) : null}
      <Redistribute />
    </section>
  );
}

interface Curves {
  readonly before: readonly GirthAt[];
  readonly now: readonly GirthAt[];
  readonly body: readonly GirthAt[];
}

function girthOption({ before, now, body }: Curves, tape: "in" | "cm", ink: ChartInk) {
  const per = tape === "in" ? 25.4 : 10;
  const line = (name: string, points: readonly GirthAt[], color: string, type: "solid" | "dashed" | "dotted") => ({
    name,
    type: "line",
    showSymbol: name === "body",
    symbolSize: 5,
    itemStyle: { color },
    lineStyle: { color, type, width: 2 },
    data: points.map((p) => [Math.round((p.girth / per) * 10) / 10, Math.round((p.y / per) * 10) / 10]),
  });
  return {
    grid: { left: 40, right: 14, top: 32, bottom: 26 },
    legend: { top: 0, left: 0, itemWidth: 22, textStyle: { color: ink.text } },
    tooltip: {
      trigger: "item",
      formatter: ({ value }: { value: [number, number] }) =>
        phrase`${value[0]} ${tape} round, ${value[1]} ${tape} below the waist`,
    },
    xAxis: { type: "value", min: 0, axisLabel: { color: ink.quiet }, splitLine: { lineStyle: { color: ink.rule } } },
    yAxis: {
      type: "value",
      inverse: true,
      scale: true,
      axisLabel: { color: ink.quiet },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    series: [
      line("block", before, ink.lining, "dashed"),
      line("now", now, ink.chalk, "solid"),
      line("body", body, ink.text, "dotted"),
    ],
  };
}
