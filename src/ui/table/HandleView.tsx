"use client";
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Handle } from "@/core/moves";
import { formatLength, MM_PER, roundToTape, tapeDivision, type Tape } from "@/core/units";
import type { View } from "./Table";

interface Props {
  readonly handle: Handle;
  /** Where it lies on the screen. */
  readonly at: readonly [number, number];
  readonly view: View;
  readonly tape: Tape;
  readonly onPull: (value: number) => void;
  readonly onRelease: (value: number) => void;
  readonly onCancel: () => void;
}

/**
 * A handle on the edge that moves. Pulling follows the hand and snaps to the tape; arrows nudge by one division
 * (shift: an inch or a centimetre); Esc lets go without change. One pull is one undo step.
 */
export function HandleView({ handle, at, view, tape, onPull, onRelease, onCancel }: Props) {
  const start = useRef<{ readonly x: number; readonly y: number; readonly value: number } | null>(null);
  const latest = useRef<number | null>(null);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);

  function valueAt(event: PointerEvent): number {
    const from = start.current;
    if (!from) return handle.value;
    const [dx, dy] = [(event.clientX - from.x) / view.k, (event.clientY - from.y) / view.k];
    const raw = from.value + (dx * handle.axis[0] + dy * handle.axis[1]) * handle.perMm;
    return Math.max(0, roundToTape(raw, tape).mm);
  }

  function letGo(): void {
    start.current = null;
    latest.current = null;
    cancelAnimationFrame(frame.current);
  }

  function onKeyDown(event: KeyboardEvent): void {
    if (event.key === "Escape" && start.current) {
      letGo();
      onCancel();
      return;
    }
    const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (way === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? MM_PER[tape] : tapeDivision(tape);
    onRelease(Math.max(0, roundToTape(handle.value + way * step, tape).mm));
  }

  return (
    <g
      data-handle={handle.id}
      role="slider"
      tabIndex={0}
      aria-label={`Open the ${handle.label}`}
      aria-valuenow={Math.round(handle.value)}
      aria-valuemin={0}
      aria-valuemax={2000}
      aria-valuetext={`opened ${formatLength(handle.value, tape)} a panel, ${handle.label} ${formatLength(handle.reading, tape)}`}
      transform={`translate(${at[0]} ${at[1]})`}
      style={{ cursor: "ew-resize", touchAction: "none" }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        start.current = { x: event.clientX, y: event.clientY, value: handle.value };
      }}
      onPointerMove={(event) => {
        if (!start.current) return;
        latest.current = valueAt(event);
        cancelAnimationFrame(frame.current);
        frame.current = requestAnimationFrame(() => {
          if (latest.current !== null) onPull(latest.current);
        });
      }}
      onPointerUp={(event) => {
        if (!start.current) return;
        const value = valueAt(event);
        const moved = latest.current !== null;
        letGo();
        if (moved) onRelease(value);
        else onCancel();
      }}
      onPointerCancel={() => {
        letGo();
        onCancel();
      }}
    >
      <rect x={-18} y={-18} width={36} height={36} fill="transparent" />
      <rect
        x={-7}
        y={-7}
        width={14}
        height={14}
        rx={2}
        transform="rotate(45)"
        fill="var(--chalk)"
        stroke="var(--chalk-text)"
        strokeWidth={1.5}
      />
    </g>
  );
}
