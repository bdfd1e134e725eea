import { phrase } from "../../words";
import { boxOf, type Point } from "../../geometry";
import { type Mm, joined, type Words } from "../../units";
import { geometrySum } from "./geometrySum";
import type { PagePlan } from "./pagePlan";
import { INK, type Pen } from "./pen";
import { FAINT } from "./pdfPiece";
import type { PrintSet } from "./sheet";
import { boxPoints, MARGIN } from "./tiles";

/** The first page: two squares to measure, what lies on which page, and what must be said before cutting. */
export function drawMap(
  pen: Pen,
  set: PrintSet,
  { sheet, tiles }: PagePlan,
  { width, height, label }: { readonly width: Mm; readonly height: Mm; readonly label: string },
): void {
  pen.text(set.title, [MARGIN, MARGIN + 6], 6);
  pen.text(
    phrase`${tiles.length + 1} pages on ${label}. Print at 100 percent, without "fit to page". Measure both squares before you cut.`,
    [MARGIN, MARGIN + 13],
    3.2,
  );
  pen.text(
    phrase`Geometry ${geometrySum(sheet.placed.map((p) => p.piece))}: prints with the same sum are of the same pattern.`,
    [MARGIN, MARGIN + 17.5],
    2.6,
    { color: FAINT },
  );
  const top = MARGIN + 22;
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
  const say = (text: Words, size: Mm): void => {
    for (const row of pen.wrapped(text, size, room)) {
      if (y > height - MARGIN) return;
      pen.text(row, [left, y], size);
      y += size * 1.45;
    }
    y += 1;
  };
  for (const { piece } of sheet.placed) say(joined(piece.label.slice(0, 2), ": "), 3);
  if (set.notices.length > 0) say("Before you cut:", 3.4);
  for (const notice of set.notices) say(notice, 3);
}
