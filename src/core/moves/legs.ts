import {
  edgeOf,
  edgesWithRole,
  isOf,
  isSewnOn,
  panelMap,
  type Edge,
  type Panel,
  cutPanel,
  type PartName,
  findEdge,
} from "../pattern";
import { pathAt, pathLength, squareCurve, type Point, pathAlongAtLevel, pathChords } from "../geometry";
import { type Mm, Refusal, say, type Words, inside } from "../units";
import { type StyleState } from "./move";

/** Front and back of the whole leg: each one panel that runs from side to inseam. */
export interface WholeLegs {
  readonly front: Panel;
  readonly back: Panel;
}

type LegEdge = "waist" | "side" | "hem" | "inseam" | "crotch";

/**
 * True where a panel has these edges and its seams still run between the rims named with them: from the waist, to the
 * hem. A side that was shortened by a side panel, and a seam opened for a godet, do not.
 */
function isWhole(panel: Panel, edges: readonly LegEdge[]): boolean {
  const has = (id: LegEdge): boolean =>
    id === "waist" ? edgesWithRole(panel, "waist").length > 0 : findEdge(panel, id) !== undefined;
  if (!edges.every(has)) return false;
  const beside = (id: LegEdge, step: 1 | -1): Edge["role"] | undefined => {
    const at = panel.edges.indexOf(edgeOf(panel, id));
    return panel.edges[(at + step + panel.edges.length) % panel.edges.length]?.role;
  };
  if (edges.includes("waist") && beside("side", -1) !== "waist" && beside("side", -1) !== "dart") return false;
  if (!edges.includes("hem")) return true;
  return beside("side", 1) === "hem" && (!edges.includes("inseam") || beside("inseam", -1) === "hem");
}

/**
 * The one panel of front or back that has all these edges. Refuses where an earlier cut divided it, where the legs
 * differ, or where a casing is cut on already.
 */
export function wholePanel(
  state: StyleState,
  root: "front" | "back",
  param: string,
  label: string,
  edges: readonly LegEdge[],
): Panel {
  const own = state.panels.filter((p) => isOf(p, root));
  if (own.some((p) => p.half !== "both")) {
    throw new Refusal(
      param,
      say`“${label}” is made on both legs alike, and an earlier cut on one leg alone has made their ${root}s differ. Move this line up.`,
    );
  }
  if (own.some((p) => p.worn?.casings)) {
    throw new Refusal(param, say`A casing is cut on last, so “${label}” comes before it. Move this line up.`);
  }
  const [panel, other] = own.filter((p) => isWhole(p, edges));
  if (!panel || other) {
    throw new Refusal(
      param,
      say`“${label}” needs a ${root} that runs from ${edges.includes("waist") && edges.includes("hem") ? "waist to hem" : "side seam to inseam"}. An earlier cut has divided it; move this line up.`,
    );
  }
  return panel;
}

/** Refuses where the waist of a panel is sewn on already, and would no longer agree with what it is sewn to. */
export function refuseSewnWaist(state: StyleState, panel: Panel, param: string, label: string): void {
  if (!edgesWithRole(panel, "waist").some((edge) => isSewnOn(state, panel.id, edge.id))) return;
  throw new Refusal(
    param,
    say`The waist of the ${inside(panel.name)} is sewn on already; after “${label}” it would no longer agree with what it is sewn to. Move this line up.`,
  );
}

/** Front and back, each one panel that has all these edges; refuses as `wholePanel` does. */
export function wholeLegs(
  state: StyleState,
  param: string,
  label: string,
  edges: readonly LegEdge[] = ["side", "hem", "inseam"],
): WholeLegs {
  const whole = (root: "front" | "back"): Panel => wholePanel(state, root, param, label, edges);
  return { front: whole("front"), back: whole("back") };
}

/**
 * Cuts front and back across at a level of the front, through the seams at equal arc length from their hem ends, which
 * front and back share (a yoke may have shortened one of them above). The new edge is trued square to both seams.
 */
export function cutAcross(
  state: StyleState,
  legs: WholeLegs,
  level: Mm,
  by: string,
  offName: (panel: Panel) => PartName,
  edge: { readonly id: string; readonly name: Words },
): StyleState {
  const atLevel = (seam: "side" | "inseam"): Mm => {
    // On the chords the seam is drawn by, so that patterns cut before are cut at the same place again.
    const { path } = edgeOf(legs.front, seam);
    const chords = pathChords(path);
    return pathAlongAtLevel(chords, level) ?? pathLength(chords);
  };
  const sideUp = fromHem(legs.front, atLevel("side"));
  const inseamAt = atLevel("inseam");
  return [legs.front, legs.back].reduce((now, panel) => {
    const sideAt = fromHem(panel, sideUp);
    const [side, inseam] = [pathAt(edgeOf(panel, "side").path, sideAt), pathAt(edgeOf(panel, "inseam").path, inseamAt)];
    return cutPanel(now, panel.id, {
      by,
      from: { edge: "side", along: sideAt },
      to: { edge: "inseam", along: inseamAt },
      path: [squareCurve(side.point, side.tangent, inseam.point, inseam.tangent)],
      between: { ...offName(panel), part: "off" },
      rest: { id: panel.id, name: panel.name, part: "main" },
      seam: { id: `${panel.id}-${edge.id}`, label: edge.name },
      edge,
    });
  }, state);
}

/** A place on the side seam counted from its other end: from the hem where it was from the top, and back. */
export const fromHem = (panel: Panel, along: Mm): Mm => pathLength(edgeOf(panel, "side").path) - along;

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
