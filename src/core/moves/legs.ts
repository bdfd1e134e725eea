import { edgeOf, isOf, panelMap, type Panel } from "../drafting";
import { pathAt, squareCurve, type Point } from "../geometry";
import type { Mm } from "../units";
import { alongAtLevel, cutPanel, type PartName } from "./cut";
import { MoveRefused, type Shown, type StyleState } from "./move";

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

/**
 * The panel moved so that its crease, the middle line of its hem, stands at x = 0 again: after an opening of one width
 * all the way down, which widens one half only. `by` is how far the crease has come to lie from the old one.
 */
export function recreased(panel: Panel, by: Mm): Panel {
  const moved = panelMap(panel, ([x, y]) => [x - by, y]);
  return {
    ...moved,
    landmarks: Object.fromEntries(
      Object.entries(moved.landmarks).map(([name, p]) => [name, name.startsWith("crease") ? [0, p[1]] : p]),
    ),
    lines: moved.lines.map((l) =>
      l.kind === "crease" || l.kind === "grain" ? { ...l, points: l.points.map(([, y]): Point => [0, y]) } : l,
    ),
  };
}

/** What a move shows, moved with its panel. */
export function shownMoved(shown: Shown, by: Mm): Shown {
  const at = ([x, y]: Point): Point => [x - by, y];
  return {
    ...shown,
    slashes: shown.slashes.map((s) => s.map(at)),
    wedges: shown.wedges.map((w) => w.map(at)),
    hinges: shown.hinges.map(at),
  };
}
