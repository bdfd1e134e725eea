import { polygonSelfCrossing } from "../geometry";
import { panelIsClosed, panelOutline, type Panel } from "../pattern";
import { Refusal, say } from "../units";

/** What is said where the card gives no outline, and where the moves do. */
export const MEASURES_AT_FAULT = ["These measures give", "Check waist, hip, crotch depth and the levels."] as const;
export const MOVES_AT_FAULT = ["These moves give", "Take back what was changed last, or switch a move off."] as const;

/** Panels that were looked at and are sound. */
const sound = new WeakSet<Panel>();

/** True where an outline is finite, closed and does not cross itself. */
function isSound(panel: Panel): boolean {
  if (sound.has(panel)) return true;
  const outline = panelOutline(panel);
  const finite = outline.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y));
  if (!finite || !panelIsClosed(panel) || polygonSelfCrossing(outline)) return false;
  sound.add(panel);
  return true;
}

/** Refuses a line that would draw an outline that crosses itself, before it is made. `before` are the panels it changes. */
export function refuseCrossing(panels: readonly Panel[], before: readonly Panel[]): void {
  const bad = panels.find((panel) => !before.includes(panel) && !isSound(panel));
  if (bad)
    throw new Refusal(
      "",
      say`Made here, it would give a ${bad.name.toLowerCase()} whose outline crosses itself. Change its numbers, or move this line.`,
    );
}

/** The last gate: an outline that crosses itself or is not finite is never handed on. */
export function refuseBadOutlines(
  panels: readonly Panel[],
  path: string,
  [given, todo]: readonly [string, string],
): void {
  const bad = panels.find((panel) => !isSound(panel));
  if (bad) throw new Refusal(path, say`${given} a ${bad.name.toLowerCase()} whose outline crosses itself. ${todo}`);
}
