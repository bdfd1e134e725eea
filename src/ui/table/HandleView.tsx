"use client";
import { phrase } from "@/core/words";
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Handle } from "@/core/moves";
import { formatLength, MM_PER, roundToTape, tapeDivision, type Tape, textOf } from "@/core/units";
import type { View } from "./Table";

/** What a pull has come to: the handle's own number, and what changes with it. */
export interface Pulled {
  readonly value: number;
  readonly also?: Readonly<Record<string, number>>;
}

interface Props {
  readonly handle: Handle;
  /** Where it lies on the screen. */
  readonly at: readonly [number, number];
  /** Half the side of the square in which it is taken hold of, in pixels. */
  readonly reach: number;
  readonly view: View;
  readonly tape: Tape;
  /** Knee and hem widths are pulled at this edge alone. */
  readonly oneSide: boolean;
  readonly onPull: (pulled: Pulled) => void;
  readonly onRelease: (pulled: Pulled) => void;
  readonly onCancel: () => void;
}

/**
 * A handle on the edge that moves. Pulling follows the hand and snaps to the tape; arrows nudge by one division
 * (shift: an inch or a centimetre); Esc lets go without change. One pull is one undo step.
 */
export function HandleView({ handle, at, reach, view, tape, oneSide, onPull, onRelease, onCancel }: Props) {
  const start = useRef<{ readonly x: number; readonly y: number; readonly from: Handle } | null>(null);
  const latest = useRef<Pulled | null>(null);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);

  /** The number after the edge was moved by so many millimetres, on the tape. */
  function moved(from: Handle, mm: number): Pulled {
    const half = oneSide ? from.oneSide : undefined;
    const raw = from.value + mm * (half?.perMm ?? from.perMm);
    const value = Math.max(from.least ?? 0, from.counts ? Math.round(raw) : roundToTape(raw, tape).mm);
    if (!half) return { value };
    const by = (value - from.value) / half.perMm;
    return { value, also: Object.fromEntries(half.also.map((a) => [a.param, a.value + by * a.perMm])) };
  }

  function valueAt(event: PointerEvent): Pulled {
    if (!start.current) return { value: handle.value };
    const { x, y, from } = start.current;
    const [dx, dy] = [(event.clientX - x) / view.k, (event.clientY - y) / view.k];
    return moved(from, dx * from.axis[0] + dy * from.axis[1]);
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
    const step = handle.counts ? 1 : event.shiftKey ? MM_PER[tape] : tapeDivision(tape);
    // Nudged by whole divisions of its own number, whichever way the handle lies.
    const perMm = (oneSide && handle.oneSide ? handle.oneSide.perMm : handle.perMm) || 1;
    onRelease(moved(handle, (way * step) / perMm));
  }

  const upright = Math.abs(handle.axis[1]) > Math.abs(handle.axis[0]);
  const words = handle.counts
    ? phrase`${handle.value} ${textOf(handle.label)}`
    : phrase`${textOf(handle.label)} ${formatLength(handle.reading, tape)}`;
  return (
    <g
      data-handle={handle.id}
      role="slider"
      tabIndex={0}
      aria-label={textOf(handle.label)}
      aria-valuenow={Math.round(handle.value)}
      aria-valuemin={Math.round(handle.least ?? 0)}
      aria-valuemax={2500}
      aria-valuetext={words}
      transform={`translate(${at[0]} ${at[1]})`}
      className="handle"
      style={{
        cursor: upright ? "ns-resize" : "ew-resize",
        touchAction: "none",
      }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
        start.current = { x: event.clientX, y: event.clientY, from: handle };
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
        const pulled = latest.current !== null;
        letGo();
        if (pulled) onRelease(value);
        else onCancel();
      }}
      onPointerCancel={() => {
        letGo();
        onCancel();
      }}
    >
      <title>{words}</title>
      <rect x={-reach} y={-reach} width={2 * reach} height={2 * reach} fill="transparent" />
      {upright ? (
        // A level slides up and down: a low bar with a point above and below.
        <path
          d="M-13 -3H-4L0 -9L4 -3H13V3H4L0 9L-4 3H-13Z"
          fill="var(--chalk)"
          stroke="var(--chalk-text)"
          strokeWidth={1.5}
          strokeLinejoin="round"
        />
      ) : (
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
      )}
      <g className="handle-label" aria-hidden>
        <rect x={13} y={-12} width={words.length * 7.1 + 12} height={24} rx={4} fill="var(--ink)" />
        <text x={19} y={5} fontSize={13} fontWeight={650} fill="var(--on-ink)">
          {words}
        </text>
      </g>
    </g>
  );
}
