"use client";
import { phrase } from "@/core/words";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { LEG_OUTLINE, OWN_LANDMARKS } from "@/core/drafting";
import { BODICE_FRONT_PLACES, BODICE_OUTLINE, BODICE_PLACES } from "@/core/bodice";
import type { Point } from "@/core/geometry";
import { snappedPlace } from "@/core/tracing";
import type { FoundOutline } from "@/core/files/bringIn";
import type { Tape } from "@/core/units";
import { pointsData } from "@/ui/table/layout";
import { InnerLinesList } from "./InnerLinesList";
import { dartKey } from "./ownTrial";

/** What is put on an outline: its places, their words, where each means a corner, and the line that is laid upright. */
export interface PlacedKind {
  readonly places: readonly string[];
  readonly words: Readonly<Record<string, string>>;
  readonly snapped: (outline: FoundOutline, name: string, p: Point) => Point;
  readonly upright: readonly [string, string];
}

export const LEG_PLACES: PlacedKind = {
  places: OWN_LANDMARKS,
  words: LEG_OUTLINE.words,
  snapped: (outline, name, p) => snappedPlace<string, string>(LEG_OUTLINE, outline.path, name, p),
  upright: ["creaseTop", "creaseHem"],
};

const bodiceKind = (places: readonly string[]): PlacedKind => ({
  places,
  words: BODICE_OUTLINE.words,
  snapped: (outline, name, p) => snappedPlace<string, string>(BODICE_OUTLINE, outline.path, name, p),
  upright: ["neckCentre", "waistCentre"],
});
export const BODICE_PLACED = { front: bodiceKind(BODICE_FRONT_PLACES), back: bodiceKind(BODICE_PLACES) };

/** Places of an outline in the drawing's own frame. */
export type Places = Readonly<Record<string, [number, number]>>;

interface Props {
  readonly title: string;
  readonly kind: PlacedKind;
  readonly color: string;
  readonly outline: FoundOutline;
  readonly marks: Places;
  readonly onChange: (marks: Places) => void;
  readonly tape: Tape;
  /** Likely darts that are not to be taken as darts. */
  readonly noDarts: ReadonlySet<string>;
  readonly onNoDarts: (next: ReadonlySet<string>) => void;
}

const PAD = 60;

/** A brought-in outline with its landmarks, each pulled by hand or nudged by the arrow keys. */
export function LandmarkView(props: Props) {
  const { title, kind, color, outline, marks, onChange, tape, noDarts, onNoDarts } = props;
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<string | null>(null);
  const [focus, setFocus] = useState<string | null>(null);
  const xs = outline.points.map((p) => p[0]);
  const ys = outline.points.map((p) => p[1]);
  const [left, top] = [Math.min(...xs) - PAD, Math.min(...ys) - PAD];
  const [width, height] = [outline.width + 2 * PAD, outline.height + 2 * PAD];
  const unit = height / 560;
  const at = (name: string): [number, number] => marks[name] as [number, number];
  const move = (name: string, x: number, y: number): void =>
    onChange({ ...marks, [name]: [Math.round(x * 10) / 10, Math.round(y * 10) / 10] });
  /** Let go within 3 mm of a corner, a place that belongs to one lies on it. */
  const letGo = (name: string | null): void => {
    setHeld(null);
    if (name) onChange({ ...marks, [name]: [...kind.snapped(outline, name, at(name))] });
  };

  function place(event: PointerEvent): void {
    const matrix = svg.current?.getScreenCTM();
    if (!held || !matrix) return;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    move(held, p.x, p.y);
  }

  function nudge(event: KeyboardEvent, name: string): void {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? 10 : 1;
    const [x, y] = at(name);
    move(name, x + (way[0] as number) * step, y + (way[1] as number) * step);
  }

  return (
    <figure style={{ margin: 0, flex: 1, minWidth: 0 }}>
      <figcaption style={{ color, fontWeight: 700, marginBottom: 4 }}>
        {title}{" "}
        <span style={{ color: "var(--quiet)", fontWeight: 450 }}>
          {focus ? kind.words[focus] : "pull each place onto the line it names"}
        </span>
      </figcaption>
      <svg
        ref={svg}
        role="group"
        aria-label={phrase`${title}: places`}
        viewBox={`${left} ${top} ${width} ${height}`}
        style={{ width: "100%", height: 440, background: "var(--table)", touchAction: "none" }}
        onPointerMove={place}
        onPointerUp={() => letGo(held)}
      >
        <path d={pointsData(outline.points, true)} fill="none" stroke={color} strokeWidth={1.8 * unit} />
        {outline.darts.map((d, i) => (
          <path key={i} d={pointsData(d)} fill="none" stroke="var(--text)" strokeWidth={unit} />
        ))}
        {outline.inner.others.map((line, i) => (
          <path key={i} d={pointsData(line)} fill="none" stroke="var(--rule)" strokeWidth={unit} />
        ))}
        {outline.inner.darts.map((d, i) => (
          <path
            key={i}
            d={pointsData(d)}
            fill="none"
            stroke={noDarts.has(dartKey(outline, i)) ? "var(--rule)" : "var(--text)"}
            strokeWidth={unit}
          />
        ))}
        <path
          d={pointsData(kind.upright.map(at))}
          stroke="var(--quiet)"
          strokeWidth={unit}
          strokeDasharray={`${6 * unit} ${4 * unit}`}
        />
        {kind.places.map((name) => {
          const [x, y] = at(name);
          return (
            <g
              key={name}
              tabIndex={0}
              role="button"
              aria-roledescription="place to move with the arrow keys"
              aria-label={phrase`${title}, ${kind.words[name]}`}
              onPointerDown={(event) => {
                svg.current?.setPointerCapture(event.pointerId);
                setHeld(name);
                setFocus(name);
              }}
              onFocus={() => setFocus(name)}
              onKeyDown={(event) => nudge(event, name)}
              style={{ cursor: "grab" }}
            >
              <circle cx={x} cy={y} r={14 * unit} fill="transparent" />
              <circle
                cx={x}
                cy={y}
                r={6 * unit}
                fill={focus === name ? "var(--chalk)" : "var(--table)"}
                stroke="var(--chalk-text)"
                strokeWidth={2 * unit}
              />
              {focus === name ? (
                <text
                  x={x + 12 * unit}
                  y={y - 8 * unit}
                  fontSize={13 * unit}
                  fontWeight={650}
                  fill="var(--chalk-text)"
                  stroke="var(--table)"
                  strokeWidth={4 * unit}
                  paintOrder="stroke"
                >
                  {kind.words[name]}
                </text>
              ) : null}
            </g>
          );
        })}
      </svg>
      <InnerLinesList outline={outline} tape={tape} noDarts={noDarts} onNoDarts={onNoDarts} />
    </figure>
  );
}
