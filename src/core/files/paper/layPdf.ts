import { phrase } from "../../words";
import { rgb } from "pdf-lib";
import { FOLD_WORDS, type ClothLay, type LayCloth, type Placement } from "../../cloth";
import { boxOf, type Box, type Point } from "../../geometry";
import { formatLength, MM_PER, type Mm, type Tape } from "../../units";
import { fileStem, type HandedFile } from "../handedFile";
import { newBook } from "./book";
import { PAPERS, type SheetName } from "./papers";
import { INK, QUIET, type Pen } from "./pen";
import { boxPoints, MARGIN } from "./tiles";

const FILL = rgb(0.93, 0.93, 0.88);
/** A strip's page shows so much of the cloth's length, and repeats so much of the page before. */
const STRIP: { readonly shows: Mm; readonly repeats: Mm } = { shows: 1000, repeats: 100 };

/** A lay with its words. */
interface Told {
  readonly title: string;
  readonly lay: ClothLay;
  readonly cloth: LayCloth;
  /** Names of pieces by id. */
  readonly names: ReadonlyMap<string, string>;
  readonly tape: Tape;
}

/**
 * A lay on paper: the whole on one page, then a strip to follow at the table, a metre a page, with lengths from the cut
 * end. Pages lie across; scales are stated on each.
 */
export async function layPdf(told: Told, paper: SheetName): Promise<HandedFile> {
  const { width: tall, height: wide } = PAPERS[paper];
  const book = await newBook(told.title);
  const { lay } = told;
  const whole: Box = { left: 0, top: 0, right: lay.length, bottom: lay.drawnWidth };
  const words = phrase`${told.title}: ${formatLength(lay.length, told.tape)} of cloth ${formatLength(told.cloth.width, told.tape)} wide, ${FOLD_WORDS[told.cloth.fold]}, ${Math.round(lay.utilisation * 100)} % used`;
  drawPart(book.page(wide, tall), told, whole, words, { width: wide, height: tall });
  const step = STRIP.shows - STRIP.repeats;
  const count = lay.length <= STRIP.shows ? 0 : Math.ceil((lay.length - STRIP.repeats) / step);
  for (let i = 0; i < count; i++) {
    const part = { ...whole, left: i * step, right: i * step + STRIP.shows };
    drawPart(
      book.page(wide, tall),
      told,
      part,
      phrase`${told.title}, strip ${i + 1} of ${count}, from ${formatLength(part.left, told.tape)} from the cut end`,
      { width: wide, height: tall },
    );
  }
  return { name: `${fileStem(told.title)}-lay-${paper}.pdf`, type: "application/pdf", bytes: await book.bytes() };
}

/** One page: a part of the cloth as large as the page takes it. */
function drawPart(
  pen: Pen,
  { lay, cloth, names, tape }: Told,
  part: Box,
  words: string,
  page: { readonly width: Mm; readonly height: Mm },
): void {
  const field: Box = { left: MARGIN, top: MARGIN + 12, right: page.width - MARGIN, bottom: page.height - MARGIN - 10 };
  const scale = Math.min(
    (field.right - field.left) / (part.right - part.left),
    (field.bottom - field.top) / (part.bottom - part.top),
  );
  // Across is counted from the edge or the fold that faces the cutter: upward on the page.
  const at = ([x, y]: Point): Point => [field.left + (x - part.left) * scale, field.top + (part.bottom - y) * scale];
  pen.text(words, [MARGIN, MARGIN + 4], 3.6);
  pen.text(phrase`Scale 1 : ${(1 / scale).toFixed(1)}. Arrows run from the cut end.`, [MARGIN, MARGIN + 9], 2.6, {
    color: QUIET,
  });
  const [x0, y0] = at([part.left, part.top]);
  const [x1, y1] = at([Math.min(part.right, lay.length), part.bottom]);
  const cloths: Box = { left: x0, top: y1, right: x1, bottom: y0 };
  pen.within({ left: x0 - 1, top: y1 - 1, right: Math.max(x1, field.right) + 1, bottom: y0 + 1 }, () => {
    for (const placed of lay.placements) drawPlaced(pen, placed, at, names, cloth);
    if (cloth.outline) pen.part(cloth.outline.map(at), { color: QUIET, width: 0.3, close: true });
  });
  if (!cloth.outline) pen.run(boxPoints(cloths), { color: QUIET, width: 0.3, close: true });
  if (cloth.fold === "lengthwise" && lay.foldedLength > part.left)
    pen.text("fold", [x0 + 2, y0 - 1.5], 2.4, { color: QUIET });
  drawLengths(pen, part, lay.length, at, tape, scale);
}

function drawPlaced(
  pen: Pen,
  placed: Placement,
  at: (p: Point) => Point,
  names: ReadonlyMap<string, string>,
  cloth: LayCloth,
): void {
  const outline = placed.outline.map(at);
  pen.part(outline, { color: INK, width: 0.4, close: true });
  const box = boxOf(outline);
  const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const name = names.get(placed.piece) ?? placed.piece;
  const note = placed.onFold ? "on the fold" : cloth.fold !== "open" && placed.layers === 2 ? "2 layers" : "";
  const rows = [name, note].filter(Boolean);
  const size = [3, 2.4, 1.9, 1.5].find((s) => pen.widthOf(name, s) < box.right - box.left - 2) ?? 1.5;
  const wide = Math.max(...rows.map((r) => pen.widthOf(r, size)));
  pen.fill(
    {
      left: cx - wide / 2 - 0.6,
      top: cy - size,
      right: cx + wide / 2 + 0.6,
      bottom: cy - size + rows.length * size * 1.35 + 0.6,
    },
    FILL,
  );
  rows.forEach((row, i) => pen.text(row, [cx - pen.widthOf(row, size) / 2, cy + i * size * 1.35], size));
}

/** Lengths from the cut end along the lower edge. */
function drawLengths(pen: Pen, part: Box, length: Mm, at: (p: Point) => Point, tape: Tape, scale: number): void {
  const step = (tape === "in" ? 6 * MM_PER.in : 100) * (scale < 0.08 ? 2 : 1);
  for (let x = Math.ceil(part.left / step) * step; x <= Math.min(part.right, length) + 1e-6; x += step) {
    const [px, py] = at([x, part.top]);
    pen.run(
      [
        [px, py],
        [px, py + 2.5],
      ],
      { color: INK, width: 0.25 },
    );
    const text = formatLength(x, tape, { withUnit: false });
    pen.text(text, [px - pen.widthOf(text, 2.4) / 2, py + 6], 2.4);
  }
}
