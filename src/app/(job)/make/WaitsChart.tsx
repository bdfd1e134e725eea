"use client";
import { phrase } from "@/core/words";
import { useCallback } from "react";
import type { Step } from "@/core/making";
import { tell, type Tape } from "@/core/units";
import { Chart, type ChartInk } from "@/ui/Chart";
import { PaneHeading } from "@/ui/StageLayout";

/** How many steps have to be done before a step can be: none for those that may be first. */
function depthsOf(order: readonly Step[]): ReadonlyMap<string, number> {
  const depths = new Map<string, number>();
  for (const step of order) depths.set(step.id, 1 + Math.max(-1, ...step.after.map((id) => depths.get(id) ?? 0)));
  return depths;
}

/** What waits for what: each step further right than all it waits for, in the order it is made from the top down. */
export function WaitsChart({ order, tape }: { readonly order: readonly Step[]; readonly tape: Tape }) {
  const option = useCallback(
    (ink: ChartInk) => {
      const depths = depthsOf(order);
      return {
        grid: { left: 8, right: 16, top: 8, bottom: 8 },
        xAxis: { type: "value", show: false, min: -0.5, max: Math.max(...depths.values()) + 0.5 },
        yAxis: { type: "value", show: false, inverse: true, min: 0.5, max: order.length + 0.5 },
        tooltip: { formatter: ({ data }: { data?: { name?: string } }) => data?.name ?? "" },
        series: [
          {
            type: "graph",
            coordinateSystem: "cartesian2d",
            symbolSize: 20,
            edgeSymbol: ["none", "arrow"],
            edgeSymbolSize: 6,
            lineStyle: { color: ink.quiet, width: 1.2 },
            itemStyle: { color: ink.table, borderColor: ink.text, borderWidth: 1.4 },
            label: { show: true, formatter: ({ data }: { data: { n: number } }) => String(data.n), color: ink.text },
            data: order.map((step) => ({
              id: step.id,
              n: step.n,
              name: `${step.n}. ${tell(step.says, tape)}`,
              value: [depths.get(step.id) ?? 0, step.n],
            })),
            links: order.flatMap((step) => step.after.map((id) => ({ source: id, target: step.id }))),
          },
        ],
      };
    },
    [order, tape],
  );
  const words = order.map(
    (s) => phrase`${s.n} after ${s.after.map((id) => order.find((o) => o.id === id)?.n).join(", ") || "nothing"}`,
  );
  return (
    <>
      <PaneHeading>What waits for what</PaneHeading>
      <Chart
        label={phrase`What waits for what: ${words.join("; ")}`}
        height={Math.max(160, 26 * order.length)}
        option={option}
      />
    </>
  );
}
