import { boxOf, convexHull, type Box, type Point } from "../../geometry";
import type { Piece } from "../../pieces";
import type { Mm } from "../../units";

/** A piece as it is printed: in one size, or with all sizes' outlines over each other in its own frame. */
export interface PrintPiece extends Piece {
  readonly sizes?: readonly {
    readonly name: string;
    readonly cutLine: readonly Point[];
    readonly seamLine: readonly Point[];
  }[];
}

/** What leaves the program on paper or as a drawing: the pieces, and what the cutter must be told with them. */
export interface PrintSet {
  readonly title: string;
  readonly pieces: readonly PrintPiece[];
  /** Open faults, estimates and undecided matters, as sentences. They are printed and never block. */
  readonly notices: readonly string[];
}

/** A piece laid on the sheet: `place` takes its own frame to the sheet's. */
export interface PlacedPiece {
  readonly piece: PrintPiece;
  readonly place: (p: Point) => Point;
  readonly turned: boolean;
  readonly box: Box;
}

export interface Sheet {
  readonly placed: readonly PlacedPiece[];
  readonly width: Mm;
  readonly height: Mm;
}

const GAP: Mm = 15;

/** What of the paper a piece takes: its cut line, or what all its sizes take together. */
export const extentOf = ({ cutLine, sizes }: PrintPiece): readonly Point[] =>
  sizes ? convexHull(sizes.flatMap((s) => s.cutLine)) : cutLine;

/** A piece with its grain upright, its corner at the origin; a strip longer than tall is stood on end. */
export function stoodUp(piece: PrintPiece): {
  readonly turned: boolean;
  readonly stand: (p: Point) => Point;
  readonly width: Mm;
  readonly height: Mm;
} {
  const own = boxOf(extentOf(piece));
  const [wide, tall] = [own.right - own.left, own.bottom - own.top];
  const turned = wide > 2 * tall;
  return turned
    ? { turned, stand: ([x, y]) => [own.bottom - y, x - own.left], width: tall, height: wide }
    : { turned, stand: ([x, y]) => [x - own.left, y - own.top], width: wide, height: tall };
}

/** A sheet of pieces, as wide and as tall as they reach. */
export function sheetOf(placed: readonly PlacedPiece[]): Sheet {
  return {
    placed,
    width: Math.max(0, ...placed.map(({ box }) => box.right)),
    height: Math.max(0, ...placed.map(({ box }) => box.bottom)),
  };
}

/** How pieces follow each other on a sheet. */
interface Following {
  /** Where the next may begin after one that ends at `end`. */
  readonly next?: (end: Mm) => Mm;
  /** A row that would reach beyond this is broken off. */
  readonly within?: Mm;
}

/** Lays the pieces side by side with the grain upright, in one row or as many as the width takes. */
export function layOnSheet(
  pieces: readonly PrintPiece[],
  { next = (end) => end + GAP, within = Infinity }: Following = {},
): Sheet {
  let [end, top, deepest]: [Mm | null, Mm, Mm] = [null, 0, 0];
  return sheetOf(
    pieces.map((piece): PlacedPiece => {
      const { turned, stand, width } = stoodUp(piece);
      if (end !== null && next(end) + width > within) [end, top] = [null, deepest + GAP];
      const [left, down] = [end === null ? 0 : next(end), top];
      const place = (p: Point): Point => {
        const [x, y] = stand(p);
        return [left + x, down + y];
      };
      const box = boxOf(extentOf(piece).map(place));
      end = box.right;
      deepest = Math.max(deepest, box.bottom);
      return { piece, place, turned, box };
    }),
  );
}

/** Where a label's lines start: beside the grain line, a third of the way down it. */
export function labelPlace(piece: Piece): Point {
  const [a, b] = piece.grain;
  return [a[0] + (b[0] - a[0]) * 0.3, a[1] + (b[1] - a[1]) * 0.3];
}
