"use client";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import type { ClothLay, LayCloth, Placement } from "@/core/cloth";
import type { Material, Panel } from "@/core/pattern";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { bundleWash } from "./bundleInk";
import type { Laying } from "./useLay";

interface Props {
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  /** Length in hand; null where it is bought. */
  readonly inHand: Mm | null;
  readonly material: Material;
  readonly names: ReadonlyMap<
    string,
    { readonly name: string; readonly root: Panel["is"]["root"]; readonly part: boolean }
  >;
  readonly tape: Tape;
  readonly laying: Laying;
}

/** Room round the cloth, in millimetres of it, for words and the tape. */
const ROOM = { top: 200, right: 60, bottom: 200, left: 60 } as const;
/** A key moves a piece by this; with Shift by ten times it. */
const BY_KEY: Mm = 5;

const pathOf = (outline: Placement["outline"]): string =>
  `${outline.map(([x, y], i) => `${i === 0 ? "M" : "L"}${x.toFixed(1)} ${y.toFixed(1)}`).join("")}Z`;

/** Marks of the tape along the cut: every five centimetres, or every two inches. */
const TAPE_STEP: Readonly<Record<Tape, { readonly small: Mm; readonly large: Mm }>> = {
  cm: { small: 100, large: 500 },
  in: { small: 101.6, large: 609.6 },
};

const FOLD_WORDS = {
  open: "open, right side up",
  lengthwise: "folded lengthwise, the fold below",
  across: "folded across, the fold at the far end",
} as const;

function styleOf(
  part: boolean,
  root: Panel["is"]["root"],
): { readonly ink: string; readonly dash: string | undefined; readonly wash: string } {
  if (part) return { ink: "var(--lining)", dash: "2 3", wash: "var(--lining-wash, var(--panel))" };
  return root === "back"
    ? { ink: "var(--back)", dash: "9 4", wash: "var(--back-wash, var(--panel))" }
    : { ink: "var(--front)", dash: undefined, wash: "var(--front-wash, var(--panel))" };
}

/** The lay to scale, the cut end on the left: pieces are pulled, turned and locked by hand. */
export function LayTable({ lay, cloth, inHand, material, names, tape, laying }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<{ readonly piece: number; readonly from: readonly [number, number] } | null>(null);
  const [chosen, setChosen] = useState<number | null>(null);
  const long = Math.max(lay.length, inHand ?? 0);
  const deep = lay.drawnWidth;
  // A lay is as tall on the screen as it is wide on the table: drawn with its width down the page.
  const box = {
    x: -ROOM.left,
    y: -ROOM.top,
    width: long + ROOM.left + ROOM.right,
    height: deep + ROOM.top + ROOM.bottom,
  };
  const word = Math.max(30, box.width / 54);
  const step = TAPE_STEP[tape];
  // What is cut beyond the fold or once the cloth is opened is not one strip that a hand can lay.
  const byHand = lay.singles === "none" || lay.singles === "both-layers";
  // Laid with the edge or fold that faces the cutter below.
  const down = (y: number): number => deep - y;

  function point(event: PointerEvent): readonly [number, number] | null {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return null;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [p.x, deep - p.y];
  }

  function grab(event: PointerEvent, piece: number): void {
    setChosen(piece);
    const at = point(event);
    const own = lay.placements[piece];
    if (!byHand || !at || !own) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    setHeld({ piece, from: [at[0] - own.x, at[1] - own.y] });
    laying.take();
  }

  function pull(event: PointerEvent): void {
    const at = point(event);
    const own = held && lay.placements[held.piece];
    if (!held || !at || !own) return;
    void laying.move(held.piece, { x: at[0] - held.from[0], y: at[1] - held.from[1], turn: own.turn });
  }

  function drop(): void {
    if (!held) return;
    setHeld(null);
    laying.letGo();
  }

  function key(event: KeyboardEvent, piece: number): void {
    const own = lay.placements[piece];
    if (!own) return;
    const by = event.shiftKey ? 10 * BY_KEY : BY_KEY;
    const ways: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    const way = ways[event.key];
    const turn = event.key === "t" ? own.turn ^ 3 : event.key === "m" ? own.turn ^ 2 : null;
    if (event.key === "l") laying.lock(piece);
    else if (byHand && (way || turn !== null)) {
      laying.take();
      void laying
        .move(piece, { x: own.x + (way?.[0] ?? 0), y: own.y + (way?.[1] ?? 0), turn: turn ?? own.turn })
        .then(() => laying.letGo());
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  const marks = Array.from({ length: Math.floor(long / step.small) + 1 }, (_, i) => i * step.small);
  const isShort = inHand !== null && lay.length > inHand + 1e-6;
  return (
    <svg
      ref={svg}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      preserveAspectRatio="xMidYMid meet"
      style={{ width: "100%", height: "100%", touchAction: "none", background: "var(--table)" }}
      role="group"
      aria-label={`Lay of the ${material}, ${FOLD_WORDS[cloth.fold]}: ${formatLength(lay.length, tape)} long`}
      onPointerMove={pull}
      onPointerUp={drop}
      onPointerCancel={drop}
    >
      <text x={0} y={-120} fontSize={word * 1.1} fill="var(--quiet)">
        {material[0]?.toUpperCase()}
        {material.slice(1)}, {FOLD_WORDS[cloth.fold]}
        {lay.singles === "opened" ? "; pairs cut folded, then opened out for the rest" : ""}
        {lay.singles === "beyond" ? "; what is cut once lies beyond the fold" : ""}
      </text>
      <rect
        x={0}
        y={0}
        width={long}
        height={deep}
        fill="var(--cloth, #f3e9d7)"
        stroke="var(--rule)"
        vectorEffect="non-scaling-stroke"
      />
      <text x={0} y={-26} fontSize={word * 0.9} fill="var(--quiet)">
        cut end
      </text>
      {(["top", "bottom"] as const).map((edge) => {
        const isFold = cloth.fold === "lengthwise" && edge === "bottom" && lay.singles !== "opened";
        return (
          <path
            key={edge}
            d={`M0 ${edge === "top" ? -9 : deep + 9}H${long}`}
            stroke={isFold ? "var(--text)" : "var(--quiet)"}
            strokeWidth={isFold ? 4 : 1.5}
            strokeDasharray={isFold ? undefined : "2 5"}
            vectorEffect="non-scaling-stroke"
          />
        );
      })}
      <text x={long} y={-26} fontSize={word * 0.9} textAnchor="end" fill="var(--quiet)">
        selvedge
      </text>
      {cloth.repeat
        ? Array.from({ length: Math.floor((long - cloth.repeat.first) / cloth.repeat.along) + 1 }, (_, i) => (
            <path
              key={i}
              d={`M${(cloth.repeat?.first ?? 0) + i * (cloth.repeat?.along ?? 0)} 0V${deep}`}
              stroke="var(--note)"
              strokeOpacity={0.5}
              vectorEffect="non-scaling-stroke"
            />
          ))
        : null}
      {lay.placements.map((p, i) => {
        const of = names.get(p.piece);
        const { ink, dash, wash } = styleOf(of?.part ?? false, of?.root ?? null);
        const isLocked = laying.locked.has(i);
        const label = `${of?.name ?? p.piece}${p.layers === 2 && !p.onFold ? ", 2 layers" : ""}${p.onFold ? ", on the fold" : ""}${isLocked ? ", locked" : ""}`;
        const xs = p.outline.map(([x]) => x);
        const ys = p.outline.map(([, y]) => y);
        const [wide, tall] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
        const size = Math.min(word, wide / Math.max(6, (of?.name ?? p.piece).length * 0.62), tall * 0.55);
        const way = p.turn === 0 || p.turn === 2 ? 1 : -1;
        return (
          <g
            key={`${p.piece}-${p.copy}`}
            tabIndex={0}
            role="button"
            aria-label={label}
            aria-pressed={chosen === i}
            data-piece={p.piece}
            style={{ cursor: byHand ? (held?.piece === i ? "grabbing" : "grab") : "default", outline: "none" }}
            onPointerDown={(event) => grab(event, i)}
            onFocus={() => setChosen(i)}
            onDoubleClick={() => laying.lock(i)}
            onKeyDown={(event) => key(event, i)}
          >
            {p.bundle > 0 ? (
              <path d={pathOf(p.outline.map(([x, y]) => [x, down(y)] as const))} fill={bundleWash(p.bundle)} />
            ) : null}
            <path
              d={pathOf(p.outline.map(([x, y]) => [x, down(y)] as const))}
              fill={p.bundle > 0 ? "transparent" : wash}
              stroke={chosen === i ? "var(--chalk)" : ink}
              strokeWidth={chosen === i ? 3 : 1.8}
              strokeDasharray={dash}
              vectorEffect="non-scaling-stroke"
            />
            {size > word * 0.55 ? (
              <text
                x={p.x}
                y={down(p.y) - size * 0.15}
                fontSize={size}
                textAnchor="middle"
                fill={ink}
                fontWeight={650}
                style={{ pointerEvents: "none" }}
              >
                {of?.name ?? p.piece}
              </text>
            ) : null}
            {wide > 260 && tall > 70 ? (
              <path
                d={`M${p.x - way * 90} ${down(p.y) + size * 0.5}h${way * 180}m${-way * 22} -11l${way * 22} 11l${-way * 22} 11`}
                fill="none"
                stroke={ink}
                strokeWidth={1.2}
                vectorEffect="non-scaling-stroke"
                style={{ pointerEvents: "none" }}
              />
            ) : null}
            <title>{label}</title>
            {isLocked ? <circle cx={p.x} cy={down(p.y) + size * 1.2} r={word * 0.3} fill="var(--chalk)" /> : null}
          </g>
        );
      })}
      <path
        d={`M${lay.length} ${-70}V${deep + 50}`}
        stroke="var(--chalk)"
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
      />
      <g transform={`translate(${Math.min(lay.length, long + ROOM.right - word * 4.7)} ${-70 - word})`}>
        <rect x={-word * 4.6} y={-word * 1.15} width={word * 9.2} height={word * 2} rx={8} fill="var(--ink)" />
        <text y={word * 0.22} fontSize={word * 1.02} textAnchor="middle" fill="var(--on-ink)" fontWeight={700}>
          needs {formatLength(lay.length, tape)}
        </text>
      </g>
      {inHand !== null ? (
        isShort ? (
          <path
            d={`M${inHand} 0V${deep}`}
            stroke="var(--fault, #b3261e)"
            strokeWidth={2.5}
            strokeDasharray="7 5"
            vectorEffect="non-scaling-stroke"
          />
        ) : inHand - lay.length > 220 ? (
          <text
            x={(lay.length + inHand) / 2}
            y={deep / 2}
            fontSize={word}
            textAnchor="middle"
            fill="var(--quiet)"
            fontWeight={650}
          >
            {formatLength(inHand - lay.length, tape)} left
          </text>
        ) : null
      ) : null}
      <g>
        {marks.map((x, i) => {
          const isLarge = Math.abs(x / step.large - Math.round(x / step.large)) < 1e-6;
          return (
            <g key={i}>
              <path
                d={`M${x} ${deep + 40}v${isLarge ? 34 : 18}`}
                stroke="var(--quiet)"
                vectorEffect="non-scaling-stroke"
              />
              {isLarge ? (
                <text x={x} y={deep + 84 + word * 0.6} fontSize={word * 0.95} textAnchor="middle" fill="var(--quiet)">
                  {formatLength(x, tape)}
                </text>
              ) : null}
            </g>
          );
        })}
        <path
          d={`M${lay.bound} ${deep + 24}v56`}
          stroke="var(--text)"
          strokeWidth={2}
          strokeDasharray="2 4"
          vectorEffect="non-scaling-stroke"
        />
        <text x={lay.bound} y={deep + 100 + word * 1.6} fontSize={word * 0.9} textAnchor="middle" fill="var(--quiet)">
          no lay is under {formatLength(lay.bound, tape)}
        </text>
      </g>
    </svg>
  );
}
