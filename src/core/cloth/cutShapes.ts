import type { Piece } from "../pieces";
import { edgesWithRole, type Material } from "../pattern";
import {
  boxOf,
  distanceToOutline,
  pathEnd,
  pathStart,
  pointDistance,
  pointSubtract,
  pointUnit,
  type Point,
} from "../geometry";
import { type Mm, type Words } from "../units";

/**
 * A piece as it is cut from one cloth: its outline with the grain along x, and how many of it. One drawn on the fold
 * lies with its fold on y = 0 and itself above; `whole` is both its halves.
 */
export interface CutShape {
  readonly piece: string;
  readonly name: Words;
  /** Whose it is where several garments lie on one cloth: 0 is the first. */
  readonly bundle: number;
  readonly outline: readonly Point[];
  readonly whole: readonly Point[];
  /** Copies as it is drawn, and mirrored. */
  readonly plain: number;
  readonly mirrored: number;
  readonly onFold: boolean;
  /** Where it meets another piece at a seam that has to match, along the grain in the same frame; null where it meets none. */
  readonly mark: Mm | null;
  /** From the piece's own frame to this one. */
  readonly frame: Frame;
}

/** A turn about the origin so that a direction comes to lie along x, then a move. */
export interface Frame {
  readonly along: Point;
  readonly by: Point;
  /** Mirrored across x afterwards, so that a piece on the fold lies above it. */
  readonly flipped: boolean;
}

export const inFrame =
  ({ along: [c, s], by, flipped }: Frame) =>
  ([x, y]: Point): Point => {
    const [u, v] = [x * c + y * s + by[0], y * c - x * s + by[1]];
    return [u, flipped ? 0 - v : v];
  };

/** A place on the fold may be off it by this much. */
const ON_LINE: Mm = 0.02;

/** The stretch of a closed outline that lies on y = 0, as the run of all its other points from one end of it to the other. */
function aroundFold(outline: readonly Point[]): readonly Point[] {
  let [at, longest] = [-1, 0];
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length] as Point;
    if (Math.abs(p[1]) > ON_LINE || Math.abs(q[1]) > ON_LINE) return;
    if (pointDistance(p, q) > longest) [at, longest] = [i, pointDistance(p, q)];
  });
  if (at < 0) return outline;
  return outline.map((_, i) => outline[(at + 1 + i) % outline.length] as Point);
}

/** Both halves of a piece that lies with its fold on y = 0. */
function unfolded(outline: readonly Point[]): readonly Point[] {
  const run = aroundFold(outline);
  const inner = run.filter(([, y], i) => (i > 0 && i < run.length - 1) || Math.abs(y) > ON_LINE);
  const mirrored = [...inner].reverse().map(([x, y]): Point => [x, 0 - y]);
  const ends = (p: Point | undefined): readonly Point[] => (p ? [[p[0], 0]] : []);
  const without = (points: readonly Point[]): readonly Point[] => points.filter(([, y]) => Math.abs(y) > ON_LINE);
  return [...ends(run[0]), ...without(inner), ...ends(run.at(-1)), ...without(mirrored)];
}

/** The frame in which a piece lies on cloth: its grain along x; on the fold, the fold along y = 0. */
function frameOf(piece: Piece): Frame {
  const [fold] = piece.cut.onFold ? edgesWithRole(piece.panel, "fold") : [];
  const [from, to] = fold ? [pathStart(fold.path), pathEnd(fold.path)] : piece.grain;
  const along = pointUnit(pointSubtract(to, from));
  if (!fold) return { along, by: [0, 0], flipped: false };
  const still: Frame = { along, by: [0, 0], flipped: false };
  const level = inFrame(still)(from)[1];
  const middle = piece.seamLine.reduce((sum, p) => sum + inFrame(still)(p)[1] - level, 0);
  return { along, by: [0, 0 - level], flipped: middle < 0 };
}

/** True for an outline that is its own mirror image across the grain's way: face up or face down it is the same piece. */
function isItsMirror(outline: readonly Point[]): boolean {
  const { top, bottom } = boxOf(outline);
  return outline.every(([x, y]) => distanceToOutline([x, top + bottom - y], outline) < MIRRORED);
}
const MIRRORED: Mm = 0.3;

/** The first notch of the first of these seams that a piece has. */
function markOf({ notches }: Piece, frame: Frame, matching: readonly string[]): Mm | null {
  const [notch] = matching.flatMap((seam) => notches.filter((n) => n.pairs === seam));
  return notch ? inFrame(frame)(notch.at)[0] : null;
}

/** What is cut of every piece from one material. Notches of the seams named in `matching` follow a repeat of the cloth. */
export function cutShapes(
  pieces: readonly Piece[],
  material: Material,
  matching: readonly string[] = [],
): readonly CutShape[] {
  return pieces.flatMap((piece): CutShape[] => {
    const own = piece.material === material ? piece.cut.count : 0;
    const also = piece.alsoCut.filter((a) => a.material === material).reduce((sum, a) => sum + a.count, 0);
    const count = own + also;
    if (count === 0) return [];
    const frame = frameOf(piece);
    const outline = piece.cutLine.map(inFrame(frame));
    const whole = piece.cut.onFold ? unfolded(outline) : outline;
    const pairs = piece.cut.pairs || (own === 0 && piece.cut.count % 2 === 0);
    const mirrored = piece.cut.onFold ? 0 : pairs || isItsMirror(whole) ? Math.floor(count / 2) : 0;
    return [
      {
        piece: piece.id,
        name: piece.name,
        bundle: 0,
        outline,
        whole,
        plain: count - mirrored,
        mirrored,
        onFold: piece.cut.onFold,
        mark: markOf(piece, frame, matching),
        frame,
      },
    ];
  });
}

/** Materials that any piece is cut from. */
export const materialsOf = (pieces: readonly Piece[]): readonly Material[] => [
  ...new Set(pieces.flatMap((p) => [p.material, ...p.alsoCut.map((a) => a.material)])),
];
