import {
  cubic,
  linesMeet,
  pathLength,
  pointAdd,
  pointBetween,
  pointScale,
  secant,
  type Path,
  type Point,
} from "../geometry";
import { Refusal, say, type Mm, type Radians } from "../units";
import type { BodiceSchool, NeckSizes } from "./plan";

/** Handles of an edge that rounds a corner reach this share of the way to where its tangents meet. */
const NECK_FULL = 0.62;

/** Direction of a shoulder, out from the neck. */
export const shoulderWay = (slope: Radians): Point => [Math.cos(slope), Math.sin(slope)];

/** A curve that leaves one place along a line and comes to another along a line, `full` of the way to where they meet. */
export function roundCorner(
  from: Point,
  leave: Point,
  to: Point,
  arrive: Point,
  full: readonly [number, number],
): Path {
  const meet = linesMeet(from, leave, to, arrive) ?? pointBetween(from, to, 0.5);
  return [cubic(from, pointBetween(from, meet, full[0]), pointBetween(to, meet, full[1]), to)];
}

/** The neck from the centre to the shoulder: square to the centre line, and square to the shoulder, so that no peak stands there. */
export function neckEdge(centre: Point, shoulder: Point, slope: Radians): Path {
  const way = shoulderWay(slope);
  return roundCorner(centre, [1, 0], shoulder, [way[1], -way[0]], [NECK_FULL, NECK_FULL]);
}

/** A neck that closes lies this much outside the measured one. */
const NECK_EASE: Mm = 10;

/**
 * Width and depths of the neck: 3 to 1 to 2 by quarters; a fifth, a fifteenth and a fifth of the measured neck. Scaled
 * together so that the whole edge is as long as the neck and a finger's ease.
 */
export function neckSizes(school: BodiceSchool, neck: Mm, slope: Radians): NeckSizes {
  const base: NeckSizes =
    school === "quarters" ? { width: 3, back: 1, front: 2 } : { width: neck / 5, back: neck / 15, front: neck / 5 + 6 };
  const sized = (k: number): NeckSizes => ({ width: base.width * k, back: base.back * k, front: base.front * k });
  const round = (k: number): Mm => {
    const { width, back, front } = sized(k);
    const half = (depth: Mm): Mm => pathLength(neckEdge([0, depth], [width, 0], slope));
    return 2 * (half(back) + half(front));
  };
  const guess = (neck + NECK_EASE) / round(1);
  const k = secant((x) => round(x) - neck - NECK_EASE, guess, guess * 1.05);
  if (k === null || k <= 0)
    throw new Refusal("neck", say`No neck edge of ${neck} can be drawn. Check the neck on the card.`);
  return sized(k);
}

/** The shoulder's end: so far out from the centre line, down the slope from the neck's end. */
export const shoulderEnd = (neckEnd: Point, outX: Mm, slope: Radians): Point =>
  pointAdd(neckEnd, pointScale(shoulderWay(slope), (outX - neckEnd[0]) / Math.cos(slope)));
