import { polygonSelfCrossing } from "../geometry";
import { panelIsClosed, panelOutline, type Panel } from "../pattern";
import { Refusal, say } from "../units";

/** What is said where the card gives no outline, and where the moves do. */
export const MEASURES_AT_FAULT = ["These measures give", "Check waist, hip, crotch depth and the levels."] as const;
export const MOVES_AT_FAULT = ["These moves give", "Take back what was changed last, or switch a move off."] as const;

/** The last gate: an outline that crosses itself or is not finite is never handed on. */
export function refuseBadOutlines(
  panels: readonly Panel[],
  path: string,
  [given, todo]: readonly [string, string],
): void {
  for (const panel of panels) {
    const outline = panelOutline(panel);
    const finite = outline.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y));
    if (!finite || !panelIsClosed(panel) || polygonSelfCrossing(outline))
      throw new Refusal(path, say`${given} a ${panel.name.toLowerCase()} whose outline crosses itself. ${todo}`);
  }
}
