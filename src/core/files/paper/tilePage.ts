import { phrase } from "../../words";
import type { Box, Point } from "../../geometry";
import type { PrintOptions } from "./options";
import type { PagePlan } from "./pagePlan";
import type { Pen, Stroke } from "./pen";
import { cross, drawLabel, drawPiece, FAINT } from "./pdfPiece";
import type { PrintSet } from "./sheet";
import { boxPoints, MARGIN, meets, type Tile } from "./tiles";

/** One page: its share of the pieces, its frame, and how its neighbours are joined to it. */
export function drawTile(
  pen: Pen,
  set: PrintSet,
  { sheet, tiles, page, ground }: PagePlan,
  tile: Tile,
  options: PrintOptions,
): void {
  const { width, height } = page;
  const { overlap } = ground;
  const frame: Box = { left: MARGIN, top: MARGIN, right: width - MARGIN, bottom: height - MARGIN };
  const shift = (p: Point): Point => [p[0] - tile.window.left + MARGIN, p[1] - tile.window.top + MARGIN];
  pen.within(frame, () => {
    for (const placed of sheet.placed) {
      if (!meets(placed.box, tile.window)) continue;
      drawPiece(pen, placed, (p) => shift(placed.place(p)), options);
      drawLabel(pen, placed, tile.window, shift, frame, overlap);
    }
  });
  pen.run(boxPoints(frame), { color: FAINT, width: 0.2, close: true });
  const has = (column: number, row: number): boolean => tiles.some((t) => t.column === column && t.row === row);
  const glue: Stroke = { color: FAINT, width: 0.2, dash: [3, 2] };
  // The line on which the next page's frame is laid, with a mark in its middle to meet.
  if (has(tile.column + 1, tile.row)) {
    const x = frame.right - overlap;
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
    const y = frame.bottom - overlap;
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
    phrase`${set.title}, page ${tile.name}. ${overlap > 0 ? "Lay the next page's frame on the dashed line." : "Trim to the frame and lay the pages edge to edge."}`,
    [frame.left, frame.bottom + 5],
    2.8,
    { color: FAINT },
  );
}
