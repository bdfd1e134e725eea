import {
  bodicePanels,
  ownBodice,
  type BodicePlan,
  type DrawnBodice,
  type OwnBodice,
  type OwnBodiceDrawn,
} from "../bodice";
import { findEdge, isBodice, panelById, type Join, type Panel } from "../pattern";
import type { LegPlan } from "../drafting";
import { Refusal, say, type Mm, type Unit, inside } from "../units";
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
  const before = state.bodice?.vWaist ?? LEVEL;
  const above = (root: Half): Above => {
    const [at] = drawn[root].waist.dartsAt;
    return { net: plan.waist[root] + plan.edges.sideOut, dartAt: at };
  };
  const legs = followed(state.plan, { front: above("front"), back: above("back") }, before, plan.vWaist);
  return { state: { ...hung(state, panels, joins), plan: legs, bodice: plan }, drawn };
}

/** The pattern with the bodice that was brought in. It has no plan: moves that redraw a bodice cannot change it. */
export function withOwnBodice(
  state: StyleState,
  own: OwnBodice,
  unit: Unit,
): { readonly state: StyleState; readonly drawn: OwnBodiceDrawn } {
  const drawn = ownBodice(own, unit);
  const { bodice, ...rest } = hung(state, drawn.panels, drawn.joins);
  return { state: { ...rest, plan: followed(state.plan, drawn.waist, bodice?.vWaist ?? LEVEL, LEVEL) }, drawn };
}

type Half = "front" | "back";

/** What trousers have to follow: the sewn waist of a half of the bodice, and where its first dart opens. */
interface Above {
  readonly net: Mm;
  readonly dartAt: Mm | undefined;
}

const LEVEL: BodicePlan["vWaist"] = { front: 0, back: 0 };

/** The pattern with another bodice in the place of the one it has. */
function hung(state: StyleState, panels: readonly Panel[], joins: readonly Join[]): StyleState {
  const old = new Set(state.panels.filter((p) => isBodice(p)).map((p) => p.id));
  return {
    ...state,
    panels: [...state.panels.filter((p) => !isBodice(p)), ...panels],
    joins: [...state.joins.filter((join) => !touches(old, join)), ...joins],
  };
}

function followed(
  legs: LegPlan,
  above: Readonly<Record<Half, Above>>,
  before: BodicePlan["vWaist"],
  now: BodicePlan["vWaist"],
): LegPlan {
  const half = (root: Half, up: number): LegPlan["front"] => {
    const own = legs[root];
    const raised = { ...own, centreRise: own.centreRise + up };
    if (legs.hipWide || legs.own) return raised;
    const { net, dartAt } = above[root];
    const darts =
      own.darts.count > 0 && dartAt !== undefined ? { ...own.darts, at: dartAt + own.darts.intake / 2 } : own.darts;
    return { ...raised, netWaist: net, darts };
  };
  return { ...legs, front: half("front", before.front - now.front), back: half("back", now.back - before.back) };
}

/** Refuses where there is no bodice yet. */
export function needsBodice(state: StyleState, param: string, label: string): void {
  if (!state.panels.some((p) => isBodice(p)))
    throw new Refusal(param, say`“${label}” needs a bodice. Put the line that drafts the bodice before it.`);
}

/** True where the bodice was brought in: its lines stay as they are. */
export const isBroughtIn = (state: StyleState): boolean => !state.bodice && state.panels.some((p) => isBodice(p));

/** The bodice's plan; refuses where there is none, or where the bodice was brought in and is not redrawn. */
export function bodiceOf(state: StyleState, param: string, label: string): BodicePlan {
  needsBodice(state, param, label);
  if (!state.bodice)
    throw new Refusal(
      param,
      say`“${label}” redraws the bodice, which one brought in keeps as it is. Switch this line off, or draft the bodice.`,
    );
  return state.bodice;
}

/** Refuses a line that needs the centre of each half in one piece, where a fold or a lap has opened one. */
export function needsWholeCentres(state: StyleState, param: string, label: string): void {
  const { front, back } = bodiceHalves(state);
  const opened = [front, back].find((panel) => !findEdge(panel, "centre"));
  if (opened)
    throw new Refusal(
      param,
      say`“${label}” needs the centre of the ${inside(opened.name)} whole. Put this line before the one that opened it.`,
    );
}

/** Front and back of the bodice as they lie. */
export const bodiceHalves = ({ panels }: StyleState): { readonly front: Panel; readonly back: Panel } => ({
  front: panelById(panels, "bodice-front"),
  back: panelById(panels, "bodice-back"),
});
