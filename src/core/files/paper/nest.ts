import { nested } from "../../cloth";
import { boxOf, type Point } from "../../geometry";
import type { Mm } from "../../units";
import { extentOf, sheetOf, stoodUp, type PrintPiece, type PlacedPiece, type Sheet } from "./sheet";

/** Pieces on paper keep this far from each other: room for the scissors. */
const GAP: Mm = 8;

/**
 * Lays pieces into each other on paper so wide, as short as a short search finds; a piece may stand on its head. Null
 * where one is wider than the paper. Always the same for the same pieces.
 */
export function nestOnSheet(pieces: readonly PrintPiece[], width: Mm): Sheet | null {
  const stood = pieces.map((piece) => ({ piece, ...stoodUp(piece) }));
  // The search's strip runs along x: down the paper.
  const laid = nested(
    stood.map(({ piece, stand }) =>
      extentOf(piece).map((p): Point => {
        const [x, y] = stand(p);
        return [y, x];
      }),
    ),
    width,
    GAP,
  );
  return (
    laid &&
    sheetOf(
      stood.map(({ piece, turned, stand, width: wide, height: tall }, i): PlacedPiece => {
        const { along, across, isTurned } = laid[i] as (typeof laid)[number];
        const place = (p: Point): Point => {
          const [x, y] = stand(p);
          return isTurned
            ? [across + wide / 2 - x, along + tall / 2 - y]
            : [across - wide / 2 + x, along - tall / 2 + y];
        };
        return { piece, place, turned, box: boxOf(extentOf(piece).map(place)) };
      }),
    )
  );
}
