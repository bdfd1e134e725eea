"use client";
import { phrase } from "@/core/words";
import { useState } from "react";
import { boxOf, type Point } from "@/core/geometry";
import { layTape, onOutline, type Piece } from "@/core/pieces";
import { formatLength, type Tape } from "@/core/units";
import { pointsData, type Placed } from "@/ui/table/layout";
import type { View } from "@/ui/table/Table";

interface Held {
  readonly piece: string;
  readonly at: Point;
}

/** A place this near to an edge, in pixels, is taken to be on it. */
const CATCH = 14;

/** The tape on the table: press one place, then another; it reads straight, and along the edge where both lie on one. */
export function TapeTool({
  view,
  placed,
  tape,
}: {
  readonly view: View;
  readonly placed: readonly Placed<Piece>[];
  readonly tape: Tape;
}) {
  const [places, setPlaces] = useState<readonly Held[]>([]);

  /** The piece under the hand, and the place in its own frame, on its seam line where that is near. */
  function placeOf(x: number, y: number): Held | null {
    const world: Point = [(x - view.x) / view.k, (y - view.y) / view.k];
    const near = placed
      .map(({ id, item, at }) => {
        const own: Point = [world[0] - at[0], world[1] - at[1]];
        const box = boxOf(item.cutLine);
        const away = Math.max(box.left - own[0], own[0] - box.right, box.top - own[1], own[1] - box.bottom, 0);
        return { id, item, own, away };
      })
      .sort((a, b) => a.away - b.away)[0];
    if (!near || near.away > CATCH / view.k) return null;
    const edge = onOutline(near.item.panel, near.own);
    return { piece: near.id, at: edge.distance < CATCH / view.k ? edge.point : near.own };
  }

  const [first, second] = places;
  const own = placed.find((p) => p.id === first?.piece);
  const laid =
    own && first && second && first.piece === second.piece ? layTape(own.item.panel, first.at, second.at) : null;
  const onScreen = ({ piece, at: [x, y] }: Held): Point => {
    const at = placed.find((p) => p.id === piece)?.at ?? [0, 0];
    return [(x + at[0]) * view.k + view.x, (y + at[1]) * view.k + view.y];
  };
  const screen = places.map(onScreen);
  const apart =
    first && second && !laid
      ? Math.hypot((screen[1]?.[0] ?? 0) - (screen[0]?.[0] ?? 0), (screen[1]?.[1] ?? 0) - (screen[0]?.[1] ?? 0)) /
        view.k
      : null;
  const words = laid
    ? phrase`${laid.along === null ? "" : phrase`along ${formatLength(laid.along, tape)}, `}straight ${formatLength(laid.straight, tape)}`
    : apart === null
      ? ""
      : phrase`${formatLength(apart, tape)} across the table`;
  const middle: Point | null =
    screen[0] && screen[1] ? [(screen[0][0] + screen[1][0]) / 2, (screen[0][1] + screen[1][1]) / 2] : null;
  return (
    <g>
      <rect
        width="100%"
        height="100%"
        fill="transparent"
        data-handle="tape"
        style={{ cursor: "crosshair" }}
        onPointerDown={(event) => {
          const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
          const held = placeOf(event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0));
          if (held) setPlaces((now) => (now.length === 1 ? [...now, held] : [held]));
          else setPlaces([]);
        }}
      />
      <g style={{ pointerEvents: "none" }}>
        {laid && own ? (
          <path
            d={pointsData(laid.points)}
            transform={`translate(${own.at[0] * view.k + view.x} ${own.at[1] * view.k + view.y}) scale(${view.k})`}
            fill="none"
            stroke="var(--chalk)"
            strokeWidth={4}
            vectorEffect="non-scaling-stroke"
          />
        ) : null}
        {screen[0] && screen[1] ? (
          <path d={pointsData([screen[0], screen[1]])} stroke="var(--chalk-text)" strokeDasharray="5 4" fill="none" />
        ) : null}
        {screen.map(([x, y], i) => (
          <circle key={i} cx={x} cy={y} r={5} fill="var(--table)" stroke="var(--chalk-text)" strokeWidth={2.5} />
        ))}
        {middle ? (
          <g transform={`translate(${middle[0]} ${middle[1]})`}>
            <rect x={10} y={-14} width={words.length * 7.2 + 16} height={27} rx={4} fill="var(--ink)" />
            <text x={18} y={4.5} fontSize={14} fontWeight={650} fill="var(--on-ink)" role="status">
              {words}
            </text>
          </g>
        ) : null}
      </g>
    </g>
  );
}
