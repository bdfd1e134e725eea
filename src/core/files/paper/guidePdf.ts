import type { Mm } from "../../units";
import type { HandedFile } from "../handedFile";
import { newBook } from "./book";
import { PAPERS, type SheetName } from "./papers";
import { INK, QUIET, type Pen } from "./pen";

/** What stands on the guide. */
export interface GuideWords {
  readonly title: string;
  readonly stages: readonly { readonly label: string; readonly does: string; readonly first: string }[];
  readonly keys: readonly { readonly keys: string; readonly text: string }[];
  readonly before: readonly string[];
}

const MARGIN: Mm = 14;
const KEY_ROW: Mm = 6;

/** Rows of words beneath each other; where the last one ends. */
function rows(pen: Pen, words: string, left: Mm, top: Mm, size: Mm, room: Mm, color = INK): Mm {
  const lines = pen.wrapped(words, size, room);
  lines.forEach((line, i) => pen.text(line, [left, top + (i + 0.8) * size * 1.35], size, { color }));
  return top + lines.length * size * 1.35;
}

/** The program on one page: its stages and how each is begun, what to check before cutting, and the keys. */
export async function guidePdf({ title, stages, keys, before }: GuideWords, paper: SheetName): Promise<HandedFile> {
  const { width, height } = PAPERS[paper];
  const book = await newBook(title);
  const pen = book.page(width, height);
  const room = width - 2 * MARGIN;
  pen.text(title, [MARGIN, MARGIN + 5], 7);
  let y = MARGIN + 11;
  stages.forEach(({ label, does, first }, i) => {
    pen.run(
      [
        [MARGIN, y],
        [MARGIN + room, y],
      ],
      { color: QUIET, width: 0.2 },
    );
    pen.text(String(i + 1), [MARGIN, y + 8], 7);
    pen.text(label, [MARGIN + 9, y + 6], 4);
    const said = rows(pen, does, MARGIN + 38, y + 2, 4.1, room - 38);
    y = Math.max(y + 14, rows(pen, first, MARGIN + 38, said + 0.6, 4.1, room - 38, QUIET) + 3.5);
  });
  y += 4;
  pen.text("Before you cut", [MARGIN, y + 5], 5);
  y += 8;
  for (const words of before) y = rows(pen, `- ${words}`, MARGIN, y, 3.9, room) + 1;
  y += 4;
  pen.text("Keys", [MARGIN, y + 5], 5);
  y += 9;
  const half = Math.ceil(keys.length / 2);
  keys.forEach(({ keys: pressed, text }, i) => {
    const [left, top] = [MARGIN + (i < half ? 0 : room / 2), y + (i % half) * KEY_ROW];
    pen.text(pressed, [left, top + 3], 3.7);
    pen.text(text, [left + 26, top + 3], 3.7, { color: QUIET });
  });
  return { name: `eland-guide-${paper}.pdf`, type: "application/pdf", bytes: await book.bytes() };
}
