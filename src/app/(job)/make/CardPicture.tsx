"use client";
import { phrase } from "@/core/words";
import { boxOf, pathFlatten } from "@/core/geometry";
import { linesOf, type Card, type DrawnLine } from "@/core/making";
import { formatLength, type Tape, textOf } from "@/core/units";
import { pathData } from "@/ui/table/layout";

interface Props {
  readonly card: Card;
  /** All cards of its drawing. */
  readonly own: readonly Card[];
  readonly tape: Tape;
}

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

type When = "done" | "now" | "coming";

/** How a line is drawn: what is new is lit, what is done is dark, what comes is faint. */
const STROKES: Readonly<Record<DrawnLine["kind"], Readonly<Record<When, readonly [color: string, width: number]>>>> = {
  outline: { done: ["var(--text)", 2], now: ["var(--chalk)", 4], coming: ["var(--ghost)", 0.8] },
  before: { done: ["var(--quiet)", 1.2], now: ["var(--quiet)", 1.2], coming: ["var(--ghost)", 0.8] },
  cut: { done: ["var(--quiet)", 1.6], now: ["var(--chalk)", 3], coming: ["none", 0] },
  inner: { done: ["var(--quiet)", 1.2], now: ["var(--chalk)", 3], coming: ["none", 0] },
};
/** Lines that are not the outline's are dashed. */
const DASHES: Readonly<Partial<Record<DrawnLine["kind"], string>>> = { before: "7 5", cut: "12 5" };

/** The drawing of a card: all lines so far with the new ones lit, its measures as arrows; nothing where it draws none. */
export function CardPicture({ card, own, tape }: Props) {
  const lines = linesOf(own);
  if (lines.length === 0) return null;
  const { left, right, top, bottom } = boxOf([[0, 0], ...lines.flatMap(({ path }) => pathFlatten(path, 2))]);
  const pad = Math.max(70, 0.14 * Math.max(right - left, bottom - top));
  const size = Math.max(right - left, bottom - top) / 26 + 8;
  const letters = lettersOf(own, card.n, 1.3 * size);
  const mark = Object.entries(card.points).findLast(([name]) => name !== "O");
  const guides = card.act.kind === "curve" ? card.act.guides : [];
  return (
    <svg
      viewBox={`${left - pad} ${top - pad} ${right - left + 2 * pad} ${bottom - top + 2 * pad}`}
      style={{ width: "100%", height: "100%" }}
      role="img"
      aria-label={phrase`${textOf(card.name)}, drawn so far`}
    >
      <path
        d={`M0 ${top - pad / 2}V${bottom + pad / 2}M${left - pad / 2} 0H${right + pad / 2}`}
        stroke="var(--quiet)"
        strokeDasharray="3 5"
        vectorEffect="non-scaling-stroke"
      />
      {lines.map(({ n, kind, path }, i) => {
        const [stroke, width] = STROKES[kind][n === card.n ? "now" : n < card.n ? "done" : "coming"];
        return width === 0 || path.length === 0 ? null : (
          <path
            key={i}
            d={pathData(path)}
            fill="none"
            stroke={stroke}
            strokeWidth={width}
            strokeDasharray={DASHES[kind]}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      {guides.map((g, i) => (
        <circle key={i} cx={g.at[0]} cy={g.at[1]} r={size * 0.22} fill="var(--chalk)" />
      ))}
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
  );
}
