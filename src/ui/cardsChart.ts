import { resolveBody, type Body, type MeasureKey } from "@/core/body";
import { inTapeUnits, type Mm, type Tape } from "@/core/units";
import { decimal } from "@/core/words";
import type { ChartInk } from "./Chart";
import { monthOf } from "./dayOf";

/** A measure as it was taken on a day. */
interface Reading {
  readonly taken: string;
  readonly mm: Mm;
}

/** The measure on each dated card that carries it, each reading once; estimates are left out. */
export function measuredOn(cards: readonly Body[], key: MeasureKey): readonly Reading[] {
  return cards
    .flatMap((card) => {
      const resolved = resolveBody(card);
      if (!resolved.ok || !card.taken || resolved.measures[key].source !== "given") return [];
      return [{ taken: card.taken, mm: resolved.measures[key].mm }];
    })
    .filter((one, i, all) => all.findIndex((own) => own.taken === one.taken && own.mm === one.mm) === i)
    .sort((a, b) => a.taken.localeCompare(b.taken));
}

/** A line chart of a measure by date, on the tape. */
export function changeOption(points: readonly Reading[], tape: Tape, ink: ChartInk) {
  const values = points.map((p) => Math.round(inTapeUnits(p.mm, tape) * 100) / 100);
  return {
    grid: { left: 40, right: 16, top: 14, bottom: 24 },
    tooltip: { trigger: "axis", valueFormatter: (v: unknown) => decimal(`${Number(v)} ${tape}`) },
    xAxis: {
      type: "time",
      axisLabel: { color: ink.quiet, hideOverlap: true, formatter: monthOf },
      splitLine: { show: false },
    },
    yAxis: {
      type: "value",
      min: Math.floor(Math.min(...values) - 1),
      max: Math.ceil(Math.max(...values) + 1),
      axisLabel: { color: ink.quiet },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    series: [
      {
        type: "line",
        symbolSize: 7,
        itemStyle: { color: ink.chalk },
        lineStyle: { color: ink.chalk, width: 2 },
        data: points.map((p, i) => [p.taken, values[i]]),
      },
    ],
  };
}
