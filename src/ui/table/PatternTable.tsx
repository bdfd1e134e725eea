"use client";
import { useSnackbar } from "notistack";
import { useMemo } from "react";
import type { Panel } from "@/core/drafting";
import type { Point } from "@/core/geometry";
import type { Handle } from "@/core/moves";
import { changeJob, setPulled } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import { useOpenJob } from "../JobContext";
import { Length } from "../Length";
import { BuildView, PLACE_WORDS } from "./BuildView";
import { HandleView } from "./HandleView";
import { boundsOf, layOut, panelBox, type Placed } from "./layout";
import { GhostView, OverView, PanelView, ShownView, styleOf } from "./PanelView";
import { useVersionOver } from "../useVersionOver";
import { Table, type View } from "./Table";

interface Props {
  readonly label: string;
  /** Which pattern lies on the table. */
  readonly what: "block" | "style";
  /** Draws the block only up to this step of its construction. */
  readonly upTo?: number;
}

const onScreen = (view: View, place: Placed<unknown>, p: Point): readonly [number, number] => [
  (p[0] + place.at[0]) * view.k + view.x,
  (p[1] + place.at[1]) * view.k + view.y,
];

/** Front and back on the table: the block, or the style with its ghost, wedges and handles. */
export function PatternTable({ label, what, upTo }: Props) {
  const { id, shape, fault } = useOpenJob();
  const { tape, showFront, showBack, ghost, lit, pull } = useView();
  const over = useVersionOver();
  const { enqueueSnackbar } = useSnackbar();
  // While a handle is pulled the panels keep their places, so that the pattern does not slide under the hand.
  const places = useMemo(() => placesFor(shape?.block.panels ?? null), [shape?.block]);
  if (!shape || !places) {
    return (
      <div style={{ padding: 32, color: "var(--quiet)" }}>
        Waist and hip on the card, and the first block lies here.
      </div>
    );
  }
  const panels = what === "block" ? shape.block.panels : ([shape.front, shape.back] as const);
  const visible = (panel: string): boolean => (panel === "front" ? showFront : panel === "back" ? showBack : true);
  const place = (panel: string): Placed<Panel> => places.find((p) => p.id === panel) as Placed<Panel>;
  const bounds = boundsOf(places.map((p) => ({ ...p, box: panelBox(panels.find((q) => q.id === p.id) ?? p.item) })));

  function release(handle: Handle, moveIndex: number, value: number): void {
    setView({ pull: null });
    if (fault && pull) {
      enqueueSnackbar(fault.errors[0]?.message ?? "That cannot be done.", { variant: "warning" });
      return;
    }
    if (Math.abs(value - handle.value) < 1e-6 && !pull) return;
    changeJob((draft) => setPulled(draft, { moveIndex, param: handle.param, clears: handle.clears, value }));
  }

  const handles =
    what === "style"
      ? shape.worksheet.flatMap((l) => l.handles.map((handle) => ({ handle, index: l.index ?? 0 })))
      : [];
  const { levels } = shape.plan;
  const { steps } = shape.block;
  const step = upTo === undefined ? undefined : steps.find((s) => s.n === upTo);
  return (
    <Table
      label={label}
      bounds={bounds}
      fitKey={`${id}-${what}`}
      tape={tape}
      footer="B back   F front   G ghost   0 fit   ? keys"
      overlay={(view) => (
        <>
          {(["hip", "crotch"] as const).map((level) => (
            <g key={level} aria-hidden>
              <path
                d={`M18 ${levels[level] * view.k + view.y}H100000`}
                stroke="var(--quiet)"
                strokeOpacity={0.45}
                strokeDasharray="1 4"
              />
              <text
                x={18}
                y={levels[level] * view.k + view.y + (level === "hip" ? -5 : 13)}
                fontSize={12}
                fill="var(--quiet)"
              >
                {level}
              </text>
            </g>
          ))}
          {panels
            .filter((p) => visible(p.id))
            .map((panel) => {
              const at = place(panel.id);
              const [x, y] = onScreen(view, at, [
                0,
                Math.min(...at.item.edges.flatMap((e) => e.path.map((s) => s.points[0][1]))),
              ]);
              return (
                <text
                  key={panel.id}
                  x={x}
                  y={Math.max(20, y - 14)}
                  textAnchor="middle"
                  fontWeight={700}
                  fontSize={14}
                  fill={styleOf(panel.id).color}
                >
                  {panel.name}
                </text>
              );
            })}
          {step && visible(step.panel) && places.some((p) => p.id === step.panel)
            ? Object.entries(step.points).map(([name, p]) => (
                <PlaceMark
                  key={name}
                  at={onScreen(view, place(step.panel), p)}
                  word={PLACE_WORDS[name] ?? ""}
                  inward={p[0] > 5}
                />
              ))
            : null}
          {lit && places.some((p) => p.id === lit.panel) ? (
            <Lit at={onScreen(view, place(lit.panel), [lit.point[0], lit.point[1]])} />
          ) : null}
          {handles
            .filter(({ handle }) => visible(handle.panel))
            .map(({ handle, index }) => (
              <HandleView
                key={handle.id}
                handle={handle}
                at={onScreen(view, place(handle.panel), handle.at)}
                view={view}
                tape={tape}
                onPull={(value) =>
                  setView({ pull: { moveIndex: index, param: handle.param, clears: handle.clears, value } })
                }
                onRelease={(value) => release(handle, index, value)}
                onCancel={() => setView({ pull: null })}
              />
            ))}
          {what === "style" ? (
            <HemLabels
              handles={handles.map((h) => h.handle).filter((h) => visible(h.panel))}
              view={view}
              place={place}
              tape={tape}
            />
          ) : null}
        </>
      )}
    >
      {panels
        .filter((p) => visible(p.id))
        .map((panel) => (
          <g key={panel.id} transform={`translate(${place(panel.id).at[0]} ${place(panel.id).at[1]})`}>
            {what === "style" && ghost ? <GhostView panel={place(panel.id).item} /> : null}
            {what === "style"
              ? shape.shown.filter((s) => s.panel === panel.id).map((s, i) => <ShownView key={i} shown={s} />)
              : null}
            {what === "style" && over ? (
              <OverView panel={panel.id === "front" ? over.front : over.back} name={over.name} />
            ) : null}
            {upTo === undefined ? <PanelView panel={panel} /> : <BuildView panel={panel} steps={steps} upTo={upTo} />}
          </g>
        ))}
    </Table>
  );
}

function placesFor(block: readonly Panel[] | null): Placed<Panel>[] | null {
  if (!block) return null;
  const [front, back] = block;
  if (!front || !back) return null;
  // Room is kept for a wide leg on both sides, so that opening it does not run the panels into each other.
  return layOut([back, front].map((panel) => ({ id: panel.id, item: panel, box: widened(panel) })));
}

function widened(panel: Panel) {
  const box = panelBox(panel);
  return { ...box, left: box.left - 90, right: box.right + 90 };
}

/** A place of the construction with its name, clear of the lines. */
function PlaceMark({
  at,
  word,
  inward,
}: {
  readonly at: readonly [number, number];
  readonly word: string;
  /** The place lies right of the crease, so its name is written to its left. */
  readonly inward: boolean;
}) {
  return (
    <g aria-hidden>
      <circle cx={at[0]} cy={at[1]} r={5} fill="var(--table)" stroke="var(--chalk)" strokeWidth={2.5} />
      <text
        x={at[0] + (inward ? -10 : 10)}
        y={at[1] - 8}
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
    </g>
  );
}

function Lit({ at }: { readonly at: readonly [number, number] }) {
  return (
    <g aria-hidden>
      <circle cx={at[0]} cy={at[1]} r={13} fill="none" stroke="var(--chalk)" strokeWidth={3} />
      <circle cx={at[0]} cy={at[1]} r={2.5} fill="var(--chalk)" />
    </g>
  );
}

/** One label under each hem that names its handles and reads the hem. */
function HemLabels({
  handles,
  view,
  place,
  tape,
}: {
  readonly handles: readonly Handle[];
  readonly view: View;
  readonly place: (p: string) => Placed<Panel>;
  readonly tape: "in" | "cm";
}) {
  const panels = [...new Set(handles.map((h) => h.panel))];
  return (
    <>
      {panels.map((panel) => {
        const own = handles.filter((h) => h.panel === panel);
        // The label stands under the hem and names the lowest handle.
        const [first] = [...own].sort((a, b) => b.at[1] - a.at[1]);
        if (!first) return null;
        const at = own.map((h) => onScreen(view, place(panel), h.at));
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
                {first.label} <Length mm={first.reading} tape={tape} unit />
              </span>
            </div>
          </foreignObject>
        );
      })}
    </>
  );
}
