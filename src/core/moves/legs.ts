import { edgeOf, isOf, type Panel } from "../drafting";
import { pathAt, squareCurve } from "../geometry";
import type { Mm } from "../units";
import { alongAtLevel, cutPanel, type PartName } from "./cut";
import { MoveRefused, type StyleState } from "./move";

/** Front and back of the whole leg: each one panel that runs from side to inseam. */
export interface WholeLegs {
  readonly front: Panel;
  readonly back: Panel;
}

/** The panels that have all these edges, one of the front and one of the back; refuses where the legs are cut otherwise. */
export function wholeLegs(
  state: StyleState,
  param: string,
  label: string,
  edges: readonly string[] = ["side", "hem", "inseam"],
): WholeLegs {
  const found = (["front", "back"] as const).map((root) => {
    const own = state.panels.filter((p) => isOf(p.id, root) && edges.every((id) => p.edges.some((e) => e.id === id)));
    const [panel] = own;
    if (!panel || own.length > 1) {
      throw new MoveRefused(
        param,
        `“${label}” needs a ${root} that runs from side seam to inseam. An earlier cut has divided it; move this line up.`,
      );
    }
    return panel;
  });
  return { front: found[0] as Panel, back: found[1] as Panel };
}

/**
 * Cuts front and back across at a level of the front, through the seams at equal arc length: the side from its top,
 * the inseam from its hem end, which front and back share. The new edge is trued square to both seams.
 */
export function cutAcross(
  state: StyleState,
  legs: WholeLegs,
  level: Mm,
  names: (panel: Panel) => { readonly upper: PartName; readonly lower: PartName },
  edge: { readonly id: string; readonly name: string },
): StyleState {
  const sideAt = alongAtLevel(legs.front, "side", level);
  const inseamAt = alongAtLevel(legs.front, "inseam", level);
  return [legs.front, legs.back].reduce((now, panel) => {
    const [side, inseam] = [pathAt(edgeOf(panel, "side").path, sideAt), pathAt(edgeOf(panel, "inseam").path, inseamAt)];
    const { upper, lower } = names(panel);
    return cutPanel(now, panel.id, {
      from: { edge: "side", along: sideAt },
      to: { edge: "inseam", along: inseamAt },
      path: [squareCurve(side.point, side.tangent, inseam.point, inseam.tangent)],
      between: lower,
      rest: upper,
      seam: { id: `${panel.id}-${edge.id}`, label: edge.name },
      edge,
    });
  }, state);
}

/** The pattern without some panels, and without the seams they were sewn by. */
export function withoutPanels(state: StyleState, ids: readonly string[]): StyleState {
  const joins = state.joins.map((join) => ({
    ...join,
    a: join.a.filter((ref) => !ids.includes(ref.panel)),
    b: join.b.filter((ref) => !ids.includes(ref.panel)),
  }));
  return {
    ...state,
    panels: state.panels.filter((p) => !ids.includes(p.id)),
    joins: joins.filter((join) => join.a.length > 0 && join.b.length > 0),
  };
}
