import { phrase } from "../../words";
import { boxOf, type Point } from "../../geometry";
import { panelOutline, type Panel } from "../../pattern";
import type { Mm } from "../../units";
import { newBook } from "./book";
import { PAPERS, type SheetName } from "./papers";
import { BACK, FRONT, INK, QUIET, type Pen } from "./pen";
import { MARGIN } from "./tiles";

/** What a work sheet tells: short rows in columns, then lines of words. */
export interface WorkSheet {
  readonly title: string;
  readonly about: string;
  readonly drawn: readonly { readonly panel: Panel; readonly isBack: boolean }[];
  readonly columns: readonly {
    readonly heading: string;
    readonly rows: readonly (readonly [what: string, how: string])[];
  }[];
  readonly styleLines: readonly string[];
  readonly order: readonly string[];
  readonly open: readonly string[];
}

const GAP: Mm = 6;
/** Share of the page that drawing and tables take; words below. */
const DRAWN: Mm = 74;

/** One page: the pattern drawn small, measures, finishes, the lines of the style, the order, and what is open. */
export async function workSheetPdf(sheet: WorkSheet, paper: SheetName): Promise<Uint8Array> {
  const { width, height } = PAPERS[paper];
  const book = await newBook(sheet.title);
  const pen = book.page(width, height);
  pen.text(sheet.title, [MARGIN, MARGIN + 5], 6);
  pen.text(sheet.about, [MARGIN, MARGIN + 11], 3, { color: QUIET });
  const top = MARGIN + 15;
  const room = width - 2 * MARGIN;
  const drawnRoom = room * 0.42;
  drawPanels(pen, sheet, { left: MARGIN, top, width: drawnRoom, height: DRAWN });
  const columnRoom = (room - drawnRoom - GAP * sheet.columns.length) / sheet.columns.length;
  const deepest = sheet.columns.map(({ heading, rows }, i) =>
    drawRows(pen, heading, rows, MARGIN + drawnRoom + GAP + i * (columnRoom + GAP), top, columnRoom),
  );
  const below = Math.max(top + DRAWN, ...deepest) + 5;
  drawWords(pen, sheet, { left: MARGIN, top: below, width: room, bottom: height - MARGIN });
  return book.bytes();
}

interface Field {
  readonly left: Mm;
  readonly top: Mm;
  readonly width: Mm;
  readonly height: Mm;
}

/** The pattern side by side, all panels at one scale, waists level. */
function drawPanels(pen: Pen, { drawn }: WorkSheet, field: Field): void {
  const boxes = drawn.map(({ panel }) => boxOf(panelOutline(panel)));
  const wide = boxes.reduce((sum, b) => sum + b.right - b.left, 0);
  const [highest, lowest] = [Math.min(...boxes.map((b) => b.top)), Math.max(...boxes.map((b) => b.bottom))];
  const gaps = Math.max(0, drawn.length - 1) * 4;
  const scale = Math.min((field.width - gaps) / Math.max(wide, 1), field.height / Math.max(lowest - highest, 1));
  let x = field.left;
  drawn.forEach(({ panel, isBack }, i) => {
    const box = boxes[i] as (typeof boxes)[number];
    const at = ([px, py]: Point): Point => [x + (px - box.left) * scale, field.top + (py - highest) * scale];
    pen.run(panelOutline(panel).map(at), {
      color: isBack ? BACK : FRONT,
      width: 0.35,
      close: true,
      ...(isBack && { dash: [3, 1] }),
    });
    for (const line of panel.lines) pen.run(line.points.map(at), { color: QUIET, width: 0.15 });
    x += (box.right - box.left) * scale + 4;
  });
}

/** Rows of a column: what on the left, how much on the right. Answers where it ends. */
function drawRows(
  pen: Pen,
  heading: string,
  rows: readonly (readonly [string, string])[],
  left: Mm,
  top: Mm,
  room: Mm,
): Mm {
  const size = 2.5;
  pen.text(heading, [left, top + 3], 3);
  let y = top + 7;
  for (const [what, how] of rows) {
    const [first = "", ...more] = pen.wrapped(phrase`${what}: ${how}`, size, room);
    pen.text(first, [left, y], size);
    for (const row of more) pen.text(row, [left + 3, (y += size * 1.3)], size);
    y += size * 1.45;
  }
  return y;
}

/** Style lines and order beside each other, what is open last; set as small as it takes to keep to one page. */
function drawWords(
  pen: Pen,
  { styleLines, order, open }: WorkSheet,
  { left, top, width, bottom }: { readonly left: Mm; readonly top: Mm; readonly width: Mm; readonly bottom: Mm },
): void {
  const room = (width - GAP) / 2;
  const numbered = (lines: readonly string[]): readonly string[] => lines.map((line, i) => `${i + 1}. ${line}`);
  const columns: readonly (readonly (readonly [heading: string, lines: readonly string[]])[])[] = [
    [
      ["How the block is restyled", numbered(styleLines)],
      ["Open matters", open.length > 0 ? open.map((line) => `[ ] ${line}`) : ["Nothing is open."]],
    ],
    [["Order of making", numbered(order)]],
  ];
  const set = (size: Mm, draw: boolean): Mm =>
    Math.max(
      ...columns.map((blocks, c) => {
        const x = left + c * (room + GAP);
        let y = top;
        for (const [heading, lines] of blocks) {
          if (draw) pen.text(heading, [x, y + 3], 3);
          y += 7;
          for (const line of lines)
            for (const row of pen.wrapped(line, size, room)) {
              if (draw) pen.text(row, [x, y], size, { color: INK });
              y += size * 1.4;
            }
          y += 4;
        }
        return y;
      }),
    );
  const size = SIZES.find((s) => set(s, false) <= bottom) ?? (SIZES.at(-1) as Mm);
  set(size, true);
}
/** Heights of letters, the largest that fits is taken; the smallest is still read at half a metre. */
const SIZES: readonly Mm[] = [2.8, 2.5, 2.2, 2, 1.8, 1.6, 1.4];
