"use client";
import type { PointerEvent } from "react";
import { isOf, pairOf, panelPath, turnedOver, type Panel } from "@/core/pattern";
import { arrange } from "@/ui/table/arrange";
import { boundsOf, pathData } from "@/ui/table/layout";
import { styleOf } from "@/ui/table/PanelView";

export interface Pressed {
  readonly root: "front" | "back";
  readonly point: readonly [number, number];
}

/** Words beside a place of a panel: what was changed there. */
export interface Mark {
  readonly root: "front" | "back";
  readonly landmark: string;
  readonly words: string;
}

interface Props {
  readonly label: string;
  readonly marks?: readonly Mark[];
  readonly before: readonly Panel[];
  /** Laid over it, bold; null where there is nothing to compare. */
  readonly after: readonly Panel[] | null;
  readonly pressed: Pressed | null;
  readonly note: string;
  readonly onPress?: (pressed: Pressed) => void;
}

/** The panel of before that a panel is, or one of whose pair it was until the legs were set apart, turned over with it. */
function heldOf(item: Panel, before: readonly Panel[]): Panel | undefined {
  const own = before.find((p) => p.id === item.id);
  const pair = own ? undefined : before.find((p) => p.id === pairOf(item));
  return pair && item.half === "left" ? turnedOver(pair) : (own ?? pair);
}

/** Patterns over each other, the one before pale, the one after bold; where it pulls can be pressed. */
export function OverTable({ label, marks = [], before, after, pressed, note, onPress }: Props) {
  const shown = after ?? before;
  const placed = arrange(shown, before);
  const b = boundsOf(placed);
  const pad = 70;
  const [width, height] = [b.right - b.left + 2 * pad, b.bottom - b.top + 2 * pad];

  function press(event: PointerEvent<SVGSVGElement>): void {
    const matrix = event.currentTarget.getScreenCTM();
    if (!matrix || !onPress) return;
    const p = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const near = placed
      .filter(({ item }) => item.is.component === "legs")
      .map(({ item, at, box }) => ({
        item,
        point: [p.x - at[0], p.y - at[1]] as const,
        away: Math.max(box.left + at[0] - p.x, p.x - box.right - at[0], 0),
      }))
      .sort((x, y) => x.away - y.away)[0];
    if (near) onPress({ root: isOf(near.item, "back") ? "back" : "front", point: near.point });
  }

  return (
    <div style={{ position: "absolute", inset: 0, background: "var(--table)" }}>
      <svg
        role="group"
        aria-label={label}
        viewBox={`${b.left - pad} ${b.top - pad} ${width} ${height}`}
        onPointerDown={press}
        style={{ width: "100%", height: "calc(100% - 44px)", cursor: onPress ? "crosshair" : undefined }}
      >
        {placed.map(({ id, item, at }) => {
          const held = heldOf(item, before);
          const { color, wash } = styleOf(item);
          return (
            <g key={id} transform={`translate(${at[0]} ${at[1]})`}>
              {held ? (
                <path
                  d={pathData(panelPath(held), true)}
                  fill={wash}
                  stroke={after ? "var(--ghost)" : color}
                  strokeWidth={after ? 1.5 : 2}
                  vectorEffect="non-scaling-stroke"
                />
              ) : null}
              {after ? (
                <path
                  d={pathData(panelPath(item), true)}
                  fill="none"
                  stroke={color}
                  strokeWidth={2.2}
                  strokeDasharray={isOf(item, "back") ? "8 4" : undefined}
                  vectorEffect="non-scaling-stroke"
                />
              ) : null}
            </g>
          );
        })}
        {marks.map((mark, n) => {
          const on = placed.find(({ item }) => isOf(item, mark.root) && item.landmarks[mark.landmark]);
          const p = on?.item.landmarks[mark.landmark];
          if (!on || !p) return null;
          // Words of the same place stand one above the other.
          const above = marks.slice(0, n).filter((m) => m.root === mark.root && m.landmark === mark.landmark).length;
          const [x, y] = [p[0] + on.at[0], p[1] + on.at[1]];
          const [size, wide] = [height / 46, (mark.words.length * height) / 88 + height / 30];
          const from = Math.min(b.right + pad - wide, Math.max(b.left - pad, x - wide / 2));
          const top = y - size * (2.6 + 2.1 * above);
          return (
            <g key={`${mark.landmark}-${mark.words}`}>
              <circle cx={x} cy={y} r={height / 90} fill="var(--chalk)" />
              <rect x={from} y={top} width={wide} height={size * 1.9} rx={size / 5} fill="var(--ink)" />
              <text
                x={from + wide / 2}
                y={top + size * 1.32}
                fontSize={size}
                fontWeight={650}
                textAnchor="middle"
                fill="var(--on-ink)"
              >
                {mark.words}
              </text>
            </g>
          );
        })}
        {pressed
          ? placed
              .filter(({ item }) => item.is.component === "legs" && isOf(item, pressed.root))
              .slice(0, 1)
              .map(({ id, at }) => (
                <circle
                  key={id}
                  cx={pressed.point[0] + at[0]}
                  cy={pressed.point[1] + at[1]}
                  r={height / 90}
                  fill="var(--chalk)"
                />
              ))
          : null}
      </svg>
      <p style={{ margin: 0, padding: "0 24px", color: "var(--quiet)", lineHeight: "40px" }}>{note}</p>
    </div>
  );
}
