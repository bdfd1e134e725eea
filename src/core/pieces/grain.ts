import { middleGrain, onPanel, panelOutline, type Panel } from "../pattern";
import {
  distanceToOutline,
  pathEnd,
  pathStart,
  pointAdd,
  pointBetween,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
  type Point,
} from "../geometry";
import { toRadians, type Degrees, type Mm, say, type Words } from "../units";
import type { Piece } from "./piece";

/** How a piece may lie on its cloth otherwise than with its grain along it. */
export const TURNED_GRAINS = ["across", "bias", "clockwise", "anticlockwise"] as const;
export type TurnedGrain = (typeof TURNED_GRAINS)[number];

/** A piece that leans lies so far off the thread: cloth is saved, and what is sewn does not twist by much. */
const LEAN: Degrees = 3;

/** How a piece lies, in words. */
export function grainWords(lies: TurnedGrain): Words {
  switch (lies) {
    case "across":
      return "across the cloth";
    case "bias":
      return "on the bias";
    case "clockwise":
      return say`turned ${String(LEAN)}° clockwise`;
    case "anticlockwise":
      return say`turned ${String(LEAN)}° anticlockwise`;
  }
}

/** By how much the thread is turned in the piece: a piece that lies turned has its thread turned the other way. */
const TURNS: Readonly<Record<TurnedGrain, Degrees>> = {
  across: 90,
  bias: 45,
  clockwise: 0 - LEAN,
  anticlockwise: LEAN,
};

/** True where a piece lies a little off the thread, as it may be laid to save cloth. */
export const leans = (lies: TurnedGrain | null): boolean => lies !== null && Math.abs(TURNS[lies]) <= LEAN;

/** A grain line's ends keep this clear of the outline. */
const CLEAR: Mm = 1.5;
/** Shares of its length at which a grain line is looked at. */
const WAYS: readonly number[] = [0, 0.25, 0.5, 0.75, 1];
/** No grain line is drawn shorter than this share of the panel's own. */
const LEAST = 0.02;

/**
 * The thread as it lies in a piece: as drawn; on a piece cut on the fold along the fold, which lies on the thread; turned
 * where its maker lays it across, on the bias, or a little off. Within the outline.
 */
export function grainOf(
  panel: Panel,
  onFold: boolean,
  points: readonly Point[],
  turned: TurnedGrain | null,
): Piece["grain"] {
  const outline = panelOutline(panel);
  const drawn: readonly [Point, Point] = [points[0] as Point, points[points.length - 1] as Point];
  const hasRoom = ([a, b]: readonly [Point, Point]): boolean =>
    WAYS.every((share) => {
      const p = pointBetween(a, b, share);
      return onPanel(outline, p) && distanceToOutline(p, outline) > CLEAR;
    });
  // A narrow part's grain is drawn where there is room for it.
  const [from, to] = hasRoom(drawn) ? drawn : (middleGrain(outline).points as typeof drawn);
  const middle = pointBetween(from, to, 0.5);
  const half = pointDistance(from, to) / 2;
  const along = (unit: Point, by: Mm): Piece["grain"] => [
    pointAdd(middle, pointScale(unit, -by)),
    pointAdd(middle, pointScale(unit, by)),
  ];
  const fold = onFold ? panel.edges.find((edge) => edge.role === "fold") : undefined;
  if (fold) {
    const unit = pointUnit(pointSubtract(pathEnd(fold.path), pathStart(fold.path)));
    return along(unit, pointDot(unit, pointSubtract(to, from)) < 0 ? -half : half);
  }
  if (!turned) return [from, to];
  const [x, y] = pointUnit(pointSubtract(to, from));
  const turn = toRadians(TURNS[turned]);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const unit: Point = [x * c - y * s, x * s + y * c];
  let share = 1;
  while (share > LEAST && !hasRoom(along(unit, half * share))) share *= 0.8;
  return along(unit, half * share);
}

/** A panel whose own grain line is a piece's: what is drawn of it then follows the thread as it lies. */
export const withGrain = (panel: Panel, grain: Piece["grain"]): Panel => ({
  ...panel,
  lines: panel.lines.map((l) => (l.kind === "grain" ? { ...l, points: grain } : l)),
});
