"use client";
import { patternAfter } from "@/core/derive/asItLies";
import { isOf, type Panel, cameFrom } from "@/core/pattern";
import { useSnackbar } from "notistack";
import { useMemo, type ReactNode } from "react";
import { useShallow } from "zustand/react/shallow";
import type { Handle } from "@/core/moves";
import { tell, say } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { setPulled, pullOf } from "@/store/pull";
import { setView, useView } from "@/store/viewStore";
import { useLiveJob } from "../JobContext";
import { BuildView, PLACE_WORDS } from "./BuildView";
import { HandleView, type Pulled } from "./HandleView";
import { HemLabels, Lit, onScreen, PanelNames, PlaceMarks } from "./words";
import { arrange } from "./arrange";
import { boundsOf, type Placed } from "./layout";
import { GhostView, OverView, PanelView, ShownView } from "./PanelView";
import { derivePulled } from "../useDerived";
import { useVersionOver } from "../useVersionOver";
import { Table, type View } from "./Table";

interface Props {
  readonly label: string;
  /** Which pattern lies on the table. */
  readonly what: "block" | "style";
  /** Draws the block only up to this step of its construction. */
  readonly upTo?: number;
}

/** What the table takes from the view; the rest may change without it being drawn anew. */
const seenOf = ({
  tape,
  showFront,
  showBack,
  ghost,
  lit,
  oneSide,
  afterLine,
}: ReturnType<typeof useView.getState>) => ({
  tape,
  showFront,
  showBack,
  ghost,
  lit,
  oneSide,
  afterLine,
});

/** Front and back on the table: the block, or the style with its ghost, wedges and handles. */
export function PatternTable({ label, what, upTo }: Props) {
  const { id, job, shape, pull } = useLiveJob();
  const { tape, showFront, showBack, ghost, lit, oneSide, afterLine } = useView(useShallow(seenOf));
  const over = useVersionOver(job);
  const { enqueueSnackbar } = useSnackbar();
  const line = what === "style" && afterLine !== null ? shape?.worksheet[afterLine] : undefined;
  const stepped = useMemo(() => (line ? patternAfter(line) : null), [line]);
  const panels = what === "block" ? shape?.drafted.panels : (stepped?.panels ?? shape?.panels);
  const places = useMemo(() => (shape && panels ? arrange(panels, shape.block.panels) : null), [shape, panels]);
  if (!shape || !panels || !places) {
    return (
      <div style={{ padding: 32, color: "var(--quiet)" }}>
        Waist and hip on the card, and the first block lies here.
      </div>
    );
  }
  // What a move showed before its panel was cut lies with the first part of it.
  const place = (panel: string): Placed<Panel> | undefined =>
    places.find((p) => p.id === panel) ?? places.find((p) => cameFrom(p.item, panel));
  const visible = (panel: string): boolean => {
    const on = place(panel)?.item;
    return on && isOf(on, "front") ? showFront : on && isOf(on, "back") ? showBack : true;
  };
  const bounds = boundsOf(places);

  /** Keeps what the hand has come to: all of it, or as far as the move can be made. */
  function release(handle: Handle, moveIndex: number, pulled: Pulled): void {
    setView({ pull: null, letGo: true });
    if (Math.abs(pulled.value - handle.value) < 1e-6 && !pull) return;
    const asked = pullOf(handle, moveIndex, pulled.value, pulled.also);
    // The last frame of a pull has most often drawn just what is asked.
    const drawn = pull?.value === asked.value ? { ok: true as const } : derivePulled(job, asked);
    const kept = drawn.ok ? asked : pull;
    if (!drawn.ok)
      enqueueSnackbar(tell(drawn.errors[0]?.says ?? say`That cannot be done.`, tape), { variant: "warning" });
    if (kept) changeJob((draft) => setPulled(draft, kept));
  }

  const handles =
    what === "style" && !stepped
      ? shape.worksheet
          .flatMap((l) => l.handles.map((handle) => ({ handle, index: l.index ?? 0 })))
          .flatMap((h) => {
            const on = place(h.handle.panel);
            return on && visible(h.handle.panel) ? [{ ...h, on }] : [];
          })
      : [];
  const { levels } = shape.plan;
  const { steps } = shape.drafted;
  const step = upTo === undefined ? undefined : steps.find((s) => s.n === upTo);
  const stepAt = step && place(step.panel);
  const litAt = lit && place(lit.panel);
  return (
    <Table
      label={label}
      bounds={bounds}
      fitKey={`${id}-${what}`}
      tape={tape}
      footer={
        what === "style" && handles.some((h) => h.handle.oneSide) ? (
          <label style={{ cursor: "pointer", pointerEvents: "auto" }}>
            <input
              type="checkbox"
              checked={oneSide}
              onChange={(event) => setView({ oneSide: event.target.checked })}
              style={{ margin: "0 5px 0 0", verticalAlign: "-1px" }}
            />
            pull one side only
          </label>
        ) : (
          "B back   F front   G ghost   0 fit   ? keys"
        )
      }
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
          <PanelNames places={places.filter((p) => visible(p.id))} view={view} />
          {step && stepAt && visible(step.panel) ? (
            <PlaceMarks
              marks={Object.entries(step.points).map(([id, p]) => ({
                id,
                at: onScreen(view, stepAt, p),
                word: PLACE_WORDS[id] ?? "",
                inward: p[0] > 5,
              }))}
            />
          ) : null}
          {lit && litAt ? <Lit at={onScreen(view, litAt, [lit.point[0], lit.point[1]])} /> : null}
          {handles.map(({ handle, index, on }) => (
            <HandleView
              key={`${index}-${handle.id}`}
              handle={handle}
              at={onScreen(view, on, handle.at)}
              reach={reachOf(handle, handles, view)}
              view={view}
              tape={tape}
              oneSide={oneSide}
              onPull={(pulled) => setView({ pull: pullOf(handle, index, pulled.value, pulled.also) })}
              onRelease={(pulled) => release(handle, index, pulled)}
              onCancel={() => setView({ pull: null })}
            />
          ))}
          {what === "style" ? <HemLabels handles={handles} view={view} tape={tape} /> : null}
        </>
      )}
    >
      {what === "style" ? (
        <>
          {shape.block.panels.map((panel) => (
            <At key={panel.id} place={visible(panel.id) ? place(panel.id) : undefined}>
              {ghost ? <GhostView panel={panel} /> : null}
              {over?.panels
                .filter((p) => cameFrom(p, panel.id))
                .map((p) => (
                  <OverView key={p.id} panel={p} name={over.name} />
                ))}
            </At>
          ))}
          {(stepped?.drawn ?? shape.shown).map((shown, i) => (
            <At key={i} place={visible(shown.panel) ? place(shown.panel) : undefined}>
              <ShownView shown={shown} />
            </At>
          ))}
        </>
      ) : null}
      {places
        .filter((p) => visible(p.id))
        .map(({ id: panelId, item, at }) => (
          <g key={panelId} transform={`translate(${at[0]} ${at[1]})`}>
            {upTo === undefined ? <PanelView panel={item} /> : <BuildView panel={item} steps={steps} upTo={upTo} />}
          </g>
        ))}
    </Table>
  );
}

/** Draws in the frame of a placed panel; nothing where it is not on the table. */
function At({ place, children }: { readonly place: Placed<Panel> | undefined; readonly children: ReactNode }) {
  return place ? <g transform={`translate(${place.at[0]} ${place.at[1]})`}>{children}</g> : null;
}

/** Half the side of a handle's square, in pixels: wide for a finger, and no further than half-way to the next handle. */
const REACH = { least: 12, most: 18 };

function reachOf(
  handle: Handle,
  all: readonly { readonly handle: Handle; readonly on: Placed<Panel> }[],
  view: View,
): number {
  const own = all.find((h) => h.handle === handle);
  if (!own) return REACH.most;
  const [x, y] = onScreen(view, own.on, handle.at);
  const apart = all
    .filter((h) => h.handle !== handle)
    .map((h) => {
      const [ox, oy] = onScreen(view, h.on, h.handle.at);
      return Math.max(Math.abs(ox - x), Math.abs(oy - y));
    });
  return Math.max(REACH.least, Math.min(REACH.most, ...apart.map((d) => d / 2)));
}
