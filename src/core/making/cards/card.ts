import type { Point } from "../../geometry";
import { type Degrees, type Mm, type Sentence, type Words } from "../../units";

/** A stretch of an outline as it is drawn by hand: with the ruler, or a curve by its guide places. */
interface DrawnStretch {
  readonly kind: "line" | "curve";
  readonly from: Point;
  readonly to: Point;
  /** Places a curve passes: along the straight line between its ends, and off it to the left of the way. */
  readonly guides: readonly { readonly along: Mm; readonly off: Mm; readonly at: Point }[];
  readonly leaves: Point;
  readonly arrives: Point;
  readonly miss: Mm;
  readonly edge: string;
}

/** An edge as it lies on the paper. */
export interface LaidEdge {
  readonly edge: string;
  readonly points: readonly Point[];
}

/** How a card's act is drawn, for a program as for a hand; lengths in millimetres, right and down from the card's origin. */
export type Act =
  | { readonly kind: "sheet"; readonly wide: Mm; readonly tall: Mm; readonly origin: readonly [right: Mm, down: Mm] }
  | { readonly kind: "fold-cloth"; readonly pieces: readonly { readonly piece: string; readonly wide: Mm }[] }
  | { readonly kind: "begin"; readonly at: Point; readonly name: string }
  | DrawnStretch
  | { readonly kind: "inner"; readonly line: string; readonly points: readonly Point[] }
  | { readonly kind: "allowance"; readonly edge: string; readonly width: Mm; readonly widthEnd: Mm }
  | { readonly kind: "notch"; readonly at: Point; readonly double: boolean }
  | { readonly kind: "trace"; readonly edges: readonly LaidEdge[] }
  /** What a line of the worksheet does to a panel that is cut out, and how the panel lies before it. */
  | { readonly kind: "change"; readonly move: string; readonly before: readonly LaidEdge[] }
  | {
      /** The panel is cut along a line; where it is hinged it is not cut through. What it is opened by is measured. */
      readonly kind: "cut";
      readonly points: readonly Point[];
      readonly hinge: Point | null;
      readonly openings: readonly { readonly from: Point; readonly to: Point; readonly width: Mm }[];
    }
  | {
      /** An edge that is not redrawn: it turned about the origin by so much, clockwise as drawn, and moved on. */
      readonly kind: "moved";
      readonly edge: string;
      readonly degrees: Degrees;
      readonly by: Point;
      readonly from: Point;
      readonly to: Point;
    }
  /** The edges of the panel's outline from here on, in their order; whatever else is drawn is struck out. */
  | { readonly kind: "outline"; readonly edges: readonly string[] }
  /** The panel is turned over: right and left change places. */
  | { readonly kind: "turn-over" }
  /** The panel is no piece of its own any more. */
  | { readonly kind: "put-away" };

export const CARD_KINDS = ["paper", "cloth", "short"] as const;
export type CardKind = (typeof CARD_KINDS)[number];

/** One act at a time: what is drawn, from where, which way, how far. */
export interface Card {
  readonly n: number;
  /** The panel or piece it belongs to, by id and as it is called; empty where it is about all of them. */
  readonly panel: string;
  readonly name: Words;
  /** The drawing it belongs to: cards of one drawing are drawn over each other. */
  readonly drawing: string;
  readonly says: Sentence;
  readonly numbers: Readonly<Record<string, Mm>>;
  readonly act: Act;
  /** Places it marks, by letter. */
  readonly points: Readonly<Record<string, Point>>;
}

export type Draft = Omit<Card, "n">;

/** Numbers of a place, by how they are measured from the origin. */
export const numbersOf = ([right, down]: Point): Readonly<Record<string, Mm>> => ({ right, down });

/** O is the origin's own. */
const LETTERS = "ABCDEFGHIJKLMNPQRSTUVWXYZ";
/** The letter of a place by its number: A to Z, then A1. */
export const letter = (i: number): string =>
  `${LETTERS[i % LETTERS.length]}${i < LETTERS.length ? "" : Math.floor(i / LETTERS.length)}`;
