import { boxOf, pathCrossings, pathFlatten, pointBetween, pointDistance, type Path, type Point } from "../../geometry";
import type { OwnPanelLandmarks } from "../../drafting";
import type { Mm } from "../../units";
import type { FoundOutline } from "./shapes";

/** Places along an outline, close enough that every level has some, however straight its sides are. */
function spaced(path: Path): Point[] {
  const flat = pathFlatten(path, 0.5);
  return flat.flatMap((p, i) => {
    const next = flat[(i + 1) % flat.length] as Point;
    const parts = Math.max(1, Math.min(MOST_BETWEEN, Math.ceil(pointDistance(p, next) / APART)));
    return Array.from({ length: parts }, (_, k) => pointBetween(p, next, k / parts));
  });
}

const APART: Mm = 8;
const MOST_BETWEEN = 400;

/** How far the upper half juts out beyond the waist, to the left and to the right: a leg's does, on the crotch's side. */
function jutting(points: readonly Point[]): {
  readonly way: 1 | -1;
  readonly by: Mm;
  readonly upper: readonly Point[];
} {
  const box = boxOf(points);
  const height = box.bottom - box.top;
  const upper = points.filter((p) => p[1] < box.top + 0.55 * height && p[1] > box.top + 0.12 * height);
  const waistBand = points.filter((p) => p[1] < box.top + 0.09 * height);
  const reach = (way: 1 | -1): Mm =>
    Math.max(...upper.map((p) => way * p[0])) - Math.max(...waistBand.map((p) => way * p[0]));
  const way = reach(1) > reach(-1) ? 1 : -1;
  return { way, by: reach(way), upper };
}

/** A leg's crotch juts out at least this far; frames, bands and pockets have none. */
const LEAST_CROTCH: Mm = 12;

/** True for an outline that may be a leg: as tall as shorts, with a crotch on one side. */
export const isLeg = ({ path, height }: FoundOutline): boolean =>
  height >= 250 && jutting(spaced(path)).by >= LEAST_CROTCH;

/**
 * Sensible first places for the landmarks of a panel, in the drawing's own frame, for a person to correct: the crotch
 * point is the outermost place of the upper half on one side, the hem's and the waist's corners are the outermost in
 * their diagonals, hip and knee lie at usual shares of the length.
 */
export function guessLandmarks(outline: FoundOutline): OwnPanelLandmarks {
  const points = spaced(outline.path);
  const box = boxOf(points);
  const outermost = (score: (p: Point) => number): Point =>
    points.reduce((best, p) => (score(p) > score(best) ? p : best), points[0] as Point);
  // The crotch juts out on one side only: there the upper half is farther out than the waist by the most.
  const { way, upper } = jutting(points);
  const crotchPoint = upper.reduce((best, p) => (way * p[0] > way * best[0] ? p : best), upper[0] as Point);
  const waistCentre = outermost((p) => way * p[0] - 2.2 * (p[1] - box.top));
  const waistSide = outermost((p) => 0 - way * p[0] - 2.2 * (p[1] - box.top));
  const hemSide = outermost((p) => 0 - way * p[0] + 2.2 * (p[1] - box.top));
  const hemInseam = outermost((p) => way * p[0] + 2.2 * (p[1] - box.top));
  const at = (y: number, onSide: boolean): Point => {
    const xs = pathCrossings(outline.path, y);
    if (xs.length === 0) return [onSide ? hemSide[0] : hemInseam[0], y];
    const far = onSide === way < 0 ? Math.max(...xs) : Math.min(...xs);
    return [far, y];
  };
  const crotchY = crotchPoint[1];
  const hemY = (hemSide[1] + hemInseam[1]) / 2;
  const waistY = waistSide[1];
  const kneeY = crotchY + 0.42 * (hemY - crotchY);
  const hemMiddle = (hemSide[0] + hemInseam[0]) / 2;
  return {
    waistCentre: [...waistCentre],
    waistSide: [...waistSide],
    hipSide: [...at(waistY + 0.76 * (crotchY - waistY), true)],
    crotchPoint: [...crotchPoint],
    kneeSide: [...at(kneeY, true)],
    kneeInseam: [...at(kneeY, false)],
    hemSide: [...hemSide],
    hemInseam: [...hemInseam],
    creaseTop: [hemMiddle, crotchY],
    creaseHem: [hemMiddle, hemY],
  } as OwnPanelLandmarks;
}

/**
 * Which two outlines are most likely front and back, of those that may be legs: those the file names so, else the two largest, the one with the
 * farther crotch point being the back.
 */
export function guessPanels(found: readonly FoundOutline[]): { readonly front: string; readonly back: string } | null {
  const legs = found.filter(isLeg);
  const seams = legs.filter((o) => o.kind === "seam");
  const pool = seams.length >= 2 ? seams : legs;
  // What a foreign file calls its outlines is all it says of them.
  // eslint-disable-next-line no-restricted-syntax
  const named = (word: RegExp): FoundOutline | undefined => pool.find((o) => word.test(o.name));
  const [front, back] = [named(/front/i), named(/back/i)];
  if (front && back && front !== back) return { front: front.id, back: back.id };
  const [a, b] = pool;
  if (!a || !b) return null;
  // The back is the larger of the two: longer crotch, wider leg.
  return { front: b.id, back: a.id };
}
