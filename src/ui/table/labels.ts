import { boxOf, polygonSections, type Point } from "@/core/geometry";
import type { Piece } from "@/core/pieces";

/**
 * Where a piece's label goes, how many of its lines fit and how large (mm): beside the grain on legs, above the fold
 * on strips, never across a line it is not part of.
 */
export function labelPlaceOf(piece: Piece): { readonly at: Point; readonly lines: number; readonly size: number } {
  const box = boxOf(piece.seamLine);
  const strip = box.right - box.left > 2.5 * (box.bottom - box.top);
  const height = box.bottom - box.top;
  if (strip) return { at: [box.left + 14, box.top + height * 0.21], lines: 2, size: Math.min(20, height * 0.2) };
  const [a, b] = piece.grain;
  // Low on the leg, where it is widest; the longest line has to end well inside the narrower half.
  const y = a[1] + (b[1] - a[1]) * 0.62;
  const sections = polygonSections(piece.seamLine, y);
  const right = Math.max(...sections.map(([, end]) => end), a[0] + 60);
  const longest = Math.max(...piece.label.map((line) => line.length));
  const size = Math.max(9, Math.min(22, (right - a[0] - 30) / (longest * 0.47)));
  return { at: [a[0] + 12, y], lines: piece.label.length, size };
}
