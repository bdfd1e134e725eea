import {
  clip,
  closePath,
  degrees,
  endPath,
  lineTo,
  moveTo,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setLineWidth,
  setStrokingColor,
  stroke,
  type PDFFont,
  type PDFPage,
  type RGB,
} from "pdf-lib";
import type { Box, Point } from "../../geometry";
import { type Mm, type Words, textOf } from "../../units";

/** Points (1/72 in) in a millimetre. */
export const PT_PER_MM = 72 / 25.4;

export const INK = rgb(0.08, 0.19, 0.16);
export const QUIET = rgb(0.42, 0.46, 0.44);
/** Seam lines of front and back. */
export const FRONT = rgb(0.04, 0.43, 0.43);
export const BACK = rgb(0.48, 0.18, 0.49);

export interface Stroke {
  readonly color: RGB;
  readonly width: Mm;
  readonly dash?: readonly Mm[];
  readonly close?: boolean;
}

/** Draws on a page in millimetres from its top left corner. */
export class Pen {
  private window: Box | null = null;

  constructor(
    private readonly page: PDFPage,
    private readonly height: Mm,
    private readonly font: PDFFont,
  ) {}

  private at([x, y]: Point): [number, number] {
    return [x * PT_PER_MM, (this.height - y) * PT_PER_MM];
  }

  run(points: readonly Point[], style: Stroke): void {
    const [first, ...rest] = points;
    if (!first) return;
    this.page.pushOperators(
      pushGraphicsState(),
      setStrokingColor(style.color),
      setLineWidth(style.width * PT_PER_MM),
      setDashPattern(
        (style.dash ?? []).map((d) => d * PT_PER_MM),
        0,
      ),
      moveTo(...this.at(first)),
      ...rest.map((p) => lineTo(...this.at(p))),
      ...(style.close ? [closePath()] : []),
      stroke(),
      popGraphicsState(),
    );
  }

  /** A field in one colour. */
  fill({ left, top, right, bottom }: Box, color: RGB): void {
    const [x, y] = this.at([left, bottom]);
    this.page.drawRectangle({ x, y, width: (right - left) * PT_PER_MM, height: (bottom - top) * PT_PER_MM, color });
  }

  text(text: Words, at: Point, size: Mm, options: { readonly color?: RGB; readonly down?: boolean } = {}): void {
    const [x, y] = this.at(at);
    this.page.drawText(printable(textOf(text)), {
      x,
      y,
      size: size * PT_PER_MM,
      font: this.font,
      color: options.color ?? INK,
      rotate: degrees(options.down ? -90 : 0),
    });
  }

  /** Words broken into rows no wider than `room`. */
  wrapped(text: Words, size: Mm, room: Mm): readonly string[] {
    const rows: string[] = [];
    let row = "";
    for (const word of textOf(text).split(" ")) {
      const longer = row ? `${row} ${word}` : word;
      if (row && this.widthOf(longer, size) > room) {
        rows.push(row);
        row = word;
      } else row = longer;
    }
    return row ? [...rows, row] : rows;
  }

  /** The parts of a run that touch the window drawn in; a page holds only what is on it. */
  part(points: readonly Point[], style: Stroke): void {
    const window = this.window;
    const whole = style.close && points[0] ? [...points, points[0]] : points;
    if (!window) return this.run(points, style);
    const open = { ...style, close: false };
    let run: Point[] = [];
    for (let i = 1; i < whole.length; i++) {
      const [a, b] = [whole[i - 1] as Point, whole[i] as Point];
      const touches =
        Math.max(a[0], b[0]) >= window.left - 2 &&
        Math.min(a[0], b[0]) <= window.right + 2 &&
        Math.max(a[1], b[1]) >= window.top - 2 &&
        Math.min(a[1], b[1]) <= window.bottom + 2;
      if (touches) run.push(...(run.length === 0 ? [a, b] : [b]));
      else if (run.length > 0) {
        this.run(run, open);
        run = [];
      }
    }
    if (run.length > 0) this.run(run, open);
  }

  /** Draws inside a window only. */
  within(box: Box, draw: () => void): void {
    this.window = box;
    const [x, y] = this.at([box.left, box.bottom]);
    this.page.pushOperators(
      pushGraphicsState(),
      rectangle(x, y, (box.right - box.left) * PT_PER_MM, (box.bottom - box.top) * PT_PER_MM),
      clip(),
      endPath(),
    );
    draw();
    this.window = null;
    this.page.pushOperators(popGraphicsState());
  }

  widthOf(text: Words, size: Mm): Mm {
    return this.font.widthOfTextAtSize(printable(textOf(text)), size * PT_PER_MM) / PT_PER_MM;
  }
}

/** Text in the letters the built-in print font has; accents outside it are dropped, other scripts become a dot. */
function printable(text: string): string {
  const plain = text
    .replace(/[−–—]/g, "-")
    .replace(/[“”„]/g, '"')
    .replace(/[‘’‚]/g, "'")
    .replace(/\u00ad/g, "");
  return [...plain]
    .map((c) => {
      if (/[\x20-\x7e\xa0-\xff]/.test(c)) return c;
      const bare = c.normalize("NFKD").replace(/\p{M}/gu, "");
      return /^[\x20-\x7e\xa0-\xff]+$/.test(bare) ? bare : "·";
    })
    .join("");
}
