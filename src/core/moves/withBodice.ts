import { bodicePanels, type BodicePlan, type DrawnBodice } from "../bodice";
import { isBodice, panelById, type Join, type Panel } from "../pattern";
import type { LegPlan } from "../drafting";
import { Refusal, say } from "../units";
import type { StyleState } from "./move";

const touches = (ids: ReadonlySet<string>, join: Join): boolean =>
  [...join.a, ...join.b].some((ref) => ids.has(ref.panel));

/**
 * The pattern with its bodice drawn by a plan. Legs that are shaped at the waist follow it: each half's sewn waist, the
 * place of its dart, and a waist that is a V; legs left hip-wide are brought to it when they are joined.
 */
export function withBodice(
  state: StyleState,
  plan: BodicePlan,
): { readonly state: StyleState; readonly drawn: DrawnBodice } {
  const { panels, joins, drawn } = bodicePanels(plan);
  const old = new Set(state.panels.filter((p) => isBodice(p)).map((p) => p.id));
  return {
    state: {
      plan: followed(state.plan, plan, drawn, state.bodice ?? null),
      panels: [...state.panels.filter((p) => !isBodice(p)), ...panels],
      joins: [...state.joins.filter((join) => !touches(old, join)), ...joins],
      bodice: plan,
    },
    drawn,
  };
}

function followed(legs: LegPlan, plan: BodicePlan, drawn: DrawnBodice, before: BodicePlan | null): LegPlan {
  const half = (root: "front" | "back", up: number): LegPlan["front"] => {
    const own = legs[root];
    const raised = { ...own, centreRise: own.centreRise + up };
    if (legs.hipWide || legs.own) return raised;
    const [at] = drawn[root].waist.dartsAt;
    const darts = own.darts.count > 0 && at !== undefined ? { ...own.darts, at: at + own.darts.intake / 2 } : own.darts;
    return { ...raised, netWaist: plan.waist[root] + plan.edges.sideOut, darts };
  };
  return {
    ...legs,
    front: half("front", (before?.vWaist.front ?? 0) - plan.vWaist.front),
    back: half("back", plan.vWaist.back - (before?.vWaist.back ?? 0)),
  };
}

/** The bodice's plan; refuses where there is none, or where a later line has cut into it. */
export function bodiceOf(state: StyleState, param: string, label: string): BodicePlan {
  if (!state.bodice)
    throw new Refusal(param, say`“${label}” needs a bodice. Put the line that drafts the bodice before it.`);
  return state.bodice;
}

/** Front and back of the bodice as they lie. */
export const bodiceHalves = ({ panels }: StyleState): { readonly front: Panel; readonly back: Panel } => ({
  front: panelById(panels, "bodice-front"),
  back: panelById(panels, "bodice-back"),
});
