"use client";
import { textOf } from "@/core/units";
import { type Panel } from "@/core/pattern";
import type { Point } from "@/core/geometry";
import type { Handle } from "@/core/moves";
import { Length } from "../Length";
import { clearHeights } from "./labels";
import type { Placed } from "./layout";
import { styleOf } from "./PanelView";
import type { View } from "./Table";

/** Where a place of a panel lies on the screen. */
export const onScreen = (view: View, place: Placed<unknown>, p: Point): readonly [number, number] => [
  (p[0] + place.at[0]) * view.k + view.x,
  (p[1] + place.at[1]) * view.k + view.y,
];

/** Width of a letter of a name and height of its line, in pixels. */
const NAME_LETTER = 8;
const LINE = 16;

/** A name wider than its part stands in two lines, so that it does not run into the next. */
function nameLines(name: string, width: number): readonly string[] {
  const comma = name.indexOf(", ");
  return comma < 0 || name.length * NAME_LETTER < width ? [name] : [name.slice(0, comma + 1), name.slice(comma + 2)];
}

/** The name of a wide part of a circle stands in it, beside its grain: above it ends the part before. */
function insideRing({ worn }: Panel): Point | null {
  const ring = worn?.ring;
  return ring && ring.turn > 1 && ring.radius > 0 ? [0, ring.radius + ring.depth * 0.4] : null;
}

/** Where a panel's name stands: above its crease, or above its middle where the crease runs down its edge or passes it by. */
function nameAt(panel: Panel, { box }: Placed<Panel>): Point {
  const creaseAt = (0 - box.left) / (box.right - box.left);
  const inMiddle = creaseAt > 0.3 && creaseAt < 0.7 && !panel.worn?.ring;
  return [inMiddle ? 0 : (box.left + box.right) / 2, box.top];
}

/** The names of the panels, above each or in it. */
export function PanelNames({ places, view }: { readonly places: readonly Placed<Panel>[]; readonly view: View }) {
  return (
    <>
      {places.map((at) => {
        const panel = at.item;
        const inside = insideRing(panel);
        const [x, y] = onScreen(view, at, inside ?? nameAt(panel, at));
        const lines = nameLines(textOf(panel.name), (at.box.right - at.box.left) * view.k);
        const last = inside ? y : Math.max(4 + LINE * lines.length, y - 14);
        return (
          <text
            key={panel.id}
            textAnchor={inside ? "start" : "middle"}
            fontWeight={700}
            fontSize={14}
            fill={styleOf(panel).color}
          >
            {lines.map((words, i) => (
              <tspan key={words} x={inside ? x + 10 : x} y={last - LINE * (lines.length - 1 - i)}>
                {words}
              </tspan>
            ))}
          </text>
        );
      })}
    </>
  );
}

interface Mark {
  readonly id: string;
  readonly at: readonly [number, number];
  readonly word: string;
  /** The place lies right of the crease, so its name is written to its left. */
  readonly inward: boolean;
}

/** Places of the construction with their names, clear of the lines and of one another. */
export function PlaceMarks({ marks }: { readonly marks: readonly Mark[] }) {
  const heights = clearHeights(marks.map(({ at, inward }) => ({ x: at[0], y: at[1] - 8, side: inward ? -1 : 1 })));
  return (
    <g aria-hidden>
      {marks.map(({ id, at }) => (
        <circle key={id} cx={at[0]} cy={at[1]} r={5} fill="var(--table)" stroke="var(--chalk)" strokeWidth={2.5} />
      ))}
      {marks.map(({ id, at, word, inward }, i) => (
        <text
          key={id}
          x={at[0] + (inward ? -10 : 10)}
          y={heights[i]}
          textAnchor={inward ? "end" : "start"}
          fontSize={12.5}
          fontWeight={650}
          fill="var(--chalk-text)"
          stroke="var(--table)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          {word}
        </text>
      ))}
    </g>
  );
}

export function Lit({ at }: { readonly at: readonly [number, number] }) {
  return (
    <g aria-hidden>
      <circle cx={at[0]} cy={at[1]} r={13} fill="none" stroke="var(--chalk)" strokeWidth={3} />
      <circle cx={at[0]} cy={at[1]} r={2.5} fill="var(--chalk)" />
    </g>
  );
}

/** One label under each hem that names its handles and reads the hem. */
export function HemLabels({
  handles,
  view,
  tape,
}: {
  readonly handles: readonly { readonly handle: Handle; readonly on: Placed<Panel> }[];
  readonly view: View;
  readonly tape: "in" | "cm";
}) {
  const panels = [...new Set(handles.map((h) => h.handle.panel))];
  return (
    <>
      {panels.map((panel) => {
        // The label stands under the hem; the other handles say what they are under the hand.
        const own = handles.filter((h) => h.handle.panel === panel && h.handle.ofHem);
        const [first] = own.map((h) => h.handle);
        if (!first) return null;
        const at = own.map((h) => onScreen(view, h.on, h.handle.at));
        const x = at.reduce((sum, p) => sum + p[0], 0) / at.length;
        const y = Math.max(...at.map((p) => p[1])) + 22;
        return (
          <foreignObject key={panel} x={x - 82} y={y} width={164} height={28} style={{ pointerEvents: "none" }}>
            <div style={{ textAlign: "center" }}>
              <span
                style={{
                  display: "inline-block",
                  background: "var(--ink)",
                  color: "var(--on-ink)",
                  borderRadius: 4,
                  padding: "3px 10px",
                  fontWeight: 650,
                  whiteSpace: "nowrap",
                }}
              >
                {textOf(first.label)} <Length mm={first.reading} tape={tape} unit />
              </span>
            </div>
          </foreignObject>
        );
      })}
    </>
  );
}
