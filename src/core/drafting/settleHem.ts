import { edgeOf } from "../pattern";
import { pathLength } from "../geometry";
import { type Mm, Refusal } from "../units";
import { drawnHem } from "./assemble";
import {} from "./refuseImpossible";
import { drawLegs } from "./draw";
import type { DrawnLegs } from "./drawn";
import type { LegPlan, PanelPlan } from "./plan";

/** A hem that misses what was asked by more than this is drawn again. */
const CLOSE: Mm = 0.25;
const ROUNDS = 8;

/** A leg that ends where it turns, or above, whose hem somebody asked for: knee and hem are one width, which is solved. */
function endsEarly(plan: LegPlan): boolean {
  return plan.hemAsked?.stated === true && plan.levels.hem < drawnHem(plan);
}

/** Hems wider by half of an amount each, shared by side and inseam; on a leg that ends early the knee with them. */
function widened(plan: LegPlan, by: Mm): LegPlan {
  const early = endsEarly(plan);
  const wide = (panel: PanelPlan): PanelPlan => {
    const hem = { side: panel.hem.side + by / 4, inseam: panel.hem.inseam - by / 4 };
    return { ...panel, hem, knee: early ? hem : panel.knee };
  };
  return { ...plan, front: wide(plan.front), back: wide(plan.back) };
}

/**
 * Draws the legs so that their trued hem measures what was asked, along its edge. Returns them with the plan they are
 * pulled by. Throws CannotDraft where the legs cannot be drawn.
 */
export function drawSettledLegs(asked: LegPlan): { readonly plan: LegPlan; readonly legs: DrawnLegs } {
  const plan = endsEarly(asked) ? widened(asked, 0) : asked;
  const girth = plan.hemAsked?.girth;
  const solves = girth !== undefined && !plan.own && (endsEarly(plan) || plan.levels.hem >= drawnHem(plan));
  if (!solves) return { plan, legs: drawLegs(plan) };
  const hemOf = (drawn: DrawnLegs): Mm =>
    [drawn.front, drawn.back].reduce((sum, panel) => sum + pathLength(edgeOf(panel, "hem").path), 0);
  let legs = drawLegs(plan);
  let [before, off] = [0, 0];
  let missBefore = girth - hemOf(legs);
  let rate = 1;
  for (let round = 0; round < ROUNDS && Math.abs(missBefore) >= CLOSE; round++) {
    off = before + missBefore / rate;
    let next: DrawnLegs;
    try {
      next = drawLegs(widened(plan, off));
    } catch (error) {
      // A short leg may not reach the girth at all; what comes nearest stays.
      if (error instanceof Refusal) break;
      throw error;
    }
    const miss = girth - hemOf(next);
    if (Math.abs(miss) > Math.abs(missBefore)) break;
    rate = Math.min(2, Math.max(0.1, (missBefore - miss) / (off - before)));
    [before, missBefore, legs] = [off, miss, next];
  }
  return { plan: endsEarly(plan) ? widened(plan, before) : plan, legs };
}
