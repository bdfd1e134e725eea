import { edgeOf, type Panel } from "./panel";
import { type Root } from "./identity";
import { pathBetween, pathLength, pathReverse, type Path } from "../geometry";
import type { Mm, Words } from "../units";

/** An edge of a panel, walked along its outline or against it. */
export interface EdgeRef {
  readonly panel: string;
  readonly edge: string;
  readonly reversed: boolean;
  /** Only this stretch of the edge, from and to, in the edge's own direction. */
  readonly part?: readonly [Mm, Mm];
}

/** Which seam of the body a join is; `cut` is any other, which a cut or a finish has made. */
export type JoinKind = "side" | "inseam" | "centre" | "waist" | "shoulder" | "armhole" | "neck" | "cut";

/** How the longer edge of a join is brought to the shorter one's length. */
export type JoinHow = "equal" | "eased" | "gathered" | "pleated";

/**
 * Two runs of edges that are sewn together, both listed and walked from their shared start. A join holds for both
 * legs, or for the one it names.
 */
export interface Join {
  readonly id: string;
  readonly label: Words;
  readonly kind: JoinKind;
  /** The move or finish that made it; null for a seam of the draft. */
  readonly by: string | null;
  /** Whether a seam that is there in front and behind runs in front or behind. */
  readonly root?: Root;
  readonly how: JoinHow;
  readonly leg: "both" | "left" | "right";
  /** The seam of which this is the left leg's or the right one's. */
  readonly twin?: string;
  readonly a: readonly EdgeRef[];
  readonly b: readonly EdgeRef[];
}

/** Panels and the joins they are sewn by: one component of a garment, or all of it. */
export interface Pattern {
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
}

/** An edge walked along its outline. */
export const along = (panel: string, edge: string): EdgeRef => ({ panel, edge, reversed: false });
/** An edge walked against its outline. */
export const against = (panel: string, edge: string): EdgeRef => ({ panel, edge, reversed: true });

/** The panel with this id; throws when there is none. */
export function panelById(panels: readonly Panel[], id: string): Panel {
  const found = panels.find((panel) => panel.id === id);
  if (!found) throw new RangeError(`there is no panel ${id}`);
  return found;
}

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
