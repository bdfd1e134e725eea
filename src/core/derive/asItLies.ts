import { drawingMoved, turnedOver, type Drawing, type Panel } from "../pattern";
import { pointFlipped } from "../geometry";
import { legsOf, withLegs } from "./drawnLegs";
import type { MovesRun, WorksheetLine } from "./worksheetLine";

/** Panels of the left leg turned over, as they are cut. */
export const flipped = (panels: readonly Panel[]): readonly Panel[] =>
  panels.map((p) => (p.half === "left" ? turnedOver(p) : p));

/** The panels after an act of the worksheet, as they lie on the table, and what it drew on them. */
export function patternAfter({ before, after, isPlanned, drawn, seams }: WorksheetLine): {
  readonly panels: readonly Panel[];
  readonly drawn: readonly Drawing[];
} {
  const panels = isPlanned ? withLegs(after, legsOf(after.plan).legs) : after.panels;
  const left = new Set([...before.panels, ...panels].filter((p) => p.half === "left").map((p) => p.id));
  const mirror = (list: readonly Drawing[]): Drawing[] =>
    list.map((d) => (left.has(d.panel) ? drawingMoved(d, pointFlipped) : d));
  return { panels: flipped(panels), drawn: mirror([...drawn, ...seams]) };
}

/** Panels of the left leg alone are drawn mirrored, as they are cut; what is shown on them, and their handles, too. */
export function mirrored(run: MovesRun): MovesRun {
  const left = new Set(run.state.panels.filter((p) => p.half === "left").map((p) => p.id));
  if (left.size === 0) return run;
  return {
    state: { ...run.state, panels: flipped(run.state.panels) },
    worksheet: run.worksheet.map((line) => ({
      ...line,
      handles: line.handles.map((h) =>
        left.has(h.panel) ? { ...h, at: pointFlipped(h.at), axis: pointFlipped(h.axis) } : h,
      ),
    })),
    shown: run.shown.map((s) => (left.has(s.panel) ? drawingMoved(s, pointFlipped) : s)),
  };
}
