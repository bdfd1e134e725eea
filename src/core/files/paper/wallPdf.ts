import { phrase } from "../../words";
import { rgb } from "pdf-lib";
import { boxOf, pathFlatten, type Box, type Point } from "../../geometry";
import { cardsByDrawing, pictureOf, type Card } from "../../making";
import { tell, type Mm, type Tape, textOf } from "../../units";
import { fileStem, type HandedFile } from "../handedFile";
import { newBook } from "./book";
import { PAPERS, type SheetName } from "./papers";
import { INK, QUIET, type Pen } from "./pen";

const MARGIN: Mm = 10;
const GAP: Mm = 5;
const LIT = rgb(0.85, 0.42, 0.08);

/** A page of the given paper divided into equal fields, row by row. */
function fieldsOf(paper: SheetName, columns: number, rows: number): readonly Box[] {
  const { width, height } = PAPERS[paper];
  const [w, h] = [
    (width - 2 * MARGIN - (columns - 1) * GAP) / columns,
    (height - 2 * MARGIN - (rows - 1) * GAP) / rows,
  ];
  return Array.from({ length: columns * rows }, (_, i): Box => {
    const [left, top] = [MARGIN + (i % columns) * (w + GAP), MARGIN + Math.floor(i / columns) * (h + GAP)];
    return { left, top, right: left + w, bottom: top + h };
  });
}

/** Fields filled one after the other, a new page where one is full. */
async function inFields<T>(
  title: string,
  items: readonly T[],
  paper: SheetName,
  [columns, rows]: readonly [number, number],
  draw: (pen: Pen, field: Box, item: T) => void,
): Promise<Uint8Array> {
  const book = await newBook(title);
  const { width, height } = PAPERS[paper];
  const fields = fieldsOf(paper, columns, rows);
  let pen: Pen | null = null;
  items.forEach((item, i) => {
    if (i % fields.length === 0) pen = book.page(width, height);
    draw(pen as unknown as Pen, fields[i % fields.length] as Box, item);
  });
  return book.bytes();
}

const outline = ({ left, top, right, bottom }: Box): readonly Point[] => [
  [left, top],
  [right, top],
  [right, bottom],
  [left, bottom],
];

/** Chalk cards to hang on the wall, six to a page: the drawing so far, its new line heavy, and the words large. */
export async function wallPdf(
  title: string,
  cards: readonly Card[],
  tape: Tape,
  paper: SheetName,
): Promise<HandedFile> {
  const ofPanel = cardsByDrawing(cards);
  const bytes = await inFields(title, cards, paper, [2, 3], (pen, field, card) => {
    pen.run(outline(field), { color: QUIET, width: 0.2, close: true });
    const [left, room] = [field.left + 4, field.right - field.left - 8];
    pen.text(
      phrase`${textOf(card.name)}, card ${card.n} of ${cards.length}`.replace(/^, /, ""),
      [left, field.top + 6],
      2.8,
      {
        color: QUIET,
      },
    );
    const words = tell(card.says, tape);
    // Long words are set smaller: nothing is cut off.
    const size = [4.6, 4, 3.5, 3, 2.6].find((s) => pen.wrapped(words, s, room).length * s * 1.3 < 34) ?? 2.4;
    const rows = pen.wrapped(words, size, room);
    const top = field.bottom - 3 - rows.length * size * 1.3;
    rows.forEach((row, i) => pen.text(row, [left, top + (i + 0.9) * size * 1.3], size));
    drawPicture(pen, card, ofPanel(card), { left, top: field.top + 9, right: left + room, bottom: top - 2 });
  });
  return { name: `${fileStem(title)}-cards-${paper}.pdf`, type: "application/pdf", bytes };
}

function drawPicture(pen: Pen, card: Card, own: readonly Card[], field: Box): void {
  const whole = pictureOf(own.at(-1) ?? card, own);
  if (whole.length === 0 || field.bottom - field.top < 10) return;
  const box = boxOf(whole.flatMap(({ path }) => pathFlatten(path, 0.5)));
  const [wide, tall] = [Math.max(1, box.right - box.left), Math.max(1, box.bottom - box.top)];
  const k = Math.min((field.right - field.left) / wide, (field.bottom - field.top) / tall);
  const at = ([x, y]: Point): Point => [
    (field.left + field.right) / 2 + (x - (box.left + box.right) / 2) * k,
    field.top + (y - box.top) * k,
  ];
  for (const { path, isNew, kind } of pictureOf(card, own))
    pen.run(pathFlatten(path, 0.5).map(at), {
      color: isNew ? LIT : kind === "outline" ? INK : QUIET,
      width: isNew ? 0.9 : 0.3,
    });
}

/** One label for a bundle: whose piece it is, which, how many, from what, and which pattern it was cut by. */
export interface BundleLabel {
  readonly wearer: string;
  readonly garment: string;
  readonly piece: string;
  readonly side: string;
  readonly count: string;
  readonly about: string;
}

/** Labels for bundles of cut pieces, twenty-four to a page. */
export async function labelsPdf(title: string, labels: readonly BundleLabel[], paper: SheetName): Promise<HandedFile> {
  const bytes = await inFields(title, labels, paper, [3, 8], (pen, field, label) => {
    pen.run(outline(field), { color: QUIET, width: 0.15, close: true, dash: [1.5, 1.5] });
    const [left, room] = [field.left + 3, field.right - field.left - 6];
    const row = (text: string, y: Mm, size: Mm): void => {
      const [first = ""] = pen.wrapped(text, size, room);
      pen.text(first, [left, field.top + y], size);
    };
    row(label.piece, 7, 4.6);
    row([label.side, label.count].filter(Boolean).join(", "), 12.5, 3.4);
    row(label.wearer, 18, 3.4);
    row(label.garment, 22.5, 2.8);
    row(label.about, 27, 2.6);
  });
  return { name: `${fileStem(title)}-labels-${paper}.pdf`, type: "application/pdf", bytes };
}
