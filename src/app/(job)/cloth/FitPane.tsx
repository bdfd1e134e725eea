"use client";
import { decimal, phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { proxy } from "comlink";
import { useMemo, useRef, useState } from "react";
import type { ClothLay, Laid, LayCloth } from "@/core/cloth";
import { fittable } from "@/core/derive/fittable";
import type { Fitted, Tried } from "@/core/derive/fitCloth";
import type { LayFault } from "@/core/derive/lay";
import type { Job } from "@/core/files";
import {
  exactLength,
  formatLength,
  inTapeUnits,
  tell,
  wordsOn,
  type Mm,
  type Tape,
  NOTHING,
  textOf,
} from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { Chart, type ChartInk } from "@/ui/Chart";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { PaneHeading } from "@/ui/StageLayout";
import { besideTheLay } from "@/workers/client";

const SEARCHES_MS = 8_000;

interface Props {
  /** Other garments that lie on the cloth too. */
  readonly others: readonly Job[];
  readonly cloth: LayCloth;
  readonly length: Mm;
  readonly tape: Tape;
  /** Pieces that are locked on the table, and the lay there; null where none has been found or it is an old one. */
  readonly locked: ReadonlyMap<number, Laid>;
  readonly laid: ClothLay | null;
}

const lockedWords = (count: number): string =>
  phrase`${count} locked ${count === 1 ? "piece" : "pieces"} stayed in place; unlocked, more may fit.`;

/** As wide as my cloth allows: the largest number of a move whose pieces really lie on the cloth in hand. */
export function FitPane({ others, cloth, length, tape, locked, laid }: Props) {
  const { job, shape } = useOpenJob();
  const choices = useMemo(() => (shape ? fittable(shape) : []), [shape]);
  const [at, setAt] = useState(0);
  const [tries, setTries] = useState<readonly Tried[]>([]);
  const [busy, setBusy] = useState(false);
  const [result, setResult] = useState<{ readonly fitted: Fitted | null; readonly why: string | null }>({
    fitted: null,
    why: null,
  });
  const run = useRef(0);
  const choice = choices[Math.min(at, choices.length - 1)];
  if (!choice) return null;

  async function look(of: Job): Promise<void> {
    if (!choice) return;
    const own = ++run.current;
    setBusy(true);
    setTries([]);
    setResult({ fitted: null, why: null });
    try {
      const found = await besideTheLay<Fitted | LayFault | null>((face) =>
        face.fit(
          [of, ...others],
          cloth,
          length,
          { move: choice.id, number: choice.param, seed: 1, milliseconds: SEARCHES_MS, locked: [...locked], laid },
          proxy((tried: Tried) => run.current === own && setTries((now) => [...now, tried])),
        ),
      );
      if (run.current !== own || !found) return;
      if ("ok" in found) setResult({ fitted: null, why: tell(found.errors[0]?.says ?? NOTHING, tape) });
      else setResult({ fitted: found, why: null });
    } catch {
      if (run.current === own) setResult({ fitted: null, why: "The search was ended. Look again." });
    } finally {
      if (run.current === own) setBusy(false);
    }
  }
  const said = (value: number): string => (choice.isLength ? formatLength(value, tape) : decimal(value.toFixed(2)));
  const shown = (value: number): number => (choice.isLength ? inTapeUnits(value, tape) : value);
  const long = (mm: number): number => inTapeUnits(mm, tape);
  const dots = [...tries].filter((t) => t.length !== null).sort((a, b) => a.value - b.value);
  const option = (ink: ChartInk) => ({
    grid: { left: 44, right: 14, top: 22, bottom: 36 },
    animation: false,
    xAxis: {
      type: "value",
      scale: true,
      name: `${textOf(choice.words)}${choice.isLength ? ` (${tape})` : ""}`,
      nameLocation: "middle",
      nameGap: 24,
      axisLabel: { color: ink.quiet },
      nameTextStyle: { color: ink.quiet },
      splitLine: { show: false },
    },
    yAxis: {
      type: "value",
      scale: true,
      axisLabel: { color: ink.quiet },
      splitLine: { lineStyle: { color: ink.rule } },
    },
    series: [
      {
        type: "line",
        data: dots.map((t) => [shown(t.value), long(t.length ?? 0)]),
        symbolSize: 7,
        lineStyle: { color: ink.text, width: 2 },
        itemStyle: { color: ink.text },
        markLine: {
          silent: true,
          symbol: "none",
          lineStyle: { color: ink.chalk, type: "dashed", width: 2 },
          label: { formatter: "in hand", color: ink.look, position: "insideStartTop" },
          data: [{ yAxis: long(length) }],
        },
      },
      ...(result.fitted
        ? [
            {
              type: "scatter",
              data: [[shown(result.fitted.value), long(result.fitted.length)]],
              symbolSize: 13,
              itemStyle: { color: ink.chalk },
            },
          ]
        : []),
    ],
  });
  return (
    <section aria-label="As wide as my cloth allows" style={{ marginTop: 18 }}>
      <PaneHeading>As wide as my cloth allows</PaneHeading>
      <Choice
        label="Of"
        value={String(Math.min(at, choices.length - 1))}
        width={236}
        options={choices.map((c, i) => [String(i), wordsOn(c.label, tape)] as const)}
        onChange={(value) => {
          run.current++;
          setBusy(false);
          setAt(Number(value));
          setTries([]);
          setResult({ fitted: null, why: null });
        }}
      />
      {dots.length > 0 ? <Chart label="Length needed against the number" height={190} option={option} /> : null}
      <p aria-live="polite" style={{ margin: "8px 0", lineHeight: 1.4 }}>
        {busy ? (
          <>
            Laying {tries.length + 1}, the last at {said(tries.at(-1)?.value ?? choice.now)}.
          </>
        ) : result.fitted ? (
          <>
            The largest found that lies on {formatLength(length, tape)} is <b>{said(result.fitted.value)}</b>; it takes{" "}
            {formatLength(result.fitted.length, tape)}. Checked by a lay.
            {result.fitted.locked > 0 ? ` ${lockedWords(result.fitted.locked)}` : ""}
            {result.fitted.isNarrowed ? "" : " A longer search may find a little more."}
          </>
        ) : (
          (result.why ?? phrase`Now ${said(choice.now)}.`)
        )}
      </p>
      <div style={{ display: "flex", gap: 8 }}>
        {busy ? (
          <Button
            variant="outlined"
            onClick={() => {
              run.current++;
              setBusy(false);
              void besideTheLay((face) => face.stop()).catch(() => undefined);
            }}
          >
            Stop
          </Button>
        ) : (
          <Button variant="outlined" onClick={() => void look(job)}>
            Find the largest
          </Button>
        )}
        {result.fitted ? (
          <Button
            variant="contained"
            onClick={() => {
              const { fitted } = result;
              if (!fitted) return;
              changeJob((draft) => {
                const entry = ownMoves(draft)[choice.index];
                if (entry) entry.params[choice.param] = choice.isLength ? exactLength(fitted.value) : fitted.value;
              });
            }}
          >
            Set it to {said(result.fitted.value)}
          </Button>
        ) : null}
      </div>
    </section>
  );
}
