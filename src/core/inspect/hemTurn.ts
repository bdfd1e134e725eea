import { edgeOf, landmarkOf, type Panel } from "../drafting";
import { plain } from "../units";
import { pathTurn } from "../pieces";
import { byLimits, verdict, type CheckRule } from "./check";

/** How much a turn-up is longer than what it covers: twice its depth times the turn of the hem. */
export function turnUpExcess(panel: Panel, depth: number): number {
  return 2 * depth * Math.abs(pathTurn(edgeOf(panel, "hem").path));
}

/** A curved hem turned up deeply has cloth to ease in. */
export const hemTurn: CheckRule = {
  id: "hem-turn",
  label: "Turn-up on the curve",
  note: "The turn-up of a curved hem has little to ease in.",
  measure({ front, back, hemDepth }) {
    if (hemDepth === null) return null;
    const worst = [front, back]
      .map((panel) => ({ panel, value: turnUpExcess(panel, hemDepth) }))
      .reduce((a, b) => (b.value > a.value ? b : a));
    const status = byLimits(worst.value, 6, 12);
    return verdict(this, {
      status,
      value: worst.value,
      limit: 6,
      unit: "mm",
      message: `A turn-up of ${plain(hemDepth)} mm leaves ${plain(worst.value)} mm to ease in on the ${worst.panel.name.toLowerCase()}.`,
      where: { panel: worst.panel.id, point: landmarkOf(worst.panel, "creaseHem") },
      fix: "Choose a narrower hem, a facing or a rolled hem.",
    });
  },
};
