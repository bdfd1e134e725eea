import type { Mm } from "../units";
import type { Path } from "./path";
import { pointAdd, pointBetween, pointDistance, pointNorm, pointScale, pointSubtract, type Point } from "./point";
import {
  cubic,
  segmentAt,
  segmentEnd,
  segmentLength,
  segmentMap,
  segmentSplit,
  segmentStart,
  type Segment,
} from "./segment";

/** No cubic that is bent is longer than this: between its ends it follows the map by hundredths of a millimetre. */
const LONGEST: Mm = 60;
/** Over which the map's derivative is taken. */
const NEAR: Mm = 1e-3;

/**
 * A path carried by a smooth map that is no rigid one: its places by the map, its directions by the map's derivative, so
 * that what runs on smoothly goes on doing so. Straight lines that the map leaves straight stay lines.
 */
export function pathBent(path: Path, map: (p: Point) => Point): Path {
  return path.flatMap((segment) => {
    if (segment.kind === "line" && staysStraight(segment, map)) return [segmentMap(segment, map)];
    return parted(asCubic(segment)).map((part) => bent(part, map));
  });
}

const staysStraight = (segment: Segment, map: (p: Point) => Point): boolean =>
  [0.25, 0.5, 0.75].every((t) => {
    const straight = pointBetween(map(segmentStart(segment)), map(segmentEnd(segment)), t);
    return pointDistance(map(segmentAt(segment, t)), straight) < 1e-6;
  });

function asCubic(segment: Segment): Segment {
  if (segment.kind === "cubic") return segment;
  const [a, b] = segment.points;
  return cubic(a, pointBetween(a, b, 1 / 3), pointBetween(a, b, 2 / 3), b);
}

function parted(segment: Segment): Segment[] {
  const count = Math.ceil(segmentLength(segment) / LONGEST);
  const parts: Segment[] = [];
  let rest = segment;
  for (let left = count; left > 1; left--) {
    const [first, second] = segmentSplit(rest, 1 / left);
    parts.push(first);
    rest = second;
  }
  return [...parts, rest];
}

function bent(segment: Segment, map: (p: Point) => Point): Segment {
  if (segment.kind === "line") return segment;
  const [a, b, c, d] = segment.points;
  /** A handle at a place, as the map turns and stretches it there. */
  const carried = (at: Point, handle: Point): Point => {
    const size = pointNorm(handle);
    if (size < 1e-9) return [0, 0];
    const step = pointScale(handle, NEAR / size);
    return pointScale(pointSubtract(map(pointAdd(at, step)), map(pointSubtract(at, step))), size / (2 * NEAR));
  };
  const [from, to] = [map(a), map(d)];
  return cubic(
    from,
    pointAdd(from, carried(a, pointSubtract(b, a))),
    pointAdd(to, carried(d, pointSubtract(c, d))),
    to,
  );
}
