"use client";
import Button from "@mui/material/Button";
import { useCallback } from "react";
import { RULES, schoolRules, SCHOOLS, type DraftedSchool } from "@/core/drafting";
import type { Compared, Variant } from "@/core/derive/compare";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { useView } from "@/store/viewStore";
import { Chart, type ChartInk } from "@/ui/Chart";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";
import { inkOf } from "./compareInk";

/** The ways to come by a crotch depth from the body alone. */
const DEPTHS = RULES.crotchDepth.params.from.options.filter(([from]) => from !== "measured" && from !== "fixed");

const MOST = 5;
const LEAST = 2;

/** The rows that are compared: what they are, and where the number comes from. */
const ROWS: readonly (readonly [string, (c: Compared) => Mm | undefined])[] = [
  ["Crotch depth", (c) => c.block?.numbers.crotchDepth?.mm],
  ["Front width", (c) => c.block?.numbers.frontWidth?.mm],
  ["Back width", (c) => c.block?.numbers.backWidth?.mm],
  ["Front extension", (c) => c.block?.numbers.frontExtension?.mm],
  ["Back extension", (c) => c.block?.numbers.backExtension?.mm],
  ["Back rise", (c) => c.block?.numbers.backRise?.mm],
  ["Front hollow", (c) => c.block?.numbers.frontHollow?.mm],
  ["Back hollow", (c) => c.block?.numbers.backHollow?.mm],
  ["Back crotch lowered", (c) => c.block?.numbers.backCrotchDrop?.mm],
  ["Waist", (c) => c.readings?.waistGirth],
  ["Hip", (c) => c.readings?.hipGirth],
  ["Thigh", (c) => c.readings?.thighGirth],
  ["Hem, one leg", (c) => c.readings?.hemGirth],
  ["Crotch seam", (c) => c.readings?.crotchSeam],
  ["Side seam", (c) => c.readings?.outseam],
  ["Inseam", (c) => c.readings?.inseam],
];

interface Props {
  readonly variants: readonly Variant[];
  readonly compared: readonly Compared[];
  readonly onChange: (variants: readonly Variant[]) => void;
}

/** Two to five ways of drafting the same body: which, what differs by number, and what that does to seat and ease. */
export function ComparePane({ variants, compared, onChange }: Props) {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const crotchLength = shape?.measures.crotchLength;
  const seam = useCallback(
    (ink: ChartInk) => seamOption(compared, crotchLength?.mm ?? 0, tape, ink),
    [compared, crotchLength, tape],
  );
  const ease = useCallback((ink: ChartInk) => easeOption(compared, tape, ink), [compared, tape]);
  const change = (i: number, more: Partial<Variant>): void =>
    onChange(variants.map((v, j) => (j === i ? { ...v, ...more } : v)));
  return (
    <section aria-label="Compare">
      <PaneHeading>On the same body</PaneHeading>
      {variants.map((variant, i) => (
        <details key={i} style={{ borderBottom: "1px solid var(--rule)", padding: "4px 0" }}>
          <summary style={{ cursor: "pointer" }}>
            <svg width={34} height={10} aria-hidden style={{ marginRight: 8 }}>
              <path d="M1 5H33" stroke={inkOf(i).color} strokeWidth={2.2} strokeDasharray={inkOf(i).dash} />
            </svg>
            <b>{compared[i]?.label}</b>
            {compared[i]?.refused ? (
              <div style={{ color: "var(--fault)", fontSize: 13 }}>
                <Sentence says={compared[i]?.refused ?? []} tape={tape} />
              </div>
            ) : null}
          </summary>
          <Choice
            label="School"
            value={variant.school}
            options={Object.values(SCHOOLS).map(({ id, label }) => [id as DraftedSchool, label] as const)}
            onChange={(school) => onChange(variants.map((v, j) => (j === i ? { school } : v)))}
          />
          <Choice
            label="Back"
            value={variant.back ?? schoolRules(variant.school, tape).back.how}
            options={RULES.back.params.how.options}
            onChange={(back) => change(i, { back })}
          />
          <Choice
            label="Crotch depth from"
            value={variant.depth ?? schoolRules(variant.school, tape).crotchDepth.from}
            options={DEPTHS}
            onChange={(depth) => change(i, { depth })}
          />
          {variants.length > LEAST ? (
            <Button sx={{ px: 0 }} onClick={() => onChange(variants.filter((_, j) => j !== i))}>
              Leave this one out
            </Button>
          ) : null}
        </details>
      ))}
      {variants.length < MOST ? (
        <Button
          sx={{ px: 0, mb: 1 }}
          onClick={() => {
            const free = Object.values(SCHOOLS).find((s) => !variants.some((v) => v.school === s.id && !v.back));
            onChange([...variants, { school: (free?.id ?? "proportional") as DraftedSchool }]);
          }}
        >
          Add a way of drafting
        </Button>
      ) : null}
      <PaneHeading>
        Crotch seam against the wearer’s <Length mm={crotchLength?.mm ?? 0} tape={tape} unit />
      </PaneHeading>
      <Chart
        label="Crotch seam of each draft beside the wearer's crotch length"
        height={40 + 34 * compared.length}
        option={seam}
      />
      <PaneHeading>Ease by level</PaneHeading>
      <Chart label="Ease of each draft at waist, hip, thigh, knee, calf and ankle" height={210} option={ease} />
      <PaneHeading>What differs</PaneHeading>
      <Differences compared={compared} tape={tape} />
    </section>
  );
}

function Differences({ compared, tape }: { readonly compared: readonly Compared[]; readonly tape: Tape }) {
  const rows = ROWS.flatMap(([label, of]) => {
    const values = compared.map(of);
    const known = values.filter((v): v is Mm => v !== undefined);
    return known.length > 1 && Math.max(...known) - Math.min(...known) > 0.5 ? [{ label, values }] : [];
  });
  return (
    <table style={{ width: "100%", borderCollapse: "collapse", fontSize: 13 }}>
      <thead>
        <tr>
          <th scope="col" style={{ textAlign: "left", fontWeight: 500, color: "var(--quiet)" }}>
            Number
          </th>
          {compared.map((c, i) => (
            <th key={i} scope="col" style={{ textAlign: "right" }}>
              <svg width={26} height={10} role="img" aria-label={c.label}>
                <path d="M0 5H26" stroke={inkOf(i).color} strokeWidth={2.2} strokeDasharray={inkOf(i).dash} />
              </svg>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ label, values }) => (
          <tr key={label} style={{ borderTop: "1px solid var(--rule)" }}>
            <th scope="row" style={{ textAlign: "left", fontWeight: 450, padding: "3px 0", fontStretch: "80%" }}>
              {label}
            </th>
            {values.map((v, i) => (
              <td key={i} style={{ textAlign: "right", fontStretch: "80%" }}>
                {v === undefined ? "–" : <Length mm={v} tape={tape} />}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function seamOption(compared: readonly Compared[], crotchLength: Mm, tape: Tape, ink: ChartInk) {
  const cm = (mm: Mm): number => Math.round(mm) / 10;
  const values = compared.map((c) => cm(c.readings?.crotchSeam ?? 0));
  return {
    grid: { left: 4, right: 46, top: 8, bottom: 24 },
    xAxis: {
      type: "value",
      min: Math.floor(Math.min(cm(crotchLength), ...values.filter((v) => v > 0)) - 6),
      axisLabel: { color: ink.quiet },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    yAxis: {
      type: "category",
      inverse: true,
      data: compared.map((c) => c.label),
      axisLabel: { show: false },
      axisTick: { show: false },
    },
    series: [
      {
        type: "bar",
        barWidth: 16,
        data: compared.map((c, i) => ({
          value: cm(c.readings?.crotchSeam ?? 0),
          itemStyle: { color: ink[inkOf(i).ink], opacity: 0.85 },
        })),
        label: {
          show: true,
          position: "insideLeft",
          color: ink.table,
          fontWeight: 650,
          formatter: ({ dataIndex }: { dataIndex: number }) =>
            formatLength(compared[dataIndex]?.readings?.crotchSeam ?? 0, tape, { withUnit: false }),
        },
        markLine: {
          symbol: "none",
          silent: true,
          lineStyle: { color: ink.text, type: "solid", width: 1.5 },
          label: { show: false },
          data: [{ xAxis: cm(crotchLength) }],
        },
      },
    ],
  };
}

function easeOption(compared: readonly Compared[], tape: Tape, ink: ChartInk) {
  const levels = [...new Set(compared.flatMap((c) => c.readings?.easeProfile.map((p) => p.level) ?? []))];
  return {
    grid: { left: 34, right: 10, top: 12, bottom: 26 },
    tooltip: { trigger: "axis", valueFormatter: (v: unknown) => formatLength(Number(v), tape) },
    xAxis: { type: "category", data: levels, axisLabel: { color: ink.quiet, interval: 0 }, axisTick: { show: false } },
    yAxis: {
      type: "value",
      axisLabel: { color: ink.quiet, formatter: (v: number) => formatLength(v, tape, { withUnit: false }) },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    series: compared.map((c, i) => ({
      name: c.label,
      type: "line",
      symbolSize: 5,
      itemStyle: { color: ink[inkOf(i).ink] },
      lineStyle: {
        color: ink[inkOf(i).ink],
        width: 2,
        type: (["solid", "dashed", "dotted", "dashed", "dotted"] as const)[i % 5],
      },
      data: levels.map((level) => {
        const at = c.readings?.easeProfile.find((p) => p.level === level);
        return at ? Math.round(at.pattern - at.body) : null;
      }),
    })),
  };
}
