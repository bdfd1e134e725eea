"use client";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { OWN_LANDMARKS, OWN_WORDS, snappedPlace, type OwnLandmark, type OwnPanelLandmarks } from "@/core/drafting";
import type { FoundOutline } from "@/core/files/bringIn";
import { pointsData } from "@/ui/table/layout";

interface Props {
  readonly title: string;
  readonly color: string;
  readonly outline: FoundOutline;
  readonly marks: OwnPanelLandmarks;
  readonly onChange: (marks: OwnPanelLandmarks) => void;
}

const PAD = 60;

/** A brought-in outline with its landmarks, each pulled by hand or nudged by the arrow keys. */
export function LandmarkView({ title, color, outline, marks, onChange }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<OwnLandmark | null>(null);
  const [focus, setFocus] = useState<OwnLandmark | null>(null);
  const xs = outline.points.map((p) => p[0]);
  const ys = outline.points.map((p) => p[1]);
  const [left, top] = [Math.min(...xs) - PAD, Math.min(...ys) - PAD];
  const [width, height] = [outline.width + 2 * PAD, outline.height + 2 * PAD];
  const unit = height / 560;
  const move = (name: OwnLandmark, x: number, y: number): void =>
    onChange({ ...marks, [name]: [Math.round(x * 10) / 10, Math.round(y * 10) / 10] });
  /** Let go within 3 mm of a corner, a place that belongs to one lies on it. */
  const letGo = (name: OwnLandmark | null): void => {
    setHeld(null);
    if (name) onChange({ ...marks, [name]: [...snappedPlace(outline.path, name, marks[name])] });
  };

  function place(event: PointerEvent): void {
    const matrix = svg.current?.getScreenCTM();
    if (!held || !matrix) return;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    move(held, p.x, p.y);
  }

  function nudge(event: KeyboardEvent, name: OwnLandmark): void {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? 10 : 1;
    const [x, y] = marks[name];
    move(name, x + (way[0] as number) * step, y + (way[1] as number) * step);
  }

  return (
    <figure style={{ margin: 0, flex: 1, minWidth: 0 }}>
      <figcaption style={{ color, fontWeight: 700, marginBottom: 4 }}>
        {title}{" "}
        <span style={{ color: "var(--quiet)", fontWeight: 450 }}>
          {focus ? OWN_WORDS[focus] : "pull each place onto the line it names"}
        </span>
      </figcaption>
      <svg
        ref={svg}
        role="group"
        aria-label={`${title}: places`}
        viewBox={`${left} ${top} ${width} ${height}`}
        style={{ width: "100%", height: 440, background: "var(--table)", touchAction: "none" }}
        onPointerMove={place}
        onPointerUp={() => letGo(held)}
      >
        <path d={pointsData(outline.points, true)} fill="none" stroke={color} strokeWidth={1.8 * unit} />
        {outline.darts.map((d, i) => (
          <path key={i} d={pointsData(d)} fill="none" stroke="var(--text)" strokeWidth={unit} />
        ))}
        <path
          d={pointsData([marks.creaseTop, marks.creaseHem])}
          stroke="var(--quiet)"
          strokeWidth={unit}
          strokeDasharray={`${6 * unit} ${4 * unit}`}
        />
        {OWN_LANDMARKS.map((name) => {
          const [x, y] = marks[name];
          return (
            <g
              key={name}
              tabIndex={0}
              role="button"
              aria-roledescription="place to move with the arrow keys"
              aria-label={`${title}, ${OWN_WORDS[name]}`}
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
                  {OWN_WORDS[name]}
                </text>
              ) : null}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
