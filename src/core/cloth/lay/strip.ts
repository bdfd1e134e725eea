import type { Mm } from "../../units";
import { Pairs } from "./pairs";
import type { LayShape } from "./shape";

/** One piece to be laid. */
export interface LayItem {
  /** Number of its shape. */
  readonly shape: number;
  /** Turns it may lie in, by number; the first is as it was drawn. */
  readonly turns: readonly number[];
  /** Its middle across the cloth, where that is settled: its edge lies on the fold. One for each of `turns`. */
  readonly across?: readonly Mm[];
  /** A mark of it lies on a line that comes again along the cloth; its place from the middle, for each of `turns`. */
  readonly marks?: { readonly every: Mm; readonly first: Mm; readonly at: readonly Mm[] };
  /** It lies where it lies: locked by hand, or cut already. Its middle, and its turn. */
  readonly fixed?: Laid;
  /** No piece, but what is missing of the cloth: fixed, and the lay does not reach over it. */
  readonly isMissing?: true;
}

/** A piece as it lies: its middle along and across the cloth, and its turn. */
export interface Laid {
  readonly x: Mm;
  readonly y: Mm;
  readonly turn: number;
}

/** A lay of nearly the same pieces to begin like, and the length these are to come to. */
export interface Like {
  readonly laid: readonly Laid[];
  readonly length: Mm;
}

/** Pieces to be laid on cloth so wide, as long as it takes. */
export interface Strip {
  readonly width: Mm;
  readonly gap: Mm;
  readonly shapes: readonly LayShape[];
  readonly items: readonly LayItem[];
}

/** A lay: each item's place, and the length it takes. */
export interface Lay {
  readonly length: Mm;
  readonly laid: readonly Laid[];
}

/** A strip as the search works on it: what shapes forbid each other, and where each may lie across. */
export interface Task {
  readonly strip: Strip;
  readonly pairs: Pairs;
  /** Items that are to be laid; the others are fixed. */
  readonly free: readonly number[];
  readonly fixed: readonly number[];
}

export const taskOf = (strip: Strip, pairs = new Pairs(strip.shapes)): Task => ({
  strip,
  pairs,
  free: strip.items.flatMap((item, i) => (item.fixed ? [] : [i])),
  fixed: strip.items.flatMap((item, i) => (item.fixed ? [i] : [])),
});

export const shapeOf = ({ strip }: Task, item: number): LayShape =>
  strip.shapes[(strip.items[item] as LayItem).shape] as LayShape;

/** No lay is shorter: the area over the width, or the longest piece in its shortest turn. */
export function boundOf({ width, items, shapes }: Strip): Mm {
  const of = (item: LayItem): LayShape => shapes[item.shape] as LayShape;
  // A piece on the fold is drawn as half, and lies as half.
  const pieces = items.filter((item) => !item.isMissing);
  const area = pieces.reduce((sum, item) => sum + of(item).area, 0);
  return Math.max(area / width, ...pieces.map((item) => 2 * of(item).own[0]));
}

/** Pieces that are wider than the cloth in every turn they may lie in. */
export const tooWide = ({ width, items, shapes }: Strip): readonly number[] =>
  items.flatMap((item, i) => {
    if (item.isMissing) return [];
    const { own } = shapes[item.shape] as LayShape;
    const needed = item.across ? Math.min(...item.across) + own[1] : 2 * own[1];
    return needed > width + 1e-6 ? [i] : [];
  });
