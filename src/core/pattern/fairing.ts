import { smallestRadius } from "./panel";
import {
  cubic,
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathSplit,
  pathStart,
  pathStartTangent,
  pointAdd,
  pointDistance,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  segmentLength,
  squareCurve,
  truedCurve,
  type Path,
  type Point,
  type Segment,
  solveRising,
} from "../geometry";
import type { Mm, Radians } from "../units";

/** How far a hinge corner is softened each way. */
const SOFTEN_REACH: Mm = 100;
/** A sharp corner is softened over less: reach times turn, so that a side that falls straight stays within 3 mm of it. */
const SOFTEN_TURNED: Mm = 9.4;

/**
 * Softens a corner within an edge over about 100 mm each way. The edge's length changes by a fraction of a
 * millimetre; `restoreLength` puts it back at the hem end.
 */
export function softenCorner(path: Path, at: Mm, turn: Radians = 0): Path {
  const whole = pathLength(path);
  const reach = Math.min(SOFTEN_REACH, SOFTEN_TURNED / Math.max(1e-6, Math.abs(turn)), at * 0.9, (whole - at) * 0.9);
  if (reach < 1) return path;
  const [from, to] = [pathAt(path, at - reach), pathAt(path, at + reach)];
  const soft = truedCurve(from.point, from.tangent, to.point, to.tangent);
  return [...pathBetween(path, 0, at - reach), soft, ...pathBetween(path, at + reach, whole)];
}

/** The path made exactly `length` long at its end or its start, along its own direction there. */
export function restoreLength(path: Path, length: Mm, end: "start" | "end"): Path {
  const excess = pathLength(path) - length;
  if (Math.abs(excess) < 1e-9) return path;
  if (excess > 0) {
    return end === "end" ? pathSplit(path, length)[0] : pathSplit(path, excess)[1];
  }
  return end === "end"
    ? [...path, line(pathEnd(path), pointAdd(pathEnd(path), pointScale(pathEndTangent(path), -excess)))]
    : [line(pointAdd(pathStart(path), pointScale(pathStartTangent(path), excess)), pathStart(path)), ...path];
}

/** A trued hem that misses the gaps by more than this share is drawn fuller or flatter until it does not. */
const HEM_MISS = 0.0195;

/**
 * One smooth hem from the side seam's end to the inseam's start, square to both. `grown` is the hem before the
 * spread and its gaps: the trued hem is kept within two percent of it; an even curve comes first, so no closer.
 */
export function truedHem(side: Path, inseam: Path, grown: Mm): Segment {
  const [from, to] = [pathEnd(side), pathStart(inseam)];
  const draw = (fullness: number): Segment =>
    squareCurve(from, pathEndTangent(side), to, pathStartTangent(inseam), fullness);
  const plainHem = draw(1);
  const miss = segmentLength(plainHem) / grown - 1;
  if (Math.abs(miss) <= HEM_MISS) return plainHem;
  const target = grown * (1 + Math.sign(miss) * HEM_MISS);
  // Fuller handles make a longer curve; beyond these limits it would no longer be fair.
  return draw(solveRising((fullness) => segmentLength(draw(fullness)), target, 0.6, 3));
}

/** Crotch curves tighter than this are not drawn. */
export const TIGHTEST_TURNED: Mm = 12.5;

/** Shares of the drawn handles that are tried, in order, until the turned curve is round enough. */
const HANDLE_SHARES = [1, 0.88, 1.15, 0.76, 1.3, 0.64, 1.45, 0.5, 1.7, 0.38, 2];

/**
 * The crotch after the inseam turned by `angle` about the crotch point: the curve's first handle turns with it, so
 * that the crotch stays square to the inseam. Where that would turn too tightly the handles are set to other
 * lengths, keeping both directions, and at last the curve leaves the centre line higher.
 */
export function turnCrotch(crotch: Path, angle: Radians): Path {
  const [first, centre, ...rest] = crotch;
  if (!first || first.kind !== "cubic" || !centre) return crotch;
  const [b, p1, p2, a] = first.points;
  const leave = pointUnit(pointSubtract(pointRotate(p1, b, angle), b));
  const arrive = pointUnit(pointSubtract(p2, a));
  const [near, far] = [pointDistance(p1, b), pointDistance(p2, a)];
  let best: { readonly curve: Segment; readonly top: Point; readonly radius: Mm } | null = null;
  for (const higher of [0, 0.15, 0.3, 0.45]) {
    const top = pathAt([centre], higher * pathLength([centre])).point;
    for (const [k1, k2] of HANDLE_SHARES.flatMap((x) => HANDLE_SHARES.map((y) => [x, y] as const))) {
      const curve = cubic(
        b,
        pointAdd(b, pointScale(leave, near * k1)),
        pointAdd(top, pointScale(arrive, far * k2)),
        top,
      );
      const radius = smallestRadius([curve]);
      if (!best || radius > best.radius) best = { curve, top, radius };
      if (best.radius >= TIGHTEST_TURNED) return [best.curve, line(best.top, pathEnd([centre])), ...rest];
    }
  }
  return best ? [best.curve, line(best.top, pathEnd([centre])), ...rest] : crotch;
}
