import { pathLength } from "../geometry";
import type { Mm } from "../units";
import { drawnHem } from "./assemble";
import { drawLegs } from "./draw";
import type { DrawnLegs } from "./drawn";
import { edgeOf } from "./panel";
import type { LegPlan, PanelPlan } from "./plan";

/** A hem that misses what was asked by more than this is drawn again. */
const CLOSE: Mm = 0.25;

/**
 * A leg that ends at or above the place where it turns, and whose hem somebody asked for, turns at its hem: what was
 * asked is then met there, and not further down where the leg no longer goes.
 */
function turnedAtHem(plan: LegPlan): LegPlan {
  if (!plan.hemAsked?.stated || plan.levels.hem >= drawnHem(plan)) return plan;
  const least = plan.levels.crotch + 40;
  const turned = (panel: PanelPlan): PanelPlan => ({ ...panel, knee: panel.hem });
  const levels = { ...plan.levels, turn: Math.max(least, Math.min(plan.levels.turn, plan.levels.hem)) };
  return { ...plan, levels, front: turned(plan.front), back: turned(plan.back) };
}

/** Both hems wider by half of an amount each, shared by side and inseam. */
function widened(plan: LegPlan, by: Mm): LegPlan {
  const wide = (panel: PanelPlan): PanelPlan => ({
    ...panel,
    hem: { side: panel.hem.side + by / 4, inseam: panel.hem.inseam - by / 4 },
  });
  return { ...plan, front: wide(plan.front), back: wide(plan.back) };
}

/**
 * Draws the legs so that their trued hem measures what was asked, along its edge. Returns the plan that was asked with
 * its levels settled. Throws CannotDraft where the legs cannot be drawn.
 */
export function drawSettledLegs(asked: LegPlan): { readonly plan: LegPlan; readonly legs: DrawnLegs } {
  const plan = turnedAtHem(asked);
  let legs = drawLegs(plan);
  const girth = plan.hemAsked?.girth;
  if (girth === undefined || plan.own || plan.levels.hem < plan.levels.turn) return { plan, legs };
  const hemOf = (drawn: DrawnLegs): Mm =>
    [drawn.front, drawn.back].reduce((sum, panel) => sum + pathLength(edgeOf(panel, "hem").path), 0);
  // Only where the hem reaches its own level; a leg cut higher keeps the line it was given.
  if (plan.levels.hem < drawnHem(plan) && !plan.hemAsked?.stated) return { plan, legs };
  let off = 0;
  for (let round = 0; round < 3; round++) {
    const miss = girth - hemOf(legs);
    if (Math.abs(miss) < CLOSE) break;
    off += miss;
    legs = drawLegs(widened(plan, off));
  }
  return { plan, legs };
}
