import {
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  simplifyPathsD,
  unionD,
  type PathsD,
} from "clipper2-ts";
import { boxOf, polygonArea, polygonSections, type Point } from "../geometry";
import type { Mm } from "../units";
import type { ClothLay, LayCloth } from "./folds/laidCloth";
import { stripOutline } from "./corners";
import { slicesOf } from "./lay/shape";
import { MOST_CORNERS } from "./schema";

/** A part of the strip this small needs no shape of its own. */
const NOTHING: Mm = 0.05;

/**
 * What is missing of a strip of a width, over the length of a remnant with its own outline: straight-sided parts of which
 * none overlap. The outline lies within the strip, x along the cloth from its cut end.
 */
export function missingOf(outline: readonly Point[], width: Mm): readonly (readonly Point[])[] {
  const { count, from, to, first, bands } = slicesOf(outline);
  const missing: Point[][] = [];
  for (let i = 0; i < count; i++) {
    const [a, b] = [from[i] as number, to[i] as number];
    // Below the first band, between two, and above the last: lower and upper edge at the start and at the end.
    let [low, lowEnd] = [0, 0];
    const part = (high: number, highEnd: number): void => {
      if (Math.max(high - low, highEnd - lowEnd) > NOTHING)
        missing.push([
          [a, low],
          [b, lowEnd],
          [b, highEnd],
          [a, high],
        ]);
    };
    for (let k = first[i] as number; k < (first[i + 1] as number); k++) {
      part(bands[4 * k] as number, bands[4 * k + 2] as number);
      [low, lowEnd] = [bands[4 * k + 1] as number, bands[4 * k + 3] as number];
    }
    part(width, width);
  }
  return missing;
}

type Polygon = readonly Point[];
const toClipper = (polygon: Polygon) => polygon.map(([x, y]) => ({ x, y }));
const fromClipper = (path: readonly { readonly x: number; readonly y: number }[]): Polygon =>
  path.map(({ x, y }): Point => [x, y]);

/** An offcut is worth keeping where a square this large lies in it, and it holds as much as a square of the second side. */
const LEAST_ACROSS: Mm = 100;
const LEAST_SIDE: Mm = 300;
/** A kept outline has fewer corners than a cut edge, and stays so far inside what is left; farther where that is too many. */
const INSIDE: readonly Mm[] = [3, 6, 12, 24];

/**
 * Cloth less pieces, each grown by so much that few corners do, without its narrow necks and the slivers between pieces;
 * what there is no cloth for within `MOST_CORNERS` is left out.
 */
function leftIn(cloth: PathsD, pieces: PathsD): readonly Polygon[] {
  let rings: readonly Polygon[] = [];
  for (const inside of INSIDE) {
    const taken = inflatePathsD(pieces, inside, JoinType.Miter, EndType.Polygon, 2, 2);
    const left = differenceD(cloth, taken, FillRule.NonZero, 2);
    const wide = inflatePathsD(left, -LEAST_ACROSS / 2, JoinType.Miter, EndType.Polygon, 2, 2);
    const grown = inflatePathsD(wide, LEAST_ACROSS / 2, JoinType.Miter, EndType.Polygon, 2, 2);
    const few = simplifyPathsD(intersectD(grown, left, FillRule.NonZero, 2), inside, true);
    rings = intersectD(few, cloth, FillRule.NonZero, 2).map(fromClipper);
    if (rings.every((ring) => ring.length <= MOST_CORNERS)) break;
  }
  return rings.filter((ring) => ring.length <= MOST_CORNERS);
}

/** What a lay leaves, large enough to keep. */
interface Offcut {
  /** Along and across the cloth it is cut from. */
  readonly outline: Polygon;
  /** In square millimetres. */
  readonly area: number;
}

/** Of folded cloth, the end over its whole width is worth keeping from this length on. */
const LEAST_END: Mm = 200;
/** Offcuts that are told. */
const MOST_TOLD = 4;

/** What a lay leaves of the cloth in hand, worth keeping, the largest first: by outline, along and across the cloth. */
export function leftBy(lay: ClothLay, cloth: LayCloth, inHand: Mm): readonly Polygon[] {
  if (lay.length > inHand) return [];
  if (cloth.fold === "open")
    return offcutsOf(lay, cloth.outline ?? stripOutline(0, inHand, cloth.width))
      .slice(0, MOST_TOLD)
      .map((o) => o.outline);
  return inHand - lay.length < LEAST_END ? [] : [stripOutline(lay.length, inHand, cloth.width)];
}

/** True where a ring lies within another, neither of which crosses the other. */
const isWithin = ([first]: Polygon, ring: Polygon): boolean =>
  first !== undefined && polygonSections(ring, first[1]).some(([from, to]) => first[0] > from && first[0] < to);

/**
 * What pieces leave of cloth that lies open, each part with its own outline, the largest first. `cloth` is what they were
 * laid on.
 */
export function offcutsOf(lay: ClothLay, cloth: Polygon): readonly Offcut[] {
  const pieces = lay.placements.map((p) => {
    const path = toClipper(p.outline);
    return polygonArea(p.outline) < 0 ? path.reverse() : path;
  });
  const rings = leftIn([toClipper(cloth)], unionD(pieces, [], FillRule.NonZero, 2));
  const holes = rings.filter((r) => polygonArea(r) < 0);
  return rings
    .filter((r) => polygonArea(r) > 0)
    .flatMap((ring) => {
      // A piece that lies in the middle of what is left: only what lies beyond it is kept.
      const beyond = Math.max(...holes.filter((h) => isWithin(h, ring)).map((h) => boxOf(h).right), -Infinity);
      const own = boxOf(ring);
      if (beyond < own.left || !Number.isFinite(beyond)) return [ring];
      const rest: Polygon = [
        [beyond, own.top],
        [own.right, own.top],
        [own.right, own.bottom],
        [beyond, own.bottom],
      ];
      return beyond >= own.right
        ? []
        : intersectD([toClipper(ring)], [toClipper(rest)], FillRule.NonZero, 2).map(fromClipper);
    })
    .map((outline) => ({ outline, area: Math.abs(polygonArea(outline)) }))
    .filter(({ area }) => area >= LEAST_SIDE ** 2)
    .sort((a, b) => b.area - a.area);
}
