import { boxOf, pathCrossings, pathFlatten, pointBetween, pointDistance, type Path, type Point } from "../../geometry";
import { cornersOf } from "../../tracing";
import type { OwnBodice } from "../../bodice";
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

/** A half of a bodice is no taller, and no wider, than this; bands and pockets are shorter. */
const BODICE = { height: [250, 750], width: [120, 480] } as const;

/** True for an outline that may be half a bodice. */
const isHalfBodice = ({ height, width }: FoundOutline): boolean =>
  height >= BODICE.height[0] && height <= BODICE.height[1] && width >= BODICE.width[0] && width <= BODICE.width[1];

/** How much of the height the outline runs upright at its left or right edge: the centre does, a side and armhole do not. */
function uprightAt(points: readonly Point[], way: 1 | -1): Mm {
  const edge = Math.max(...points.map((p) => way * p[0]));
  const ys = points.filter((p) => way * p[0] > edge - UPRIGHT).map((p) => p[1]);
  return Math.max(...ys) - Math.min(...ys);
}
const UPRIGHT: Mm = 4;

/**
 * Sensible first places for half a bodice: the centre is the side on which the outline runs upright longest, the
 * shoulder's ends and the waist's are the outermost in their diagonals, the underarm the furthest out between them.
 */
export function guessBodicePlaces(outline: FoundOutline): OwnBodice["landmarks"]["front"] {
  const points = spaced(outline.path);
  const box = boxOf(points);
  const [height, way] = [box.bottom - box.top, uprightAt(points, -1) >= uprightAt(points, 1) ? 1 : -1];
  const centreX = way === 1 ? box.left : box.right;
  const among = (pool: readonly Point[], score: (p: Point) => number): Point =>
    pool.reduce((best, p) => (score(p) > score(best) ? p : best), pool[0] as Point);
  const out = (p: Point): Mm => way * (p[0] - centreX);
  const atCentre = points.filter((p) => out(p) < UPRIGHT);
  const beside = points.filter((p) => p[1] > box.top + 0.22 * height && p[1] < box.top + 0.68 * height);
  const neckEnd = among(points, (p) => -p[1]);
  const widest = among(beside, out);
  const shoulderEnd = among(
    points.filter((p) => p[1] < widest[1]),
    (p) => out(p) - 1.6 * (p[1] - box.top),
  );
  const corners = cornersOf(outline.path).map((c) => c.point);
  const underarm = cornerAfter(corners, neckEnd, shoulderEnd) ?? widest;
  const tips = outline.darts.map(([, tip]) => tip);
  const bust = tips.find((t) => t[1] > underarm[1]) ?? [
    centreX + way * 0.42 * out(underarm),
    underarm[1] + 0.05 * height,
  ];
  const place = (p: Point): [number, number] => {
    const [x, y] = corners.find((c) => pointDistance(c, p) < SAME_CORNER) ?? p;
    return [x, y];
  };
  return {
    neckCentre: place(among(atCentre, (p) => -p[1])),
    neckEnd: place(neckEnd),
    shoulderEnd: place(shoulderEnd),
    underarm: place(underarm),
    waistSide: place(among(points, (p) => out(p) + 2.2 * (p[1] - box.top))),
    waistCentre: place(among(atCentre, (p) => p[1])),
    bustPoint: [bust[0], bust[1]],
  };
}

const SAME_CORNER: Mm = 8;
/** An armhole is at least this deep. */
const LEAST_ARMHOLE: Mm = 60;

/** Walked over the shoulder, the next corner well below it is the underarm: an open bust dart stands out further still. */
function cornerAfter(corners: readonly Point[], neckEnd: Point, shoulderEnd: Point): Point | null {
  const nearest = (p: Point): number =>
    corners.reduce((best, c, i) => (pointDistance(c, p) < pointDistance(corners[best] as Point, p) ? i : best), 0);
  const n = corners.length;
  const [from, to] = [nearest(neckEnd), nearest(shoulderEnd)];
  const step = (from + 1) % n === to ? 1 : (to + 1) % n === from ? -1 : 0;
  if (step === 0) return null;
  const next = corners[(to + step + n) % n] as Point;
  return next[1] > shoulderEnd[1] + LEAST_ARMHOLE ? next : null;
}

/** Which two outlines are most likely front and back. */
export interface GuessedPanels {
  readonly front: string;
  readonly back: string;
}

/**
 * Front and back of a pool, largest first: those the file names so, else the two largest, `larger` telling which of them
 * is which.
 */
function frontAndBack(pool: readonly FoundOutline[], larger: "front" | "back"): GuessedPanels | null {
  const seams = pool.filter((o) => o.kind === "seam");
  const likely = seams.length >= 2 ? seams : pool;
  // What a foreign file calls its outlines is all it says of them.
  // eslint-disable-next-line no-restricted-syntax
  const named = (word: RegExp): FoundOutline | undefined => likely.find((o) => word.test(o.name));
  const [front, back] = [named(/front/i), named(/back/i)];
  if (front && back && front !== back) return { front: front.id, back: back.id };
  const [a, b] = likely;
  if (!a || !b) return null;
  return larger === "back" ? { front: b.id, back: a.id } : { front: a.id, back: b.id };
}

/** The legs among the outlines: the back is the larger, with its longer crotch and wider leg. */
export const guessLegs = (found: readonly FoundOutline[]): GuessedPanels | null =>
  frontAndBack(found.filter(isLeg), "back");

/** The halves of a bodice among the outlines: the front is the larger, as it goes over the bust. */
export const guessBodice = (found: readonly FoundOutline[]): GuessedPanels | null =>
  frontAndBack(
    found.filter((o) => isHalfBodice(o) && !isLeg(o)),
    "front",
  ) ?? frontAndBack(found.filter(isHalfBodice), "front");
