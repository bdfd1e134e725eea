import {
  angleFromTo,
  pointAdd,
  pointBetween,
  pointDistance,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  type Point,
} from "../geometry";
import type { Mm, Radians } from "../units";

/** A dart from the side: its mouth on the seam above and below, its sewn tip, and its fold. */
export interface SideDart {
  readonly from: Point;
  readonly tip: Point;
  readonly to: Point;
  readonly cap: Point;
  readonly angle: Radians;
}

/** The turn about a place that brings a point so far from another, toward it; null where none does. */
function turnTo(point: Point, about: Point, from: Point, distance: Mm): Radians | null {
  const [p, u] = [pointSubtract(point, about), pointSubtract(from, about)];
  const [r, d] = [pointDistance(point, about), pointDistance(from, about)];
  const cos = (r * r + d * d - distance * distance) / (2 * r * d);
  return Math.abs(cos) < 1 ? angleFromTo(u, p) - Math.acos(cos) : null;
}

/** A bust dart's mouth stays this far from underarm and waist. */
const FROM_ENDS: Mm = 30;
/** A sewn tip stays back by no more than this share of its leg. */
const MOST_BACK = 0.3;

/**
 * The dart at the side that makes the front's sewn side as long as the back's. Its sewn tip stays back from the bust
 * point on the middle of its mouth, and it is closed about that tip, so that the sewn seam is straight.
 */
export function sideDartOf(side: Point, underarm: Point, { bust, tipBack, length }: SideTask): SideDart | null {
  let toward: Point = [underarm[0], bust[1]];
  let dart: SideDart | null = null;
  for (let round = 0; round < TIP_ROUNDS; round++) {
    const tip = heldBack(bust, toward, tipBack);
    const angle = turnTo(side, tip, underarm, length);
    if (angle === null) return null;
    const closed = pointRotate(side, tip, -angle);
    const share = (bust[1] - underarm[1]) / (closed[1] - underarm[1] || 1);
    const end = FROM_ENDS / length;
    const from = pointBetween(underarm, closed, Math.min(1 - end, Math.max(end, share)));
    const to = pointRotate(from, tip, angle);
    // Folded toward the waist, the fold lies on the closed seam.
    const fold = capLength(tip, from, pointUnit(pointSubtract(closed, underarm)), angle) ?? pointDistance(from, tip);
    const middle = pointRotate(pointUnit(pointSubtract(from, tip)), [0, 0], angle / 2);
    dart = { from, tip, to, cap: pointAdd(tip, pointScale(middle, fold)), angle };
    toward = pointBetween(from, to, 0.5);
  }
  return dart;
}
const TIP_ROUNDS = 4;

/** How far the closed seam is from the tip where the dart's fold comes to lie on it, folded downward. */
function capLength(tip: Point, mouth: Point, along: Point, angle: Radians): Mm | null {
  const fold = pointRotate(pointUnit(pointSubtract(mouth, tip)), [0, 0], angle / 2);
  const d = fold[0] * along[1] - fold[1] * along[0];
  if (Math.abs(d) < 1e-9) return null;
  const off = pointSubtract(mouth, tip);
  const reach = (off[0] * along[1] - off[1] * along[0]) / d;
  return reach > 0 ? reach : null;
}

/** A tip that stays back from the bust point toward a place, by no more than a share of the way. */
export function heldBack(bust: Point, toward: Point, by: Mm): Point {
  const way = pointDistance(bust, toward);
  return pointBetween(bust, toward, Math.min(MOST_BACK, by / (way || 1)));
}

interface SideTask {
  readonly bust: Point;
  readonly tipBack: Mm;
  readonly length: Mm;
}
