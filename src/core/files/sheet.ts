import { boxOf, type Box, type Point } from "../geometry";
import type { Piece } from "../pieces";
import type { Mm } from "../units";

/** What leaves the program on paper or as a drawing: the pieces, and what the cutter must be told with them. */
export interface PrintSet {
  readonly title: string;
  readonly pieces: readonly Piece[];
  /** Open faults, estimates and undecided matters, as sentences. They are printed and never block. */
  readonly notices: readonly string[];
}

/** A piece laid on the sheet: `place` takes its own frame to the sheet's. */
export interface PlacedPiece {
  readonly piece: Piece;
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

/** Lays the pieces side by side with the grain upright; a strip longer than tall is stood on end. */
export function layOnSheet(pieces: readonly Piece[]): Sheet {
  let x = 0;
  let height = 0;
  const placed = pieces.map((piece): PlacedPiece => {
    const own = boxOf(piece.cutLine);
    const turned = own.right - own.left > 2 * (own.bottom - own.top);
    const [left, top] = [x, 0];
    const place = (p: Point): Point =>
      turned
        ? [left + (own.bottom - p[1]), top + (p[0] - own.left)]
        : [left + (p[0] - own.left), top + (p[1] - own.top)];
    const box = boxOf(piece.cutLine.map(place));
    x = box.right + GAP;
    height = Math.max(height, box.bottom);
    return { piece, place, turned, box };
  });
  return { placed, width: Math.max(0, x - GAP), height };
}

/** Where a label's lines start: beside the grain line, a third of the way down it. */
export function labelPlace(piece: Piece): Point {
  const [a, b] = piece.grain;
  return [a[0] + (b[0] - a[0]) * 0.3, a[1] + (b[1] - a[1]) * 0.3];
}
