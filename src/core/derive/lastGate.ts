import { polygonSelfCrossing } from "../geometry";
import { panelIsClosed, panelOutline, type Panel } from "../pattern";
import { Refusal, say, inside, type Sentence } from "../units";

/** What is said where the card gives no outline, and where the moves do. */
export const MEASURES_AT_FAULT = ["These measures give", "Check waist, hip, crotch depth and the levels."] as const;
export const BLOCK_AT_FAULT = ["This block gives", "Check its outline and the places on it."] as const;
export const MOVES_AT_FAULT = ["These moves give", "Take back what was changed last, or switch a move off."] as const;
export const FITTINGS_AT_FAULT = ["These fittings give", "Take back some of what was corrected last."] as const;

/** Panels that were looked at and are sound. */
const sound = new WeakSet<Panel>();

/** What is wrong with an outline that is not finite, not closed or crosses itself; null where it is sound. */
function faultOf(panel: Panel): string | null {
  if (sound.has(panel)) return null;
  const outline = panelOutline(panel);
  if (!outline.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))) return "has a place that is nowhere";
  if (!panelIsClosed(panel)) return "does not close";
  if (polygonSelfCrossing(outline)) return "crosses itself";
  sound.add(panel);
  return null;
}

/** The first panel that is not sound, and what is wrong with it. */
function firstFault(panels: readonly Panel[]): { readonly panel: Sentence; readonly fault: string } | null {
  for (const panel of panels) {
    const fault = faultOf(panel);
    if (fault) return { panel: inside(panel.name), fault };
  }
  return null;
}

/** Refuses a line that would draw an outline that crosses itself or does not close, before it is made. `before` are the panels it changes. */
export function refuseCrossing(panels: readonly Panel[], before: readonly Panel[]): void {
  const bad = firstFault(panels.filter((panel) => !before.includes(panel)));
  if (bad)
    throw new Refusal(
      "",
      say`Made here, it would give a ${bad.panel} whose outline ${bad.fault}. Change its numbers, or move this line.`,
    );
}

/** The last gate: an outline that crosses itself or is not finite is never handed on. */
export function refuseBadOutlines(
  panels: readonly Panel[],
  path: string,
  [given, todo]: readonly [string, string],
): void {
  const bad = firstFault(panels);
  if (bad) throw new Refusal(path, say`${given} a ${bad.panel} whose outline ${bad.fault}. ${todo}`);
}
