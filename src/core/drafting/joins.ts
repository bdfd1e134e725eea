import { pathBetween, pathLength, pathReverse, type Path } from "../geometry";
import type { Mm } from "../units";
import { edgeOf, rimEdges, type Panel } from "./panel";

/** An edge of a panel, walked along its outline or against it. */
export interface EdgeRef {
  readonly panel: string;
  readonly edge: string;
  readonly reversed: boolean;
  /** Only this stretch of the edge, from and to, in the edge's own direction. */
  readonly part?: readonly [Mm, Mm];
}

/** Which body seam a join is; `style` is any seam a cut has made. */
export type JoinKind = "side" | "inseam" | "crotch" | "style" | "waist";

/** How the longer edge of a join is brought to the shorter one's length. */
export type JoinHow = "equal" | "eased" | "gathered" | "pleated";

/**
 * Two runs of edges that are sewn together, both listed and walked from their shared start. A join holds for both
 * legs, or for the one it names.
 */
export interface Join {
  readonly id: string;
  readonly label: string;
  readonly kind: JoinKind;
  readonly how: JoinHow;
  readonly leg: "both" | "left" | "right";
  readonly a: readonly EdgeRef[];
  readonly b: readonly EdgeRef[];
}

/** An edge walked along its outline. */
export const along = (panel: string, edge: string): EdgeRef => ({ panel, edge, reversed: false });
/** An edge walked against its outline. */
export const against = (panel: string, edge: string): EdgeRef => ({ panel, edge, reversed: true });

/** The seams of a pair of trousers before anything is cut: front and back, right and left alike. */
export const LEG_JOINS: readonly Join[] = (
  [
    ["side", "Side seam", "side", "equal", "front.side", "back.side"],
    ["inseam", "Inseam", "inseam", "eased", "front.inseam", "back.inseam"],
    ["crotch-front", "Centre front", "crotch", "equal", "front.crotch", "front.crotch"],
    ["crotch-back", "Centre back", "crotch", "equal", "back.crotch", "back.crotch"],
  ] as const
).map(([id, label, kind, how, a, b]): Join => {
  const ref = (address: string): EdgeRef => along(...(address.split(".") as [string, string]));
  return { id, label, kind, how, leg: "both", a: [ref(a)], b: [ref(b)] };
});

/** The panel with this id; throws when there is none. */
export function panelById(panels: readonly Panel[], id: string): Panel {
  const found = panels.find((panel) => panel.id === id);
  if (!found) throw new RangeError(`there is no panel ${id}`);
  return found;
}

/** True for the front or back itself and for every panel that was cut from it. */
export const isOf = (id: string, root: "front" | "back"): boolean => id === root || id.startsWith(`${root}-`);

/** The edge as it is walked in a join. */
export function refPath(panels: readonly Panel[], ref: EdgeRef): Path {
  const whole = edgeOf(panelById(panels, ref.panel), ref.edge).path;
  const path = ref.part ? pathBetween(whole, ...ref.part) : whole;
  return ref.reversed ? pathReverse(path) : path;
}

/** Arc length of one walked edge. */
export function refLength(panels: readonly Panel[], { panel, edge, part }: EdgeRef): Mm {
  return part ? part[1] - part[0] : pathLength(edgeOf(panelById(panels, panel), edge).path);
}

/** Arc length of a run of edges. */
export function refsLength(panels: readonly Panel[], refs: readonly EdgeRef[]): Mm {
  return refs.reduce((sum, ref) => sum + refLength(panels, ref), 0);
}

/** Panels of one leg: those both legs share, and those cut for this one alone. */
export function legOf(panels: readonly Panel[], leg: "left" | "right"): readonly Panel[] {
  return panels.filter((panel) => panel.half === "both" || panel.half === leg);
}

/** How many legs, or halves of the garment, a panel serves. */
export const halvesOf = (panel: Panel): 1 | 2 => (panel.half === "both" ? 2 : 1);

/** The same run of edges walked from its other end. */
export const walkedBack = (refs: readonly EdgeRef[]): EdgeRef[] =>
  [...refs].reverse().map((ref) => ({ ...ref, reversed: !ref.reversed }));

/** Waist edges of one leg from the centre back to the centre front. */
export function waistWalk(panels: readonly Panel[], leg: "left" | "right"): EdgeRef[] {
  const of = (root: "front" | "back"): EdgeRef[] =>
    legOf(panels, leg)
      .filter((panel) => isOf(panel.id, root))
      .flatMap((panel) => rimEdges(panel, "waist").map((edge) => along(panel.id, edge.id)));
  return [...of("back"), ...walkedBack(of("front"))];
}
