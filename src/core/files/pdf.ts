import { PDFDocument, StandardFonts } from "pdf-lib";
import { boxOf, chordsCross, polygonSections, type Box, type Point } from "../geometry";
import type { Mm } from "../units";
import { INK, Pen, PT_PER_MM, type Stroke } from "./pen";
import { cross, drawLabel, drawPiece, FAINT, OVERLAP } from "./pdfPiece";
import { layOnSheet, type PlacedPiece, type PrintSet, type Sheet } from "./sheet";

export type Paper = "a4" | "letter";

export const PAPERS: Readonly<Record<Paper, { readonly label: string; readonly width: Mm; readonly height: Mm }>> = {
  a4: { label: "A4", width: 210, height: 297 },
  letter: { label: "Letter", width: 215.9, height: 279.4 },
};

/** Home printers leave about this much white. */
const MARGIN: Mm = 10;

interface Tile {
  readonly column: number;
  readonly row: number;
  readonly name: string;
  readonly window: Box;
}

const boxPoints = (b: Box): Point[] => [
  [b.left, b.top],
  [b.right, b.top],
  [b.right, b.bottom],
  [b.left, b.bottom],
];

const meets = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** True where some of a piece, and not only of the box around it, lies within a window. */
function lies({ piece, place, box }: PlacedPiece, window: Box): boolean {
  if (!meets(box, window)) return false;
  const outline = piece.cutLine.map(place);
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

/** The pages that hold something, row by row: rows are letters, columns numbers. */
export function tilesOf(sheet: Sheet, paper: Paper): Tile[] {
  const width = PAPERS[paper].width - 2 * MARGIN;
  const height = PAPERS[paper].height - 2 * MARGIN;
  const [stepX, stepY] = [width - OVERLAP, height - OVERLAP];
  const columns = Math.max(1, Math.ceil((sheet.width - OVERLAP) / stepX));
  const rows = Math.max(1, Math.ceil((sheet.height - OVERLAP) / stepY));
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const window = {
        left: column * stepX,
        top: row * stepY,
        right: column * stepX + width,
        bottom: row * stepY + height,
      };
      if (!sheet.placed.some((p) => lies(p, window))) continue;
      tiles.push({ column, row, name: `${String.fromCharCode(65 + row)}${column + 1}`, window });
    }
  }
  return tiles;
}

/**
 * The print set at 1:1: a map page with two test squares, then one page a tile with frame, overlap and name. Every
 * length on the pages is true. Returns the bytes of the file.
 */
export async function writePdf(set: PrintSet, paper: Paper): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle(set.title);
  doc.setProducer("Eland");
  doc.setCreator("Eland");
  const font = await doc.embedFont(StandardFonts.Helvetica);
  const sheet = layOnSheet(set.pieces);
  const tiles = tilesOf(sheet, paper);
  const { width, height } = PAPERS[paper];
  const newPen = (): Pen => new Pen(doc.addPage([width * PT_PER_MM, height * PT_PER_MM]), height, font);
  drawMap(newPen(), set, sheet, tiles, paper);
  for (const tile of tiles) drawTile(newPen(), set, sheet, tile, tiles, paper);
  return doc.save();
}

function drawMap(pen: Pen, set: PrintSet, sheet: Sheet, tiles: readonly Tile[], paper: Paper): void {
  const { width, height, label } = PAPERS[paper];
  pen.text(set.title, [MARGIN, MARGIN + 6], 6);
  pen.text(
    `${tiles.length + 1} pages ${label}. Print at 100 percent, without "fit to page". Measure both squares before you cut.`,
    [MARGIN, MARGIN + 13],
    3.2,
  );
  const top = MARGIN + 18;
  const square = (y: Mm, size: Mm, text: string): void => {
    pen.run(boxPoints({ left: MARGIN, top: y, right: MARGIN + size, bottom: y + size }), {
      color: INK,
      width: 0.3,
      close: true,
    });
    pen.text(text, [MARGIN + 4, y + 8], 4);
  };
  square(top, 100, "10 cm test square");
  square(top + 104, 101.6, "4 in test square");
  const left = MARGIN + 108;
  const room = width - MARGIN - left;
  const extent = boxOf(tiles.flatMap((tile) => boxPoints(tile.window)));
  const scale = Math.min(room / Math.max(extent.right, 1), 110 / Math.max(extent.bottom, 1));
  const onMap = (p: Point): Point => [left + p[0] * scale, top + p[1] * scale];
  for (const tile of tiles) {
    pen.run(boxPoints(tile.window).map(onMap), { color: FAINT, width: 0.15, close: true });
  }
  for (const placed of sheet.placed) {
    pen.run(
      placed.piece.cutLine.map((p) => onMap(placed.place(p))),
      { color: INK, width: 0.35, close: true },
    );
  }
  for (const tile of tiles) {
    const [x, y] = onMap([tile.window.left, tile.window.top]);
    pen.text(tile.name, [x + 1, y + 3.4], 2.6, { color: FAINT });
  }
  let y = top + extent.bottom * scale + 8;
  const say = (text: string, size: Mm): void => {
    for (const row of pen.wrapped(text, size, room)) {
      if (y > height - MARGIN) return;
      pen.text(row, [left, y], size);
      y += size * 1.45;
    }
    y += 1;
  };
  for (const { piece } of sheet.placed) say(piece.label.slice(0, 2).join(": "), 3);
  if (set.notices.length > 0) say("Before you cut:", 3.4);
  for (const notice of set.notices) say(notice, 3);
}

function drawTile(pen: Pen, set: PrintSet, sheet: Sheet, tile: Tile, tiles: readonly Tile[], paper: Paper): void {
  const { width, height } = PAPERS[paper];
  const frame: Box = { left: MARGIN, top: MARGIN, right: width - MARGIN, bottom: height - MARGIN };
  const shift = (p: Point): Point => [p[0] - tile.window.left + MARGIN, p[1] - tile.window.top + MARGIN];
  pen.within(frame, () => {
    for (const placed of sheet.placed) {
      if (!meets(placed.box, tile.window)) continue;
      drawPiece(pen, placed, (p) => shift(placed.place(p)));
      drawLabel(pen, placed, tile.window, shift, frame);
    }
  });
  pen.run(boxPoints(frame), { color: FAINT, width: 0.2, close: true });
  const has = (column: number, row: number): boolean => tiles.some((t) => t.column === column && t.row === row);
  const glue: Stroke = { color: FAINT, width: 0.2, dash: [3, 2] };
  // The line on which the next page's frame is laid, with a mark in its middle to meet.
  if (has(tile.column + 1, tile.row)) {
    const x = frame.right - OVERLAP;
    pen.run(
      [
        [x, frame.top],
        [x, frame.bottom],
      ],
      glue,
    );
    cross(pen, [x, (frame.top + frame.bottom) / 2]);
  }
  if (has(tile.column - 1, tile.row)) cross(pen, [frame.left, (frame.top + frame.bottom) / 2]);
  if (has(tile.column, tile.row + 1)) {
    const y = frame.bottom - OVERLAP;
    pen.run(
      [
        [frame.left, y],
        [frame.right, y],
      ],
      glue,
    );
    cross(pen, [(frame.left + frame.right) / 2, y]);
  }
  if (has(tile.column, tile.row - 1)) cross(pen, [(frame.left + frame.right) / 2, frame.top]);
  pen.text(tile.name, [frame.left + 3, frame.top + 9], 8, { color: FAINT });
  pen.text(
    `${set.title}, page ${tile.name}. Lay the next page's frame on the dashed line.`,
    [frame.left, frame.bottom + 5],
    2.8,
    { color: FAINT },
  );
}
