import { boxOf, type Point } from "@/core/geometry";
import type { Piece } from "@/core/pieces";

/** What is written on a piece on the screen: short enough for any leg; the full label is printed and listed. */
export interface ScreenLabel {
  readonly at: Point;
  readonly lines: readonly string[];
}

/** Beside the grain on legs, low where the leg is wide; below strips, which are too narrow. Never across a line. */
export function screenLabel(piece: Piece): ScreenLabel {
  const { pairs, onFold } = piece.cut;
  const count = `cut ${piece.cut.count}${pairs ? ", a pair" : onFold ? " on the fold" : ""}`;
  const box = boxOf(piece.seamLine);
  const height = box.bottom - box.top;
  if (box.right - box.left > 2.5 * height) {
    return { at: [box.left, boxOf(piece.cutLine).bottom + 8], lines: [`${piece.name}, ${count}, ${piece.material}`] };
  }
  const [a, b] = piece.grain;
  return { at: [a[0] + 8, a[1] + (b[1] - a[1]) * 0.62], lines: [piece.name, count, piece.material] };
}
