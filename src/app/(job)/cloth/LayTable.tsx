"use client";
import { capital, phrase } from "@/core/words";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { FOLD_WORDS, type ClothLay, type LayCloth } from "@/core/cloth";
import type { Material } from "@/core/pattern";
import { formatLength, type Mm, type Tape } from "@/core/units";
import { LayPiece, pathOf, SecondLayer, type PieceNamed } from "./LayPiece";
import { LayTape } from "./LayTape";
import type { Laying } from "./useLay";

interface Props {
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  /** Length in hand; null where it is bought. */
  readonly inHand: Mm | null;
  readonly material: Material;
  readonly names: ReadonlyMap<string, PieceNamed>;
  readonly tape: Tape;
  readonly laying: Laying;
}

/** Room round the cloth, in millimetres of it, for words and the tape. */
const ROOM = { top: 200, right: 60, bottom: 200, left: 60 } as const;
/** A key moves a piece by this; with Shift by ten times it. */
const BY_KEY: Mm = 5;

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
  // What is cut beyond the fold or once the cloth is opened is not one strip that a hand can lay.
  const byHand = lay.singles === "none" || lay.singles === "both-layers";

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
    if (!byHand) return;
    if (event.key === "l") laying.lock(piece);
    else if (way || turn !== null) {
      laying.take();
      void laying
        .move(piece, { x: own.x + (way?.[0] ?? 0), y: own.y + (way?.[1] ?? 0), turn: turn ?? own.turn })
        .then(() => laying.letGo());
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }

  const isShort = inHand !== null && lay.length > inHand + 1e-6;
  return (
    <svg
      ref={svg}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      preserveAspectRatio="xMidYMid meet"
      style={{ width: "100%", height: "100%", touchAction: "none", background: "var(--table)" }}
      role="group"
      aria-label={phrase`Lay of the ${material}, ${FOLD_WORDS[cloth.fold]}: ${formatLength(lay.length, tape)} long`}
      onPointerMove={pull}
      onPointerUp={drop}
      onPointerCancel={drop}
    >
      <text x={0} y={-120} fontSize={word * 1.1} fill="var(--quiet)">
        {capital(material)}, {FOLD_WORDS[cloth.fold]}
        {lay.singles === "opened" && cloth.fold === "lengthwise"
          ? "; pairs cut folded, then opened out for the rest"
          : ""}
        {lay.singles === "beyond" ? "; what is cut once lies beyond the fold" : ""}
      </text>
      <path
        d={cloth.outline ? pathOf(cloth.outline.map(([x, y]) => [x, deep - y] as const)) : `M0 0H${long}V${deep}H0z`}
        fill="var(--cloth, #f3e9d7)"
        stroke={cloth.outline ? "var(--text)" : "var(--rule)"}
        vectorEffect="non-scaling-stroke"
      />
      <text x={0} y={-26} fontSize={word * 0.9} fill="var(--quiet)">
        cut end
      </text>
      {(cloth.outline ? [] : (["top", "bottom"] as const)).map((edge) => {
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
        {cloth.outline ? "remnant" : "selvedge"}
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
      {lay.singles === "opened" ? <SecondLayer lay={lay} cloth={cloth} deep={deep} /> : null}
      {lay.placements.map((p, i) => (
        <LayPiece
          key={`${p.piece}-${p.copy}`}
          placement={p}
          of={names.get(p.piece)}
          word={word}
          deep={deep}
          isLocked={laying.locked.has(i)}
          isChosen={chosen === i}
          cursor={byHand ? (held?.piece === i ? "grabbing" : "grab") : "default"}
          onPointerDown={(event) => grab(event, i)}
          onFocus={() => setChosen(i)}
          onDoubleClick={() => byHand && laying.lock(i)}
          onKeyDown={(event) => key(event, i)}
        />
      ))}
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
      <LayTape long={long} deep={deep} proved={laying.proved} word={word} tape={tape} />
    </svg>
  );
}
