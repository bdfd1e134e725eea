import { boxOf, type Point } from "@/core/geometry";
import type { Piece } from "@/core/pieces";

/** Where a piece's label goes and how many of its lines fit: beside the grain on legs, above the fold on strips. */
export function labelPlaceOf(piece: Piece): { readonly at: Point; readonly lines: number } {
  const box = boxOf(piece.seamLine);
  const strip = box.right - box.left > 2.5 * (box.bottom - box.top);
  if (strip) return { at: [box.left + 14, box.top + (box.bottom - box.top) * 0.36], lines: 2 };
  const [a, b] = piece.grain;
  return { at: [a[0] + 14, a[1] + (b[1] - a[1]) * 0.32], lines: 5 };
}
