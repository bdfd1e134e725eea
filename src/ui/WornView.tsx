"use client";
import type { CSSProperties, PointerEvent } from "react";
import type { Worn } from "@/core/derive/worn";
import type { Point } from "@/core/geometry";
import { pathData } from "./table/layout";

interface Props {
  readonly worn: Worn;
  readonly view: "front" | "back";
  readonly label: string;
  readonly style?: CSSProperties;
  /** A place that was pressed, in the garment's own frame. */
  readonly mark?: Point | null;
  readonly onPress?: (at: Point) => void;
}

/** The garment on its wearer, to scale, standing on the floor. */
export function WornView({ worn, view, label, style, mark, onPress }: Props) {
  const { figure, garment, centre, floor, top, half } = worn;
  const thin = { fill: "none", vectorEffect: "non-scaling-stroke" } as const;

  function press(event: PointerEvent<SVGSVGElement>): void {
    const matrix = event.currentTarget.getScreenCTM();
    if (!onPress || !matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    onPress([x, y]);
  }

  return (
    <svg
      viewBox={`${-half - 20} ${top - 20} ${2 * half + 40} ${floor - top + 60}`}
      role="img"
      aria-label={label}
      style={{ ...style, ...(onPress && { cursor: "crosshair", touchAction: "none" }) }}
      onPointerDown={press}
    >
      {figure.map((path, i) => (
        <path key={i} d={pathData(path)} stroke="var(--ghost)" strokeWidth={1} {...thin} />
      ))}
      {garment.map((path, i) => (
        <path
          key={i}
          d={pathData(path)}
          stroke={`var(--${view})`}
          strokeWidth={2}
          strokeDasharray={view === "back" ? "9 4" : undefined}
          {...thin}
        />
      ))}
      {centre ? <path d={`M0 ${centre[0]}V${centre[1]}`} stroke={`var(--${view})`} strokeWidth={1} {...thin} /> : null}
      <path d={`M${-half - 20} ${floor}H${half + 20}`} stroke="var(--text)" strokeWidth={1.5} {...thin} />
      {mark ? <circle cx={mark[0]} cy={mark[1]} r={18} fill="var(--chalk)" /> : null}
    </svg>
  );
}
