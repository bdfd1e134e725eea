import { rgb } from "pdf-lib";
import type { Box, Point } from "../../geometry";
import { isOf } from "../../pattern";
import type { Mm } from "../../units";
import type { PrintOptions } from "./options";
import { BACK, FRONT, INK, type Pen, type Stroke } from "./pen";
import { labelPlace, type PlacedPiece } from "./sheet";
import { sizeDash } from "./sizeLines";

export const FAINT = rgb(0.55, 0.6, 0.57);

/** A small cross, to be met by another. */
export function cross(pen: Pen, [x, y]: Point): void {
  const mark: Stroke = { color: INK, width: 0.25 };
  pen.run(
    [
      [x - 4, y],
      [x + 4, y],
    ],
    mark,
  );
  pen.run(
    [
      [x, y - 4],
      [x, y + 4],
    ],
    mark,
  );
}

/** A piece with the lines that were asked for, and its signs; its label is drawn apart. */
export function drawPiece(
  pen: Pen,
  { piece }: PlacedPiece,
  at: (p: Point) => Point,
  { outlines, inner }: Pick<PrintOptions, "outlines" | "inner">,
): void {
  const back = isOf(piece, "back");
  const own = back ? BACK : isOf(piece, "front") ? FRONT : FAINT;
  if (piece.sizes) return drawSizes(pen, piece.sizes, at, outlines);
  if (outlines !== "seam") pen.part(piece.cutLine.map(at), { color: INK, width: 0.5, close: true });
  if (outlines !== "cut")
    pen.part(piece.seamLine.map(at), { color: own, width: 0.3, close: true, ...(back ? { dash: [9, 3] } : {}) });
  for (const l of inner ? piece.panel.lines : []) {
    if (l.kind !== "grain")
      pen.run(l.points.map(at), { color: FAINT, width: 0.2, dash: l.kind === "dart" ? [] : [4, 2] });
  }
  for (const trim of piece.trims) pen.run(trim.map(at), { color: INK, width: 0.3, dash: [6, 2, 1, 2] });
  for (const sign of piece.signs.lines) pen.run(sign.map(at), { color: INK, width: 0.3 });
  for (const { text, at: place } of piece.signs.words) pen.text(text, at(place), 3.4);
  for (const drill of piece.drills) cross(pen, at(drill));
  const [from, to] = piece.grain.map(at) as [Point, Point];
  pen.run([from, to], { color: INK, width: 0.35 });
  arrow(pen, from, to);
  arrow(pen, to, from);
  for (const notch of piece.notches) {
    pen.run([at(notch.at), at(notch.outer)], { color: INK, width: 0.4 });
    if (notch.kind === "double") {
      const [a, b] = [at(notch.at), at(notch.outer)];
      const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
      const aside: Point = [(-(b[1] - a[1]) / size) * 3, ((b[0] - a[0]) / size) * 3];
      pen.run(
        [
          [a[0] + aside[0], a[1] + aside[1]],
          [b[0] + aside[0], b[1] + aside[1]],
        ],
        { color: INK, width: 0.4 },
      );
    }
  }
}

/** All sizes over each other, each by its own dashes, its name at its lowest place. */
function drawSizes(
  pen: Pen,
  sizes: NonNullable<PlacedPiece["piece"]["sizes"]>,
  at: (p: Point) => Point,
  outlines: PrintOptions["outlines"],
): void {
  sizes.forEach(({ name, cutLine, seamLine }, i) => {
    const dash = sizeDash(i);
    if (outlines !== "seam") pen.part(cutLine.map(at), { color: INK, width: 0.5, close: true, dash });
    if (outlines !== "cut") pen.part(seamLine.map(at), { color: FAINT, width: 0.3, close: true, dash });
    const lowest = cutLine.map(at).reduce((low, p) => (p[1] > low[1] ? p : low));
    pen.text(name, [lowest[0] + 2 + 22 * i, lowest[1] - 2], 3);
  });
}

/** Height of a label's lines, and how far a line is from the next. */
const LABEL: { readonly first: Mm; readonly other: Mm; readonly step: Mm } = { first: 6, other: 4.2, step: 6.5 };

/**
 * The label of a piece, on the one page that its place lies on, moved so far that no line is cut by the page's edge.
 */
export function drawLabel(
  pen: Pen,
  { piece, place, turned }: PlacedPiece,
  window: Box,
  shift: (p: Point) => Point,
  frame: Box,
  overlap: Mm,
): void {
  const at = place(labelPlace(piece));
  // A page's own ground ends where the next one begins.
  const isHere =
    at[0] >= window.left && at[0] < window.right - overlap && at[1] >= window.top && at[1] < window.bottom - overlap;
  if (!isHere) return;
  const long = Math.max(...piece.label.map((text, i) => pen.widthOf(text, i === 0 ? LABEL.first : LABEL.other)));
  const deep = LABEL.step * piece.label.length;
  const [wide, tall] = turned ? [deep, long] : [long, deep];
  const held = (value: Mm, low: Mm, high: Mm): Mm => Math.min(Math.max(value, low), Math.max(low, high));
  const [grainFrom, grainTo] = piece.grain.map(place) as [Point, Point];
  // Beside an upright thread line; below one that lies along the page.
  const isAlong = Math.abs(grainTo[0] - grainFrom[0]) > Math.abs(grainTo[1] - grainFrom[1]);
  const [x, alongY] = shift(at);
  const y = isAlong ? alongY + LABEL.first + 4 : alongY;
  const left = held(turned ? x - wide : x + 6, frame.left + 2, frame.right - overlap - wide);
  const top = held(turned ? y : y - LABEL.first, frame.top + 2, frame.bottom - overlap - tall);
  piece.label.forEach((text, i) => {
    const down = LABEL.step * (i + 1);
    const from: Point = turned ? [left + wide - down, top] : [left, top + down];
    pen.text(text, from, i === 0 ? LABEL.first : LABEL.other, { down: turned });
  });
}

/** The head of an arrow at `tip`, pointing away from `tail`. */
function arrow(pen: Pen, tip: Point, tail: Point): void {
  const size = Math.hypot(tip[0] - tail[0], tip[1] - tail[1]) || 1;
  const [ux, uy] = [(tip[0] - tail[0]) / size, (tip[1] - tail[1]) / size];
  pen.run(
    [
      [tip[0] - 6 * ux - 2.5 * uy, tip[1] - 6 * uy + 2.5 * ux],
      tip,
      [tip[0] - 6 * ux + 2.5 * uy, tip[1] - 6 * uy - 2.5 * ux],
    ],
    { color: INK, width: 0.35 },
  );
}
