/** What a garment is made of: legs, a bodice, and the parts that are sewn to them. */
export type Component = "legs" | "bodice" | "part";

/** Where on the body a panel lies. */
export type Root = "front" | "back" | "side";

/** What a part is, or a panel of the legs that is neither front nor back. */
export type PartKind =
  | "waistband"
  | "contour-band"
  | "facing"
  | "hem-facing"
  | "cuff"
  | "belt"
  | "belt-loops"
  | "trim"
  | "fly-facing"
  | "fly-shield"
  | "pocket-hip"
  | "pocket-bag"
  | "pocket-facing"
  | "patch"
  | "side-panel"
  | "flounce"
  | "sleeve"
  | "godet";

/** Which part of the panel that was cut a panel is. */
export type CutPart = "above" | "below" | "centre" | "side" | "left" | "right" | "main" | "off";

/** One cut that a panel went through: the panel that was cut, the move or finish that cut it, and which part this is. */
export interface CutMark {
  readonly from: string;
  readonly by: string;
  readonly part: CutPart;
  /** The legs differ because the body does: they are not held against each other. */
  readonly asWorn?: true;
}

/** What a panel is, whatever it is called. */
export interface Identity {
  readonly component: Component;
  /** Null for what lies neither in front, behind, nor at the side. */
  readonly root: Root | null;
  /** The cuts that made it, in their order; empty for a panel that is whole. */
  readonly cuts: readonly CutMark[];
  readonly part: PartKind | null;
  /** The panel a part is made for. */
  readonly madeFor: string | null;
  /** The style's panel that this is what is left of, after a band or pocket was cut from it. */
  readonly leftOf: string | null;
}

/** A panel of a component as it is drawn. */
export const wholePanelOf = (component: Component, root: Root | null, part: PartKind | null = null): Identity => ({
  component,
  root,
  cuts: [],
  part,
  madeFor: null,
  leftOf: null,
});

/** A part that a finish adds. */
export const partOf = (part: PartKind, more: Partial<Pick<Identity, "root" | "madeFor">> = {}): Identity => ({
  ...wholePanelOf("part", null, part),
  ...more,
});

/** True for a panel that serves both legs and is what it was drawn as, though something was cut off it or let in. */
export const isMain = ({ is }: Identified): boolean => is.cuts.every((cut) => cut.part === "main");

/** What a panel is once it was cut. */
export const afterCut = (is: Identity, mark: CutMark): Identity => ({ ...is, cuts: [...is.cuts, mark] });

interface Identified {
  readonly id: string;
  readonly is: Identity;
}

/** True for the front or back of the legs and for every panel that was cut from it. */
export const isOf = ({ is }: Identified, root: Root): boolean => is.component === "legs" && is.root === root;

/** True for the front or back of a bodice, or for both where no root is named; its facings are parts. */
export const isBodice = ({ is }: Pick<Identified, "is">, root: Root | null = null): boolean =>
  is.component === "bodice" && (root === null || is.root === root);

/** True for the panel with this id and for every panel that was cut from it. */
export const cameFrom = ({ id, is }: Identified, from: string): boolean =>
  id === from || is.leftOf === from || is.cuts.some((cut) => cut.from === from);

/** False for a top: a garment of which no panel is a leg's. */
export const hasLegs = (panels: readonly Pick<Identified, "is">[]): boolean =>
  panels.some(({ is }) => is.component === "legs");

/** True for a panel that the last of its cuts, made by this move or finish, has made such a part. */
export const isCutTo = ({ is }: Identified, by: string, part: CutPart): boolean => {
  const last = is.cuts.at(-1);
  return last?.by === by && last.part === part;
};
