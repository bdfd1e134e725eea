import { textOf } from "../../units";
import { pathFlatten, type Point } from "../../geometry";
import { edgesWithRole } from "../../pattern";
import type { Piece } from "../../pieces";
import { layOnSheet, type PlacedPiece, type PrintSet } from "../paper/sheet";
import { DXF_LAYERS } from "./layers";
import { dxfText, type DxfBlock, type DxfEntity, type DxfVersion } from "./dxfText";

/** A turn sharper than this is a corner of the outline; the other places lie on its curves. */
const CORNER = 0.14;
const TEXT_HEIGHT = 6;

/** A block's name that the oldest release takes: capitals, figures, dashes, at most 31 long; `n` makes it the only one. */
const blockName = (id: string, n: number): string =>
  `${id
    .toUpperCase()
    .replace(/[^A-Z0-9-]/g, "_")
    .slice(0, 26)}_${n}`;

/** True at a corner of a closed outline. */
function isCorner(points: readonly Point[], i: number): boolean {
  const [a, b, c] = [points.at(i - 1), points[i], points[(i + 1) % points.length]] as [Point, Point, Point];
  const turn = Math.atan2(
    (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
    (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]),
  );
  return Math.abs(turn) > CORNER;
}

/** What a piece says of itself, one line each, in the words the standard gives. */
const wordsOf = (piece: Piece, sheet: PrintSet, size: string): readonly string[] => [
  `Piece Name: ${textOf(piece.name)}`,
  `Size: ${size}`,
  `Quantity: ${piece.cut.count}`,
  `Material: ${piece.material}`,
  `Annotation: ${piece.label.slice(1).map(textOf).join(", ")}`,
  `Style Name: ${sheet.title}`,
];

function blockOf(name: string, { piece, place }: PlacedPiece, set: PrintSet, size: string): DxfBlock {
  // Drawings count y upward.
  const at = (p: Point): Point => {
    const [x, y] = place(p);
    return [x, 0 - y];
  };
  const line = (layer: string, points: readonly Point[], closed = false): DxfEntity => ({
    kind: "line",
    layer,
    points: points.map(at),
    closed,
  });
  const point = (layer: string, p: Point): DxfEntity => ({ kind: "point", layer, at: at(p) });
  const [left, top] = at(piece.grain[0]);
  return {
    name,
    entities: [
      line(DXF_LAYERS.boundary, piece.cutLine, true),
      ...piece.cutLine.map((p, i) => point(isCorner(piece.cutLine, i) ? DXF_LAYERS.turns : DXF_LAYERS.curves, p)),
      line(DXF_LAYERS.sew, piece.seamLine, true),
      ...piece.notches.map((n) => point(DXF_LAYERS.notches, n.outer)),
      ...(piece.cut.onFold
        ? edgesWithRole(piece.panel, "fold").map((e) => line(DXF_LAYERS.mirror, pathFlatten(e.path, 0.05)))
        : []),
      line(DXF_LAYERS.grain, piece.grain),
      ...piece.panel.lines
        .filter((l) => l.kind !== "grain" && l.kind !== "drill" && l.points.length > 1)
        .map((l) => line(DXF_LAYERS.internal, l.points)),
      ...piece.drills.map((p) => point(DXF_LAYERS.drills, p)),
      ...wordsOf(piece, set, size).map((text, i): DxfEntity => ({
        kind: "text",
        layer: i < 4 ? DXF_LAYERS.boundary : DXF_LAYERS.words,
        at: [left + 8, top - 10 - i * TEXT_HEIGHT * 1.5],
        height: TEXT_HEIGHT,
        text,
      })),
    ],
  };
}

/** A print set and what its pieces are made for. */
interface SizedSet {
  readonly set: PrintSet;
  readonly size: string;
}

/**
 * The pieces at true size in millimetres, one block a piece and size, on the layers of the apparel industry's standard: cut
 * line, turn and curve points, notches on the cut line, fold, grain, inner lines, drill holes, sew line, words.
 */
export function writeDxf(sets: readonly SizedSet[], version: DxfVersion): string {
  let n = 0;
  const blocks = sets.flatMap(({ set, size }) =>
    layOnSheet(set.pieces).placed.map((placed) => blockOf(blockName(placed.piece.id, ++n), placed, set, size)),
  );
  const header: DxfEntity[] = [
    `Style Name: ${sets[0]?.set.title ?? ""}`,
    "Units: METRIC",
    "Author: Eland",
    ...new Set(sets.flatMap(({ set }) => set.notices)),
  ].map((text, i) => ({ kind: "text", layer: DXF_LAYERS.words, at: [0, 20 + i * 9], height: TEXT_HEIGHT, text }));
  return dxfText(version, ["0", ...Object.values(DXF_LAYERS)], blocks, header);
}
