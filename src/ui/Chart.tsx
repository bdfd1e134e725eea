"use client";
import type { ECharts, EChartsCoreOption } from "echarts/core";
import { useEffect, useRef, useState } from "react";
import { saidOption } from "./words/chart";

/** Colours of the program as charts need them: read from the page, so that they follow light and dark. */
export interface ChartInk {
  readonly text: string;
  readonly quiet: string;
  readonly rule: string;
  readonly chalk: string;
  readonly front: string;
  readonly back: string;
  readonly pass: string;
  readonly look: string;
  readonly note: string;
  readonly ghost: string;
  readonly lining: string;
  readonly table: string;
}

const NAMES = [
  "text",
  "quiet",
  "rule",
  "chalk",
  "front",
  "back",
  "pass",
  "look",
  "note",
  "ghost",
  "lining",
  "table",
] as const;

function readInk(): ChartInk {
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(
    NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()]),
  ) as unknown as ChartInk;
}

/** The chart library with the parts Eland uses, loaded when the first chart is shown. */
async function loadCharts() {
  const [core, charts, components, renderers] = await Promise.all([
    import("echarts/core"),
    import("echarts/charts"),
    import("echarts/components"),
    import("echarts/renderers"),
  ]);
  core.use([
    charts.BarChart,
    charts.GraphChart,
    charts.LineChart,
    components.GridComponent,
    components.LegendComponent,
    components.TooltipComponent,
    components.MarkLineComponent,
    renderers.SVGRenderer,
  ]);
  return core;
}

interface Props {
  /** What the chart shows, in words, for who cannot see it. */
  readonly label: string;
  readonly height: number;
  readonly option: (ink: ChartInk) => EChartsCoreOption;
}

/** A chart in the program's own ink. */
export function Chart({ label, height, option }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const [chart, setChart] = useState<ECharts | null>(null);
  const [ink, setInk] = useState<ChartInk | null>(null);

  useEffect(() => {
    let made: ECharts | null = null;
    let wanted = true;
    const observer = new ResizeObserver(() => made?.resize());
    void loadCharts().then((core) => {
      const element = holder.current;
      if (!wanted || !element) return;
      made = core.init(element, null, { renderer: "svg" });
      observer.observe(element);
      setInk(readInk());
      setChart(made);
    });
    const scheme = window.matchMedia("(prefers-color-scheme: dark)");
    const recolour = (): void => setInk(readInk());
    scheme.addEventListener("change", recolour);
    return () => {
      wanted = false;
      observer.disconnect();
      scheme.removeEventListener("change", recolour);
      made?.dispose();
    };
  }, []);

  useEffect(() => {
    if (!chart || !ink) return;
    chart.setOption(
      {
        animation: false,
        textStyle: { fontFamily: '"Encode Sans Variable", sans-serif', color: ink.text },
        ...saidOption(option(ink)),
      },
      true,
    );
  }, [chart, ink, option]);

  return <div ref={holder} role="img" aria-label={label} style={{ width: "100%", height }} />;
}
