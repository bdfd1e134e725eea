import type { Point } from "../../geometry";
import type { Mm } from "../../units";
import type { Fold } from "../schema";

/** Cloth that pieces are laid on. */
export interface LayCloth {
  readonly width: Mm;
  readonly fold: Fold;
  /** Folded lengthwise so far from its edge; null to the middle. */
  readonly foldWidth: Mm | null;
  /** One-way: no piece may be turned end for end. */
  readonly nap: boolean;
  /** What stays between two pieces. */
  readonly gap: Mm;
  /** Lines that come again along it: how far apart, and the first from the cut end; null without. */
  readonly repeat: { readonly along: Mm; readonly first: Mm } | null;
  /** The outline of a remnant, along and across; it is laid open. Left out, the cloth is a whole strip. */
  readonly outline?: readonly Point[];
}

/** Cloth folded otherwise, or of another width: a whole strip, folded to its middle where it is folded. */
export function clothOtherwise(cloth: LayCloth, other: Partial<Pick<LayCloth, "width" | "fold">>): LayCloth {
  const { outline: _, ...strip } = cloth;
  return { ...strip, foldWidth: null, ...other };
}

/** A piece on the cloth. */
export interface Placement {
  readonly piece: string;
  /** Whose it is where several garments lie on one cloth: 0 is the first. */
  readonly bundle: number;
  /** Which of its copies, from 1. */
  readonly copy: number;
  /** Its middle along the cloth from the cut end, and across it from the edge or the fold that faces the cutter. */
  readonly x: Mm;
  readonly y: Mm;
  /** How it is turned, by number. */
  readonly turn: number;
  readonly outline: readonly Point[];
  /** Cut through so many layers. */
  readonly layers: 1 | 2;
  /** A single cut through both layers leaves one to spare. */
  readonly spare: number;
  /** Its edge lies on the fold. */
  readonly onFold: boolean;
  /** Cut once the cloth has been opened out. */
  readonly opened: boolean;
}

/** A lay on cloth. */
export interface ClothLay {
  /** Along the cloth, from the cut end to the end of the last piece; of all layers. */
  readonly length: Mm;
  /** How far the folded part reaches along the cloth, and across it; the whole where it is open. */
  readonly foldedLength: Mm;
  readonly drawnWidth: Mm;
  readonly placements: readonly Placement[];
  /** Share of the cloth that pieces take. */
  readonly utilisation: number;
  /** No lay of these pieces on this cloth is shorter. */
  readonly bound: Mm;
  /** How pieces of which there is only one are cut where the cloth is folded. */
  readonly singles: "none" | "both-layers" | "opened" | "beyond";
}

export interface LayFound {
  readonly lay: ClothLay;
  readonly steps: number;
}

/** How wide cloth lies: as far as it is folded lengthwise, else over its whole width. */
export const stripWidth = ({ width, fold, foldWidth }: Pick<LayCloth, "width" | "fold" | "foldWidth">): Mm =>
  fold === "lengthwise" ? (foldWidth ?? width / 2) : width;
