"use client";
import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import { useCallback } from "react";
import { MISTAKES } from "@/core/derive/practice";
import type { PracticeRecord } from "@/store/practiceStore";
import { Chart, type ChartInk } from "../Chart";

/** How often each kind of mistake was met, and how often it was found. */
export function ProgressChart({ record }: { readonly record: PracticeRecord | null }) {
  const met = MISTAKES.filter(({ id }) => record?.kinds[id]).map(({ id, label }) => ({ label, ...record?.kinds[id] }));
  const option = useCallback(
    (ink: ChartInk) => ({
      grid: { left: 8, right: 20, top: 6, bottom: 24, containLabel: true },
      xAxis: {
        type: "value",
        minInterval: 1,
        axisLabel: { color: ink.quiet },
        splitLine: { lineStyle: { color: ink.rule } },
      },
      yAxis: {
        type: "category",
        data: met.map((m) => m.label),
        axisLabel: { color: ink.text, width: 150, overflow: "break", fontSize: 11, lineHeight: 14 },
      },
      series: [
        {
          name: "found",
          type: "bar",
          stack: "all",
          data: met.map((m) => m.found ?? 0),
          itemStyle: { color: ink.pass },
        },
        {
          name: "missed",
          type: "bar",
          stack: "all",
          data: met.map((m) => (m.met ?? 0) - (m.found ?? 0)),
          itemStyle: { color: ink.look },
        },
      ],
    }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `met` follows the record
    [record],
  );
  if (met.length === 0) return <p style={{ margin: 0, color: "var(--quiet)" }}>Nothing was tried yet.</p>;
  return (
    <Chart
      label={phrase`Found and missed by kind: ${met.map((m) => phrase`${textOf(m.label)}, ${m.found ?? 0} of ${m.met ?? 0}`).join("; ")}`}
      height={60 + 38 * met.length}
      option={option}
    />
  );
}
