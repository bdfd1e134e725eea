import { textOf } from "../../units";
import { isOf } from "../../pattern";
import type { Point } from "../../geometry";
import type { Piece } from "../../pieces";
import { escaped } from "./markup";
import { labelPlace, layOnSheet, type PlacedPiece, type PrintSet } from "../paper/sheet";
import { sizeDash } from "../paper/sizeLines";

const MARGIN = 10;

const number = (n: number): string => String(Math.round(n * 1000) / 1000);

function pathData(points: readonly Point[], close: boolean): string {
  return `M${points.map(([x, y]) => `${number(x)} ${number(y)}`).join("L")}${close ? "Z" : ""}`;
}

/** The seam line in the panel's own line style: front solid, back long dashes, other parts solid. */
function seamStyle(piece: Piece): string {
  if (isOf(piece, "front")) return 'stroke="#0b6e6e"';
  if (isOf(piece, "back")) return 'stroke="#7a2f7d" stroke-dasharray="12 5"';
  return 'stroke="#4a5a63" stroke-dasharray="2 2"';
}

type Placing = (q: Point) => Point;

const path = (points: readonly Point[], close: boolean, style: string): string =>
  `<path d="${pathData(points, close)}" fill="none" ${style}/>`;

const words = ([x, y]: Point, size: number, content: string, more = ""): string =>
  `<text x="${number(x)}" y="${number(y)}"${more} font-family="sans-serif" font-size="${size}" fill="#14302a">${content}</text>`;

/** An outline of a piece, in one size or in all of them, each by its own dashes. */
function outline(
  piece: PlacedPiece["piece"],
  at: Placing,
  of: (size: Pick<Piece, "cutLine" | "seamLine">) => readonly Point[],
  own: string,
  style: string,
): string {
  if (!piece.sizes) return path(of(piece).map(at), true, `${own} ${style}`);
  const dashed = (size: NonNullable<PlacedPiece["piece"]["sizes"]>[number], i: number): string =>
    `data-size="${escaped(size.name)}" stroke="#14302a" ${style} stroke-dasharray="${sizeDash(i).join(" ") || "none"}"`;
  return piece.sizes.map((size, i) => path(of(size).map(at), true, dashed(size, i))).join("");
}

/** Lines of a piece in one style; a piece in several sizes has none but its outlines. */
const linesOf = (
  { sizes }: PlacedPiece["piece"],
  lines: readonly { readonly points: readonly Point[]; readonly style: string }[],
  at: Placing,
): string => (sizes ? "" : lines.map(({ points, style }) => path(points.map(at), false, style)).join(""));

function label({ piece, turned }: PlacedPiece, at: Placing): string {
  const [x, y] = at(labelPlace(piece));
  const rows = piece.label.map(
    (text, i) => `<tspan x="${number(x + 6)}" dy="${i === 0 ? 0 : 7}">${escaped(textOf(text))}</tspan>`,
  );
  const turn = turned ? ` transform="rotate(90 ${number(x)} ${number(y)})"` : "";
  return words([x + 6, y], 5.5, rows.join(""), turn);
}

/** The layers, from the bottom up: each a group with an id and a title, and what it draws of a piece. */
const LAYERS: readonly {
  readonly id: string;
  readonly title: string;
  readonly draw: (placed: PlacedPiece, at: Placing) => string;
}[] = [
  {
    id: "cut-line",
    title: "Cut line",
    draw: ({ piece }, at) => outline(piece, at, (s) => s.cutLine, 'stroke="#14302a"', 'stroke-width="0.7"'),
  },
  {
    id: "seam-line",
    title: "Seam line",
    draw: ({ piece }, at) => outline(piece, at, (s) => s.seamLine, seamStyle(piece), 'stroke-width="0.4"'),
  },
  {
    id: "grain",
    title: "Grain",
    draw: ({ piece }, at) => path(piece.grain.map(at), false, 'stroke="#14302a" stroke-width="0.5"'),
  },
  {
    id: "notches",
    title: "Notches",
    draw: ({ piece }, at) =>
      linesOf(
        piece,
        piece.notches.map((n) => ({ points: [n.at, n.outer], style: 'stroke="#14302a" stroke-width="0.5"' })),
        at,
      ),
  },
  {
    id: "inner-lines",
    title: "Inner lines",
    draw: ({ piece }, at) =>
      linesOf(
        piece,
        piece.panel.lines
          .filter((l) => l.kind !== "grain" && l.points.length > 1)
          .map(({ kind, points }) => ({ points, style: `data-kind="${kind}" stroke="#7d8a84" stroke-width="0.3"` })),
        at,
      ),
  },
  {
    id: "trim-lines",
    title: "Surplus is trimmed here",
    draw: ({ piece }, at) =>
      linesOf(
        piece,
        piece.trims.map((points) => ({
          points,
          style: 'stroke="#14302a" stroke-width="0.4" stroke-dasharray="6 2 1 2"',
        })),
        at,
      ),
  },
  {
    id: "signs",
    title: "Folds, the way up, side and centre",
    draw: ({ piece }, at) =>
      piece.signs.lines.map((l) => path(l.map(at), false, 'stroke="#14302a" stroke-width="0.35"')).join("") +
      piece.signs.words.map(({ text, at: place }) => words(at(place), 4, escaped(textOf(text)))).join(""),
  },
  { id: "labels", title: "Labels", draw: label },
];

/** The pieces at true size: user units are millimetres, width and height say so. */
export function writeSvg(set: PrintSet): string {
  const sheet = layOnSheet(set.pieces);
  const width = sheet.width + 2 * MARGIN;
  const height = sheet.height + 2 * MARGIN;
  const layers = LAYERS.map(({ id, title, draw }) => {
    const pieces = sheet.placed.map((placed) => {
      const at = (q: Point): Point => {
        const [x, y] = placed.place(q);
        return [x + MARGIN, y + MARGIN];
      };
      return `<g data-piece="${escaped(placed.piece.id)}">${draw(placed, at)}</g>`;
    });
    return `<g id="${id}"><title>${title}</title>${pieces.join("")}</g>`;
  });
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}">`,
    `<title>${escaped(set.title)}</title>`,
    set.notices.length > 0 ? `<desc>${escaped(set.notices.join(" "))}</desc>` : "",
    ...layers,
    `</svg>\n`,
  ].join("\n");
}
