import { isBodice, rimOf, type Edge, type Fate, type Panel } from "../pattern";
import type { CutPlan } from "./cutPlan";

/** An edge of a part that no seam takes and nothing else is said of: it is only kept from fraying. */
export const isFreeEdge = (panel: Panel, edge: Edge, isSewn: boolean): boolean =>
  edge.becomes === "free" ||
  (edge.becomes === undefined &&
    edge.beyond === undefined &&
    !isSewn &&
    panel.is.component === "part" &&
    edge.role === "style" &&
    !panel.cutting.sewn?.all);

/**
 * What becomes of an edge of a panel once the garment is made; null where nothing does, which no edge may be left at.
 * An edge whose finish is not decided yet is `undecided`.
 */
export function fateOf(panel: Panel, edge: Edge, isSewn: boolean, { fates, opening }: CutPlan): Fate | null {
  if (isSewn || edge.role === "dart") return "sewn";
  if (edge.role === "fold") return "folded";
  if (isFreeEdge(panel, edge, isSewn)) return fates.free;
  if (edge.becomes && edge.becomes !== "free") return edge.becomes;
  if (edge.role === "casing") return "turned";
  if (edge.role === "hem" && panel.is.part !== "hem-facing") return fates.hem;
  const isOpening = edge.role === "crotch" || edge.role === "centre";
  if (isOpening && opening !== null && panel.is.root === opening.root) return "turned";
  if (panel.is.component === "part" && panel.is.part !== "contour-band" && panel.is.part !== "pocket-hip") return null;
  // What is open on a bodice is asked for by the finishes, its waist where it is joined to nothing.
  if (edge.role === "neck" || edge.role === "armhole" || (isBodice(panel) && rimOf(edge) === "waist"))
    return "undecided";
  return rimOf(edge) === "waist" ? fates.waist : null;
}
