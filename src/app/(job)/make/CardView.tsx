"use client";
import Button from "@mui/material/Button";
import { useEffect } from "react";
import type { Card } from "@/core/making";
import { handCurve } from "@/core/making/runs";
import { formatLength, type Tape } from "@/core/units";
import { Sentence } from "@/ui/Sentence";
import { pathData } from "@/ui/table/layout";

interface Props {
  readonly cards: readonly Card[];
  readonly at: number;
  readonly tape: Tape;
  readonly onChange: (n: number) => void;
}

type Drawn = Extract<Card["act"], { kind: "line" | "curve" }>;

const isDrawn = (card: Card): card is Card & { readonly act: Drawn } =>
  card.act.kind === "line" || card.act.kind === "curve";

/** What a card draws, as path data. */
const dataOf = ({ from, to, guides, leaves, arrives, kind }: Drawn): string =>
  kind === "line"
    ? `M${from[0]} ${from[1]}L${to[0]} ${to[1]}`
    : pathData(handCurve([from, ...guides.map((g) => g.at), to], leaves, arrives));

interface Letter {
  readonly name: string;
  readonly at: readonly [number, number];
  readonly isDone: boolean;
}

/** Letters that can be read beside each other: those of the card first, then the others as far as there is room. */
function lettersOf(cards: readonly Card[], n: number, apart: number): readonly Letter[] {
  const all = cards.flatMap((c) => Object.entries(c.points).map(([name, at]) => ({ name, at, n: c.n })));
  return [...all]
    .sort((a, b) => Math.abs(a.n - n) - Math.abs(b.n - n))
    .reduce<readonly Letter[]>((kept, { name, at, n: own }) => {
      const isFree = kept.every((k) => Math.hypot(k.at[0] - at[0], k.at[1] - at[1]) > apart);
      return isFree ? [...kept, { name, at, isDone: own <= n }] : kept;
    }, []);
}

/** One card at arm's length: its drawing, with what is new lit and its measures as arrows, and one act in large type. */
export function CardView({ cards, at, tape, onChange }: Props) {
  const card = cards[at - 1];
  const last = cards.length;
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.target as HTMLElement).closest("input, [role=combobox]")) return;
      const by = event.key === " " || event.key === "ArrowRight" ? 1 : event.key === "ArrowLeft" ? -1 : 0;
      if (by === 0) return;
      event.preventDefault();
      onChange(Math.min(last, Math.max(1, at + by)));
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [at, last, onChange]);
  useEffect(() => {
    // The screen stays on while cards are open, where the device allows it.
    let lock: { release: () => Promise<void> } | null = null;
    const { wakeLock } = navigator as { wakeLock?: { request: (kind: "screen") => Promise<typeof lock> } };
    wakeLock?.request("screen").then(
      (held) => (lock = held),
      () => undefined,
    );
    return () => void lock?.release().catch(() => undefined);
  }, []);
  if (!card) return null;
  const own = cards.filter((c) => c.panel === card.panel && isDrawn(c)) as readonly (Card & { readonly act: Drawn })[];
  const inner = cards.filter((c) => c.panel === card.panel && c.act.kind === "inner");
  const points = own.flatMap((c) => [c.act.from, c.act.to]);
  const xs = [0, ...points.map(([x]) => x)];
  const ys = [0, ...points.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const pad = Math.max(70, 0.14 * Math.max(right - left, bottom - top));
  const size = Math.max(right - left, bottom - top) / 26 + 8;
  const letters = lettersOf(own, card.n, 1.3 * size);
  const mark = Object.entries(card.points).find(([name]) => name !== "O");
  return (
    <section aria-label="Chalk cards" style={{ display: "flex", flexDirection: "column", height: "100%" }}>
      <div style={{ flex: 1, minHeight: 0, background: "var(--table)" }}>
        {own.length > 0 ? (
          <svg
            viewBox={`${left - pad} ${top - pad} ${right - left + 2 * pad} ${bottom - top + 2 * pad}`}
            style={{ width: "100%", height: "100%" }}
            role="img"
            aria-label={`${card.name}, drawn so far`}
          >
            <path
              d={`M0 ${top - pad / 2}V${bottom + pad / 2}M${left - pad / 2} 0H${right + pad / 2}`}
              stroke="var(--quiet)"
              strokeDasharray="3 5"
              vectorEffect="non-scaling-stroke"
            />
            {own.map((c) => (
              <path
                key={c.n}
                d={dataOf(c.act)}
                fill="none"
                stroke={c.n === card.n ? "var(--chalk)" : c.n < card.n ? "var(--text)" : "var(--ghost)"}
                strokeWidth={c.n === card.n ? 4 : c.n < card.n ? 2 : 0.8}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {inner.map((c) =>
              c.act.kind === "inner" && c.n <= card.n ? (
                <polyline
                  key={c.n}
                  points={c.act.points.map((p) => p.join(",")).join(" ")}
                  fill="none"
                  stroke={c.n === card.n ? "var(--chalk)" : "var(--quiet)"}
                  strokeWidth={c.n === card.n ? 3 : 1.2}
                  vectorEffect="non-scaling-stroke"
                />
              ) : null,
            )}
            {isDrawn(card)
              ? card.act.guides.map((g, i) => (
                  <circle key={i} cx={g.at[0]} cy={g.at[1]} r={size * 0.22} fill="var(--chalk)" />
                ))
              : null}
            {letters.map(({ name, at: [x, y], isDone }) => (
              <text
                key={name}
                x={x + size * 0.35}
                y={y - size * 0.3}
                fontSize={size * 0.9}
                fill={isDone ? "var(--text)" : "var(--quiet)"}
              >
                {name}
              </text>
            ))}
            {mark ? (
              <g stroke="var(--chalk)" fill="var(--chalk-text)" strokeWidth={1.6}>
                <path
                  d={`M0 ${mark[1][1]}H${mark[1][0]}M${mark[1][0]} 0V${mark[1][1]}`}
                  strokeDasharray="6 4"
                  fill="none"
                  vectorEffect="non-scaling-stroke"
                />
                <circle cx={mark[1][0]} cy={mark[1][1]} r={size * 0.3} />
                <text x={mark[1][0] / 2} y={mark[1][1] + size * 1.1} fontSize={size} textAnchor="middle" stroke="none">
                  {formatLength(Math.abs(mark[1][0]), tape)}
                </text>
                <text x={mark[1][0] + size * 0.3} y={mark[1][1] / 2} fontSize={size} stroke="none">
                  {formatLength(Math.abs(mark[1][1]), tape)}
                </text>
              </g>
            ) : null}
          </svg>
        ) : null}
      </div>
      <div style={{ borderTop: "1px solid var(--rule)", background: "var(--panel)", padding: "14px 20px 16px" }}>
        <p aria-live="polite" style={{ margin: "0 0 12px", fontSize: 25, lineHeight: 1.32, minHeight: 132 }}>
          <Sentence says={card.says} tape={tape} />
        </p>
        <div style={{ display: "flex", gap: 12, alignItems: "center" }}>
          <Button variant="outlined" disabled={at <= 1} onClick={() => onChange(at - 1)}>
            Back
          </Button>
          <Button variant="contained" disabled={at >= last} onClick={() => onChange(at + 1)} sx={{ minWidth: 140 }}>
            Next
          </Button>
          <span style={{ color: "var(--quiet)" }}>
            {card.name}, card {at} of {last}
          </span>
        </div>
      </div>
    </section>
  );
}
