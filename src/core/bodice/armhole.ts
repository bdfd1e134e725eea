import { pathLength, type Path, type Point } from "../geometry";
import type { Mm, Radians } from "../units";
import { roundCorner, shoulderWay } from "./neck";

/** How far down the armhole stands upright, and how full both its curves are. */
const UPRIGHT_AT = 0.58;
const UPPER_FULL = 0.7;
const LOWER_FULL = 0.66;
/** Of what the slope gives on the way down to the upright place: outside these the curve bends the wrong way. */
const LEAST_IN = 0.3;
const MOST_IN = 0.8;

/**
 * The armhole from the shoulder to the underarm: square to the shoulder, upright `inward` of its end, and square to the
 * side seam, so that front and back run on into each other at both ends.
 */
export function armholeEdge(end: Point, underarm: Point, sideDown: Point, slope: Radians, inward: Mm): Path {
  const [outX, outY] = shoulderWay(slope);
  const high = UPRIGHT_AT * (underarm[1] - end[1]);
  const given = high * Math.tan(slope);
  const limited = Math.min(MOST_IN * given, Math.max(LEAST_IN * given, inward));
  const foot: Point = [end[0] - limited, end[1] + high];
  return [
    ...roundCorner(end, [-outY, outX], foot, [0, 1], [UPPER_FULL, UPPER_FULL]),
    ...roundCorner(foot, [0, 1], underarm, [sideDown[1], -sideDown[0]], [LOWER_FULL, LOWER_FULL]),
  ];
}

/** A cutaway armhole is this full: it runs nearly straight from the shoulder to the underarm. */
const CUTAWAY_FULL = 0.42;

/** An armhole cut away toward the neck: square to shoulder and side like any other, and otherwise all but straight. */
export function cutawayArmhole(end: Point, underarm: Point, sideDown: Point, slope: Radians): Path {
  const [outX, outY] = shoulderWay(slope);
  return roundCorner(end, [-outY, outX], underarm, [sideDown[1], -sideDown[0]], [CUTAWAY_FULL, CUTAWAY_FULL]);
}

/** Length of a whole armhole, its sides taken as upright: near enough to settle how low the underarm lies. */
export function armholeLength(
  end: Point,
  underarm: Point,
  slope: Radians,
  inward: { readonly front: Mm; readonly back: Mm },
): Mm {
  const one = (by: Mm): Mm => pathLength(armholeEdge(end, underarm, [0, 1], slope, by));
  return one(inward.front) + one(inward.back);
}
