import type { Point } from "../../geometry";
import type { Piece } from "../../pieces";

/** Places are told apart to a hundredth of a millimetre. */
const PER_MM = 100;
/** Offset and prime of the 32-bit FNV-1a hash. */
const OFFSET = 0x811c9dc5;
const PRIME = 0x01000193;

/**
 * A sum of what is cut, in eight hexadecimal digits: of every piece's lines, notches and count. Two prints with one sum are
 * one pattern, whenever they were made.
 */
export function geometrySum(pieces: readonly Pick<Piece, "id" | "cut" | "cutLine" | "seamLine" | "notches">[]): string {
  let hash = OFFSET;
  const take = (text: string): void => {
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), PRIME) >>> 0;
  };
  const places = (points: readonly Point[]): void =>
    take(points.map(([x, y]) => `${Math.round(x * PER_MM)},${Math.round(y * PER_MM)}`).join(" "));
  for (const piece of [...pieces].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    take(`${piece.id} ${piece.cut.count}`);
    places(piece.cutLine);
    places(piece.seamLine);
    places(piece.notches.flatMap((n) => [n.at, n.outer]));
  }
  return hash.toString(16).padStart(8, "0");
}
