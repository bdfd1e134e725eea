import { pathNearest } from "../geometry";
import { MOVES, type Handle, type StyleState } from "../moves";
import { isOf, onPanel, panelOutline, roleLength, type Panel } from "../pattern";
import type { Mm } from "../units";
import type { WorksheetLine } from "./worksheetLine";

/** A line with its handles on the finished pattern: a redrawn seam is pulled where it lies in the end, on whichever part. */
export function withHandles<L extends Pick<WorksheetLine, "on" | "passed" | "move" | "numbers" | "handles">>(
  line: L,
  { plan, panels }: StyleState,
): L {
  const handles = line.on && !line.passed ? MOVES[line.move]?.handlesOn?.(plan, line.numbers, panels) : undefined;
  if (!handles) return { ...line, handles: line.handles.map((handle) => finished(handle, panels)) };
  const placed = handles.flatMap((handle): Handle[] => {
    const { root } = handle;
    const on = panels.find((p) => root && isOf(p, root) && p.half !== "left" && standsOn(handle, p));
    return on ? [finished({ ...handle, panel: on.id }, panels)] : [];
  });
  return { ...line, handles: placed };
}

/** A handle that pulls the hem tells the hem as it is in the end, whatever later lines have made of it. */
function finished(handle: Handle, panels: readonly Panel[]): Handle {
  const panel = handle.ofHem ? panels.find((p) => p.id === handle.panel && p.is.component === "legs") : undefined;
  const hem = panel ? roleLength(panel, "hem") : 0;
  return hem > 0 ? { ...handle, reading: hem } : handle;
}

/** A handle stands on the outline if it lies within this of it. */
const NEAR: Mm = 12;

/** True where a handle's place is still there: inside the panel, on the seam it pulls, or anywhere on the outline. */
function standsOn({ at, axis, inside }: Handle, panel: Panel): boolean {
  if (inside) return onPanel(panelOutline(panel), at);
  const across = Math.abs(axis[0]) > Math.abs(axis[1]);
  const edges = across ? panel.edges.filter((e) => e.role === "side" || e.role === "inseam") : panel.edges;
  return edges.some((edge) => pathNearest(edge.path, at).distance < NEAR);
}
