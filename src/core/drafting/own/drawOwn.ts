import { panelMap, turnCrotch } from "../../pattern";
import {
  angleFromTo,
  pathAlongAtLevel,
  pathAt,
  pathBent,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathNearest,
  pathStart,
  pathStartTangent,
  pointAdd,
  pointDistance,
  pointRotate,
  pointScale,
  line,
  type Path,
  type Point,
  pointFlipped,
} from "../../geometry";
import { quantity, type Mm, say } from "../../units";
import { assemble, cutAtHem, type Outline } from "../assemble";
import type { DrawnLegs } from "../drawn";
import { seamThrough } from "../legSeams";
import { drawnLeg, type LegPlan, type OwnLegs, type OwnPanel, type Passing } from "../plan";

const same = (a: Passing, b: Passing): boolean =>
  Math.abs(a.side - b.side) < 1e-6 && Math.abs(a.inseam - b.inseam) < 1e-6;

const chord = (from: Point, to: Point): number => (to[0] - from[0]) / (to[1] - from[1]);
const slopeOf = ([dx, dy]: Point): number => (Math.abs(dy) < 1e-6 ? 0 : dx / dy);

/** The start slope a seam already has, kept within what its new chord can take without a wave. */
const keptSlope = (slope: number, run: number): number =>
  slope * run <= 0 ? 0 : Math.sign(run) * Math.min(Math.abs(slope), 3 * Math.abs(run));

/** A seam from `from` through its turns to the hem, leaving with `slope`; above a knee that stays it is as it was. */
function redrawn(seam: Path, from: Mm, slope: number, turns: readonly Point[], hem: Point, kneeStays: boolean): Path {
  const [knee] = turns;
  if (kneeStays && knee) {
    const at = pathNearest(seam, knee).along;
    const above = pathBetween(seam, from, at);
    return [...above, ...seamThrough([pathEnd(above), ...turns.slice(1), hem], slopeOf(pathEndTangent(above)))];
  }
  const start = from < 1e-6 ? pathStart(seam) : pathAt(seam, from).point;
  if (!knee) return [line(start, hem)];
  return seamThrough([start, ...turns, hem], keptSlope(slope, chord(start, knee)));
}

/** The crotch curve turned with the start of the inseam, so that it stays as square to it as it was. */
export function ownCrotchTo(panel: OwnPanel, inseamDown: Path): Path {
  const { crotch } = panel;
  const turn = angleFromTo(pathStartTangent(panel.inseamDown), pathStartTangent(inseamDown));
  if (Math.abs(turn) < 1e-6) return crotch;
  if (crotch[1]?.kind === "line") return turnCrotch(crotch, turn);
  // A curve of several parts is turned to nothing where it begins.
  const [point, begins] = [pathStart(crotch), curveStartOf(crotch)];
  const reach = pointDistance(point, begins);
  const share = (p: Point): number => 1 - Math.min(1, pointDistance(p, point) / reach);
  return pathBent(crotch, (p) => pointRotate(p, point, turn * share(p) ** 2));
}

/** A seam that runs straight on below its end, or is cut off above it, by a difference of levels. */
export function endedAt(path: Path, longer: Mm): Path {
  if (Math.abs(longer) < 1e-9) return path;
  const end = pathEnd(path);
  const level = end[1] + longer;
  if (longer <= 0) return pathBetween(path, 0, pathAlongAtLevel(path, level) ?? pathLength(path));
  const down = pathEndTangent(path);
  return [...path, line(end, pointAdd(end, pointScale(down, longer / Math.max(0.2, down[1]))))];
}

function outlineOf(panel: "front" | "back", legs: LegPlan, block: OwnLegs): Outline {
  const own = block[panel];
  const plan = legs[panel];
  const { waist, dartLines, notches, crotch, hip, hem, side, inseamDown } = own;
  const curveStart = curveStartOf(crotch);
  const rest = { waist, dartLines, notches, crotch, hip, curveStart };
  const { turns, hem: level } = drawnLeg(legs);
  const [first] = turns;
  const kneeStays =
    first !== undefined && same(first[panel], own.knee) && Math.abs(first.level - legs.levels.knee) < 1e-6;
  const keepsWidths = kneeStays && turns.length === 1 && same(plan.hem, own.hemAt);
  const longer = legs.levels.hem - block.hemLevel;
  if (keepsWidths && Math.abs(longer) < 1e-6) return { ...rest, side, inseamDown, hem };
  if (keepsWidths) return { ...rest, side: endedAt(side, longer), inseamDown: endedAt(inseamDown, longer) };
  const alongHip = pathNearest(side, hip).along;
  const through = (at: "side" | "inseam"): Point[] => turns.map((turn): Point => [turn[panel][at], turn.level]);
  const lower = redrawn(
    side,
    alongHip,
    slopeOf(pathAt(side, alongHip).tangent),
    through("side"),
    [plan.hem.side, level],
    kneeStays,
  );
  const inner = redrawn(
    inseamDown,
    0,
    slopeOf(pathStartTangent(inseamDown)),
    through("inseam"),
    [plan.hem.inseam, level],
    kneeStays,
  );
  return {
    ...rest,
    side: [...pathBetween(side, 0, alongHip), ...lower],
    inseamDown: inner,
    crotch: ownCrotchTo(own, inner),
  };
}

/** The last place of the crotch edge that still turns: above it the centre runs straight. */
export function curveStartOf(crotch: Path): Point {
  const last = crotch[crotch.length - 1];
  return last && last.kind === "line" ? last.points[0] : pathEnd(crotch);
}

/** A path longer (or shorter) at its end, straight on. */
export function lengthened(path: Path, by: Mm): Path {
  if (Math.abs(by) < 1e-6) return path;
  if (by < 0) return pathBetween(path, 0, pathLength(path) + by);
  const end = pointAdd(pathEnd(path), pointScale(pathEndTangent(path), by));
  const last = path.at(-1);
  return last?.kind === "line"
    ? [...path.slice(0, -1), line(last.points[0], end)]
    : [...path, line(pathEnd(path), end)];
}

/**
 * A block that was brought in, with side and inseam redrawn below hip and crotch point where a move asks for it. What
 * front and back differed by before, they differ by afterwards: the back's lengths are restored at the hem.
 */
export function drawOwnLegs(legs: LegPlan, own: OwnLegs): DrawnLegs {
  const front = outlineOf("front", legs, own);
  const drawn = outlineOf("back", legs, own);
  const owed = (pick: (o: { readonly side: Path; readonly inseamDown: Path }) => Path): Mm =>
    pathLength(pick(own.back)) - pathLength(pick(own.front)) - (pathLength(pick(drawn)) - pathLength(pick(front)));
  const back: Outline = {
    ...drawn,
    side: lengthened(
      drawn.side,
      owed((o) => o.side),
    ),
    inseamDown: lengthened(
      drawn.inseamDown,
      owed((o) => o.inseamDown),
    ),
  };
  const [frontRun, backRun] = cutAtHem(legs, [front, back]);
  const shorter = pathLength(frontRun.inseamDown) - pathLength(backRun.inseamDown);
  return {
    front: panelMap(assemble("front", legs, frontRun), pointFlipped),
    back: assemble("back", legs, backRun),
    solved: {
      backCrotchDrop: quantity(
        pathStart(backRun.inseamDown)[1] - pathStart(frontRun.inseamDown)[1],
        "measured on the block brought in",
      ),
      backShorter: quantity(shorter, say`front inseam less back's, as brought in: ${shorter}`),
    },
    crotches: null,
  };
}
