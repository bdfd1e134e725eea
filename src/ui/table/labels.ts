import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import { boxOf, polygonSections, type Point } from "@/core/geometry";
import type { Piece } from "@/core/pieces";

/** What is written on a piece on the screen: short enough for any leg; the full label is printed and listed. */
export interface ScreenLabel {
  readonly at: Point;
  readonly lines: readonly string[];
  /** The label stands below the piece; a leader runs up to the cut line from this place. */
  readonly leader: Point | null;
}

/** Width of a letter of the labels' type on the screen, in pixels. */
const LETTER = 6;

/** What stands below a piece: its name, and how many to cut from what. */
function wordsBelow(piece: Piece): readonly [string, string] {
  const { pairs, onFold, count } = piece.cut;
  return [
    textOf(piece.name),
    phrase`cut ${count}${pairs ? ", a pair" : ""}${onFold ? " on the fold" : ""}, ${piece.material}`,
  ];
}

/** Width of the label below a piece, in pixels. */
export const labelWidth = (piece: Piece): number =>
  Math.max(...wordsBelow(piece).map((text) => text.length)) * LETTER + 14;

/**
 * Beside the grain where the piece is wide enough for it at this scale (pixels per millimetre), else below the piece
 * with a leader. Never across a line.
 */
export function screenLabel(piece: Piece, k = 1): ScreenLabel {
  const { pairs, onFold } = piece.cut;
  const count = phrase`cut ${piece.cut.count}${pairs ? ", a pair" : ""}${onFold ? " on the fold" : ""}`;
  const box = boxOf(piece.cutLine);
  const lines = [textOf(piece.name), count, piece.material];
  const [a, b] = piece.grain;
  const at: Point = [a[0] + 8 / k, a[1] + (b[1] - a[1]) * 0.62];
  const needed = (Math.max(...lines.map((text) => text.length)) * LETTER + 8) / k;
  const upright = piece.panel.lines.filter((l) => l.kind !== "grain" && l.kind !== "crease");
  const room = (y: number): boolean => {
    const inside = polygonSections(piece.seamLine, y).some(([left, right]) => left <= at[0] && at[0] + needed <= right);
    // Inner lines that run down the piece would cross the words.
    const crossed = upright.some((l) =>
      l.points.some(([x, py], i) => {
        const before = l.points[i - 1];
        if (!before) return false;
        const [low, high] = [Math.min(py, before[1]), Math.max(py, before[1])];
        return low <= y && y <= high && Math.max(x, before[0]) > at[0] && Math.min(x, before[0]) < at[0] + needed;
      }),
    );
    return inside && !crossed;
  };
  const tall = (lines.length * 17) / k;
  if ([at[1], at[1] + tall / 2, at[1] + tall].every(room)) return { at, lines, leader: null };
  const middle = (box.left + box.right) / 2;
  const wide = box.right - box.left > 2.5 * (box.bottom - box.top);
  return {
    at: [box.left, box.bottom + 8 / k],
    lines: wordsBelow(piece),
    leader: wide ? null : [middle, box.bottom],
  };
}

/** Words written in pixels from a place toward one side: 1 to its right, -1 to its left. */
interface Written {
  readonly x: number;
  readonly y: number;
  readonly side: 1 | -1;
}

/** A line of words, and how far words that begin near one another may reach. */
const LINE = 15;
const REACH = 110;

/** Heights of words, in the order given: what would be written over a word above it is moved down until it is clear. */
export function clearHeights(words: readonly Written[]): number[] {
  const heights = words.map(({ y }) => y);
  const downward = words.map((_, i) => i).sort((a, b) => (heights[a] as number) - (heights[b] as number));
  downward.forEach((i, n) => {
    const own = words[i] as Written;
    for (const above of downward.slice(0, n)) {
      const other = words[above] as Written;
      if (other.side === own.side && Math.abs(other.x - own.x) < REACH)
        heights[i] = Math.max(heights[i] as number, (heights[above] as number) + LINE);
    }
  });
  return heights;
}
