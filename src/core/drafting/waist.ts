import { type Edge, type PanelLine } from "../pattern";
import {
  angleFromTo,
  curveByDirections,
  newton2,
  pathLength,
  pointAdd,
  pointBetween,
  pointDistance,
  pointQuarterTurn,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  segmentAt,
  segmentLength,
  segmentMap,
  segmentReverse,
  segmentSplit,
  line,
  meetingParameter,
  type Point,
  type Segment,
} from "../geometry";
import { type Mm, type Radians, say, count } from "../units";
import { handleAtHip, sideFromHip } from "./legSeams";

/** Darts of one panel: how many, how wide each mouth is, how long their legs are, where and which way they run. */
export interface DartPlan {
  readonly count: 0 | 1 | 2;
  readonly intake: Mm;
  readonly length: Mm;
  /** From the centre to the middle of the first dart's mouth; null shares the waist evenly. */
  readonly at: Mm | null;
  readonly run: "square" | "parallel";
}

/** What the waist of one panel must meet, in the canonical frame (centre to the left, side to the right). */
export interface WaistTask {
  /** Waist end of the centre line, and the unit direction of the centre line downward there. */
  readonly centre: Point;
  readonly centreDown: Point;
  readonly hip: Point;
  /** Length of the sewn waist with the darts closed. */
  readonly net: Mm;
  readonly darts: DartPlan;
}

interface Closed {
  readonly curve: Segment;
  /** Side point with the darts open. */
  readonly side: Point;
  readonly upperSide: Segment;
  /** Per dart, in the closed frame: tip, place on the waist, curve parameter. */
  readonly darts: readonly {
    readonly tip: Point;
    readonly mouth: Point;
    readonly t: number;
    readonly angle: Radians;
  }[];
  /** Angle (about the square) at which a symmetric arc would reach the side. */
  readonly symmetric: Radians;
}

/** Rounds in which a waist's curve, its darts and its open side settle. */
const ROUNDS = 4;
/** Slope of the side at the waist: a little more than the chord, so that the hip stays round. */
const WAIST_SLOPE = 1.2;

/** Slope of the side at the waist, from where it ends there. */
const slopeAtWaist = (side: Point, hip: Point): number => (WAIST_SLOPE * (hip[0] - side[0])) / (hip[1] - side[1]);

/** Share of the closed waist at which each dart stands: evenly, or the first where the maker wants it. */
export function dartShares(darts: DartPlan, net: Mm): readonly number[] {
  const even = Array.from({ length: darts.count }, (_, i) => (i + 1) / (darts.count + 1));
  if (darts.at === null || darts.count === 0) return even;
  const first = Math.min(0.78, Math.max(0.18, (darts.at - darts.intake / 2) / net));
  return darts.count === 1 ? [first] : [Math.min(first, 0.5), (Math.min(first, 0.5) + 1) / 2];
}

/**
 * Draws the waist with its darts closed from a guessed closed side point. The side part is then turned back
 * open about each dart tip. `lean` is how far from square the waist meets the side (plus opens the corner).
 * The curve, the tips and the open side depend on each other, so a few rounds settle them. `handle` is the side's at the
 * hip, as a share of the way up.
 */
function drawClosed(task: WaistTask, closedSide: Point, lean: Radians, handle: number): Closed {
  const { centre, hip, darts } = task;
  const leave = pointScale(pointQuarterTurn(task.centreDown), -1);
  const chord = pointSubtract(closedSide, centre);
  const angle: Radians = darts.count === 0 ? 0 : 2 * Math.asin(Math.min(0.9, darts.intake / 2 / darts.length));
  // The leg nearer the centre is drawn; the dart's middle stands half its angle beyond it.
  const down =
    darts.run === "parallel" ? pointRotate(task.centreDown, [0, 0], -angle / 2) : pointUnit(pointQuarterTurn(chord));
  const shares = dartShares(darts, task.net);
  let placed: Closed["darts"] = shares.map((t) => {
    const mouth = pointBetween(centre, closedSide, t);
    return { mouth, tip: pointAdd(mouth, pointScale(down, darts.length)), t, angle };
  });
  let curve = line(centre, closedSide);
  let side = closedSide;
  let square: Point = [1, 0];
  for (let round = 0; round < ROUNDS; round++) {
    side = openSide(closedSide, placed);
    square = pointRotate(pointUnit([1, -slopeAtWaist(side, hip)]), [0, 0], -angle * darts.count);
    curve = curveByDirections(centre, leave, closedSide, pointRotate(square, [0, 0], lean));
    placed = placed.map((dart, i) => {
      const base = pointBetween(centre, closedSide, shares[i] as number);
      const t = meetingParameter(curve, base, down, dart.t);
      const mouth = segmentAt(curve, t);
      return { ...dart, t, mouth, tip: pointAdd(mouth, pointScale(down, darts.length)) };
    });
  }
  side = openSide(closedSide, placed);
  const alpha = angleFromTo(leave, chord);
  const symmetric = angleFromTo(square, pointRotate(pointUnit(chord), [0, 0], alpha));
  // From waist to hip: slope 1.2 x chord at the waist, upright at the hip.
  const upperSide = segmentReverse(sideFromHip(hip, side, slopeAtWaist(side, hip), handle));
  return { curve, side, upperSide, darts: placed, symmetric };
}

/** A point of the side part, turned open about the dart tips: the dart nearest the side first. */
function openSide(p: Point, darts: Closed["darts"]): Point {
  let moved = p;
  for (let i = darts.length - 1; i >= 0; i--) {
    const dart = darts[i] as Closed["darts"][number];
    moved = pointRotate(moved, dart.tip, dart.angle);
  }
  return moved;
}

export interface DrawnWaist {
  /** Waist edges and dart mouths from the centre to the side, with the darts open. */
  readonly edges: readonly Edge[];
  readonly dartLines: readonly PanelLine[];
  readonly side: Point;
  readonly upperSide: Segment;
}

export interface WaistPair {
  readonly front: DrawnWaist;
  readonly back: DrawnWaist;
  /** Angle by which the front leaves less than square, and the back more, so that the joined waist runs on. */
  readonly lean: Radians;
}

/**
 * Solves the waists of front and back together. The front side point lies at `frontSideY` and its closed waist is
 * as long as asked; the back side point is found so that its closed waist is as long as asked and the back's
 * waist-to-hip side is `frontUpper + lowerDifference` long, the front's whole side being the same as the back's.
 * Both meet the side at angles that add to a straight line. Null when no such waist exists.
 */
export function drawWaists(front: WaistTask, back: WaistTask, frontSideY: Mm, lowerDifference: Mm): WaistPair | null {
  let lean: Radians = 0;
  let frontGuess: Point = [front.centre[0] + front.net, frontSideY + 2];
  let backGuess: Point = [back.centre[0] + back.net, frontSideY];
  for (let round = 0; ; round++) {
    // Only the last round has to be exact; the first two only find the lean.
    const tolerance = round === 2 ? 1e-6 : 1e-2;
    const closedFront = solveSide(
      front,
      frontGuess,
      -lean,
      (drawn) => drawn.side[1] - frontSideY,
      frontSideY,
      tolerance,
    );
    if (!closedFront) return null;
    const needed = segmentLength(closedFront.drawn.upperSide) + lowerDifference;
    const closedBack = solveSide(
      back,
      backGuess,
      lean,
      (drawn) => segmentLength(drawn.upperSide) - needed,
      frontSideY,
      tolerance,
    );
    if (!closedBack) return null;
    frontGuess = closedFront.at;
    backGuess = closedBack.at;
    if (round === 2) {
      return { front: openWaist(closedFront.drawn), back: openWaist(closedBack.drawn), lean };
    }
    // The lean need not be exact: both panels use the same one, so the joined waist is straight whatever it is.
    lean = (closedBack.drawn.symmetric - closedFront.drawn.symmetric) / 2;
    lean = Math.min(0.35, Math.max(-0.35, lean));
  }
}

function solveSide(
  task: WaistTask,
  guess: Point,
  lean: Radians,
  second: (drawn: Closed) => number,
  expected: Mm,
  tolerance: number,
): { readonly at: Point; readonly drawn: Closed } | null {
  // How round the side is at the hip is worked out from the guess, which is as good as exact by the last round.
  const { side: guessed } = drawClosed(task, guess, lean, 0);
  const handle = handleAtHip(task.hip, guessed, slopeAtWaist(guessed, task.hip));
  // Wide darts lift the closed side far above the open one; a few higher starts cover the fullest figures.
  for (const lift of [0, 30, 60, 100]) {
    const at = newton2(
      (x) => {
        const drawn = drawClosed(task, x, lean, handle);
        return [segmentLength(drawn.curve) - task.net, second(drawn)];
      },
      [guess[0], guess[1] - lift],
      { tolerance },
    );
    if (!at) continue;
    const drawn = drawClosed(task, at, lean, handle);
    // A second solution lies near the hip, with the waist swung down the side: it is never meant.
    if (drawn.side[1] < expected + 0.35 * (task.hip[1] - expected)) return { at, drawn };
  }
  return null;
}

/** Opens the darts: splits the closed waist at the dart lines and turns the parts beyond each dart open. */
function openWaist(closed: Closed): DrawnWaist {
  const edges: Edge[] = [];
  const dartLines: PanelLine[] = [];
  let rest = closed.curve;
  let restFrom = 0;
  closed.darts.forEach((dart, i) => {
    const open = (p: Point): Point => openSide(p, closed.darts.slice(0, i));
    const turned = (p: Point): Point => openSide(p, closed.darts.slice(0, i + 1));
    const [before, after] = segmentSplit(rest, (dart.t - restFrom) / (1 - restFrom));
    edges.push(waistEdge(edges.length, segmentMap(before, open)));
    const cap = dartCap(closed.curve, dart);
    const capOpen = open(pointRotate(dart.mouth, dart.tip, dart.angle / 2));
    const tip = open(dart.tip);
    const capPoint = pointAdd(tip, pointScale(pointUnit(pointSubtract(capOpen, tip)), cap));
    const [from, to] = [open(dart.mouth), turned(dart.mouth)];
    edges.push({
      id: i === 0 ? "dart" : `dart-${i + 1}`,
      role: "dart",
      name: closed.darts.length === 1 ? "dart" : say`dart ${count(i + 1)}`,
      path: [line(from, capPoint), line(capPoint, to)],
    });
    dartLines.push({ kind: "dart", points: [from, tip, to] });
    rest = after;
    restFrom = dart.t;
  });
  edges.push(
    waistEdge(
      edges.length,
      segmentMap(rest, (p) => openSide(p, closed.darts)),
    ),
  );
  return { edges, dartLines, side: closed.side, upperSide: closed.upperSide };
}

function waistEdge(before: number, segment: Segment): Edge {
  const n = before / 2 + 1;
  return { id: n === 1 ? "waist" : `waist-${n}`, role: "waist", name: "waist", path: [segment] };
}

/**
 * Height of the dart's fold above its tip, so that the folded dart's cap lies on the waist line: the fold, turned
 * toward the centre by half the dart's angle, is as long as the waist is far away there.
 */
function dartCap(curve: Segment, dart: Closed["darts"][number]): Mm {
  const along = pointRotate(dart.mouth, dart.tip, -dart.angle / 2);
  const direction = pointUnit(pointSubtract(along, dart.tip));
  const t = meetingParameter(curve, dart.tip, direction, dart.t - 0.08);
  return pointDistance(segmentAt(curve, t), dart.tip);
}

/** Length of the sewn waist of drawn edges: the waist parts without the dart mouths. */
export function netWaist(edges: readonly Edge[]): Mm {
  return edges.filter((e) => e.role === "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
}
