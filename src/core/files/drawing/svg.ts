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

/**
 * The pieces at true size: user units are millimetres, width and height say so. Layers are groups with an id and a
 * title: cut line, seam line, grain, notches, inner lines, labels.
 */
export function writeSvg(set: PrintSet): string {
  const sheet = layOnSheet(set.pieces);
  const width = sheet.width + 2 * MARGIN;
  const height = sheet.height + 2 * MARGIN;
  const each = (draw: (p: PlacedPiece, at: (q: Point) => Point) => string): string =>
    sheet.placed
      .map((p) => {
        const at = (q: Point): Point => {
          const [x, y] = p.place(q);
          return [x + MARGIN, y + MARGIN];
        };
        return `<g data-piece="${escaped(p.piece.id)}">${draw(p, at)}</g>`;
      })
      .join("");
  const layer = (id: string, title: string, content: string): string =>
    `<g id="${id}"><title>${title}</title>${content}</g>`;
  const line = (points: readonly Point[], close: boolean, style: string): string =>
    `<path d="${pathData(points, close)}" fill="none" ${style}/>`;
  /** An outline of every piece, in one size or in all of them, each by its own dashes. */
  const outlines = (
    of: (size: Pick<Piece, "cutLine" | "seamLine">) => readonly Point[],
    style: string,
    own: (piece: Piece) => string = () => "",
  ): string =>
    each(({ piece }, at) =>
      piece.sizes
        ? piece.sizes
            .map((size, i) =>
              line(
                of(size).map(at),
                true,
                `data-size="${escaped(size.name)}" stroke="#14302a" ${style} stroke-dasharray="${sizeDash(i).join(" ") || "none"}"`,
              ),
            )
            .join("")
        : line(of(piece).map(at), true, `${own(piece)} ${style}`.trim()),
    );
  const layers = [
    layer(
      "cut-line",
      "Cut line",
      outlines(
        (s) => s.cutLine,
        'stroke-width="0.7"',
        () => 'stroke="#14302a"',
      ),
    ),
    layer(
      "seam-line",
      "Seam line",
      outlines((s) => s.seamLine, 'stroke-width="0.4"', seamStyle),
    ),
    layer(
      "grain",
      "Grain",
      each(({ piece }, at) => line(piece.grain.map(at), false, 'stroke="#14302a" stroke-width="0.5"')),
    ),
    layer(
      "notches",
      "Notches",
      each(({ piece }, at) =>
        (piece.sizes ? [] : piece.notches)
          .map((n) => line([at(n.at), at(n.outer)], false, 'stroke="#14302a" stroke-width="0.5"'))
          .join(""),
      ),
    ),
    layer(
      "inner-lines",
      "Inner lines",
      each(({ piece }, at) =>
        (piece.sizes ? [] : piece.panel.lines)
          .filter((l) => l.kind !== "grain" && l.points.length > 1)
          .map((l) => line(l.points.map(at), false, `data-kind="${l.kind}" stroke="#7d8a84" stroke-width="0.3"`))
          .join(""),
      ),
    ),
    layer(
      "trim-lines",
      "Surplus is trimmed here",
      each(({ piece }, at) =>
        (piece.sizes ? [] : piece.trims)
          .map((t) => line(t.map(at), false, 'stroke="#14302a" stroke-width="0.4" stroke-dasharray="6 2 1 2"'))
          .join(""),
      ),
    ),
    layer(
      "signs",
      "Folds, the way up, side and centre",
      each(
        ({ piece }, at) =>
          piece.signs.lines.map((l) => line(l.map(at), false, 'stroke="#14302a" stroke-width="0.35"')).join("") +
          piece.signs.words
            .map(({ text, at: place }) => {
              const [x, y] = at(place);
              return `<text x="${number(x)}" y="${number(y)}" font-family="sans-serif" font-size="4" fill="#14302a">${escaped(textOf(text))}</text>`;
            })
            .join(""),
      ),
    ),
    layer(
      "labels",
      "Labels",
      each(({ piece, turned }, at) => {
        const [x, y] = at(labelPlace(piece));
        const lines = piece.label
          .map((text, i) => `<tspan x="${number(x + 6)}" dy="${i === 0 ? 0 : 7}">${escaped(textOf(text))}</tspan>`)
          .join("");
        const turn = turned ? ` transform="rotate(90 ${number(x)} ${number(y)})"` : "";
        return `<text x="${number(x + 6)}" y="${number(y)}"${turn} font-family="sans-serif" font-size="5.5" fill="#14302a">${lines}</text>`;
      }),
    ),
  ];
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}">`,
    `<title>${escaped(set.title)}</title>`,
    set.notices.length > 0 ? `<desc>${escaped(set.notices.join(" "))}</desc>` : "",
    ...layers,
    `</svg>\n`,
  ].join("\n");
}
