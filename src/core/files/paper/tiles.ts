import { chordsCross, polygonSections, type Box, type Point } from "../../geometry";
import type { Mm } from "../../units";
import type { PAGE_JOINS, PAGE_ORDERS } from "./options";
import { extentOf, layOnSheet, type PrintPiece, type PlacedPiece, type Sheet } from "./sheet";

/** Home printers leave about this much white. */
export const MARGIN: Mm = 10;
/** Neighbouring pages that are glued repeat this much. */
const OVERLAP: Mm = 10;

/** A page's ground: how much of the sheet it shows, and how much of that its neighbour shows too. */
export interface Ground {
  readonly width: Mm;
  readonly height: Mm;
  readonly overlap: Mm;
}

/** The ground of a page within its margins. */
export const groundOf = (
  paper: { readonly width: Mm; readonly height: Mm },
  join: (typeof PAGE_JOINS)[number],
): Ground => ({
  width: paper.width - 2 * MARGIN,
  height: paper.height - 2 * MARGIN,
  overlap: join === "overlap" ? OVERLAP : 0,
});

/** A page of a tiled sheet: rows are letters, columns numbers. */
export interface Tile {
  readonly column: number;
  readonly row: number;
  readonly name: string;
  readonly window: Box;
}

export const boxPoints = (b: Box): Point[] => [
  [b.left, b.top],
  [b.right, b.top],
  [b.right, b.bottom],
  [b.left, b.bottom],
];

export const meets = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** True where some of a piece, and not only of the box around it, lies within a window. */
export function lies({ piece, place, box }: PlacedPiece, window: Box): boolean {
  if (!meets(box, window)) return false;
  const outline = extentOf(piece).map(place);
  const isWithin = ([x, y]: Point): boolean =>
    x > window.left && x < window.right && y > window.top && y < window.bottom;
  if (outline.some(isWithin)) return true;
  const corners = boxPoints(window);
  if (corners.some(([x, y]) => polygonSections(outline, y).some(([left, right]) => x > left && x < right))) return true;
  return outline.some((p, i) =>
    corners.some((a, k) =>
      chordsCross(p, outline[(i + 1) % outline.length] as Point, a, corners[(k + 1) % 4] as Point),
    ),
  );
}

/** Letters of a row: A to Z, then AA, AB. */
const rowName = (row: number): string =>
  (row < 26 ? "" : String.fromCharCode(64 + Math.floor(row / 26))) + String.fromCharCode(65 + (row % 26));

/** The pages that hold something, in the order asked for. No page is empty. */
export function tilesOf(
  sheet: Sheet,
  { width, height, overlap }: Ground,
  order: (typeof PAGE_ORDERS)[number] = "rows",
): readonly Tile[] {
  const [stepX, stepY] = [width - overlap, height - overlap];
  const columns = Math.max(1, Math.ceil((sheet.width - overlap) / stepX));
  const rows = Math.max(1, Math.ceil((sheet.height - overlap) / stepY));
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [left, top] = [column * stepX, row * stepY];
      const window = { left, top, right: left + width, bottom: top + height };
      if (sheet.placed.some((p) => lies(p, window)))
        tiles.push({ column, row, name: `${rowName(row)}${column + 1}`, window });
    }
  return order === "rows" ? tiles : tiles.sort((a, b) => a.column - b.column || a.row - b.row);
}

/** Room between a piece and the page before it that its neighbour shows too. */
const CLEAR: Mm = 1;

/** Every piece on pages of its own: each begins where a column of pages does, clear of the one before. */
export function apartOnSheet(pieces: readonly PrintPiece[], { width, overlap }: Ground): Sheet {
  const step = width - overlap;
  return layOnSheet(pieces, { next: (end) => (Math.floor((end - CLEAR) / step) + 1) * step + overlap + CLEAR });
}
