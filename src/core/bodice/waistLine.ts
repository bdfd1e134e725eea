import {
  angleFromTo,
  curveByDirections,
  line,
  meetingParameter,
  newton2,
  pointAdd,
  pointDistance,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  segmentAt,
  segmentLength,
  segmentMap,
  segmentSplit,
  type Point,
  type Segment,
} from "../geometry";
import type { Mm, Radians } from "../units";

/** A waist dart: where its sewn tip is with the darts nearer the centre closed, and how wide it is at the waist. */
export interface WaistDart {
  readonly tip: Point;
  readonly intake: Mm;
}

/** What the waist of half a bodice must meet. x out from the centre line, y down; the side seam comes down to it. */
export interface WaistTask {
  readonly centre: Point;
  /** Sewn length, darts closed. */
  readonly net: Mm;
  readonly darts: readonly WaistDart[];
  /** Unit direction of the side seam downward where it meets the waist at this open place. */
  readonly sideDown: (side: Point) => Point;
  /** `square`: it leaves the centre square, as most do; `symmetric`: as its other end asks, for a waist that is a V. */
  readonly leave: "square" | "symmetric";
  /** How far from square it meets the side; `symmetric`: as its other end asks. Positive closes the corner above it. */
  readonly lean: Radians | "symmetric";
  /** The side place lies below this: a second solution, swung up the side, is never meant. */
  readonly below: Mm;
  /** What has to be nothing besides the length: of the open side place, and of how far the arc is from symmetric. */
  readonly meets: (side: Point, unsymmetric: Mm) => Mm;
}

interface PlacedDart {
  readonly tip: Point;
  readonly angle: Radians;
  readonly t: number;
  readonly mouth: Point;
}

interface Closed {
  readonly curve: Segment;
  readonly darts: readonly PlacedDart[];
  /** The side place with the darts open. */
  readonly side: Point;
  readonly lean: Radians;
  readonly unsymmetric: Mm;
}

/** Opens a place of the side part about the dart tips: the dart nearest the side first. */
function opened(p: Point, darts: readonly Pick<PlacedDart, "tip" | "angle">[]): Point {
  return [...darts].reverse().reduce((q, dart) => pointRotate(q, dart.tip, -dart.angle), p);
}

/** The leg of a dart that is nearer the centre, down from its tip: its middle runs straight down. */
const innerLeg = (angle: Radians): Point => pointRotate([0, 1], [0, 0], angle / 2);

const ROUNDS = 5;

/** The waist with its darts closed, from a guess of its closed side place. */
function drawClosed(task: WaistTask, closedSide: Point): Closed {
  let curve: Segment = line(task.centre, closedSide);
  let darts = task.darts.map(({ tip, intake }): PlacedDart => {
    const r = Math.max(intake, -tip[1]);
    const angle = 2 * Math.asin(Math.min(0.9, intake / 2 / r));
    return { tip, angle, t: (tip[0] - task.centre[0]) / task.net, mouth: tip };
  });
  let [side, square]: [Point, Point] = [closedSide, [1, 0]];
  const chord = pointSubtract(closedSide, task.centre);
  let [leave, arrive]: [Point, Point] = [
    [1, 0],
    [1, 0],
  ];
  for (let round = 0; round < ROUNDS; round++) {
    side = opened(closedSide, darts);
    const turned = darts.reduce((sum, d) => sum + d.angle, 0);
    const down = pointRotate(task.sideDown(side), [0, 0], turned);
    square = [down[1], -down[0]];
    const unit = pointUnit(chord);
    arrive =
      task.lean === "symmetric"
        ? pointRotate(unit, [0, 0], angleFromTo([1, 0], unit))
        : pointRotate(square, [0, 0], task.lean);
    leave = task.leave === "symmetric" ? pointRotate(unit, [0, 0], -angleFromTo(unit, arrive)) : [1, 0];
    curve = curveByDirections(task.centre, leave, closedSide, arrive);
    darts = darts.map((dart, i): PlacedDart => {
      const t = meetingParameter(curve, dart.tip, innerLeg(dart.angle), dart.t);
      const mouth = segmentAt(curve, t);
      const asked = (task.darts[i] as WaistDart).intake;
      return { ...dart, t, mouth, angle: 2 * Math.asin(Math.min(0.9, asked / 2 / pointDistance(mouth, dart.tip))) };
    });
    if (darts.length === 0 && round > 0) break;
  }
  side = opened(closedSide, darts);
  const unsymmetric = (angleFromTo(leave, chord) - angleFromTo(chord, arrive)) * task.net;
  return { curve, darts, side, lean: angleFromTo(square, arrive), unsymmetric };
}

/** A stretch of the drawn waist: of the waist itself, or a dart's mouth with its places. */
export type WaistPart =
  | { readonly is: "waist"; readonly path: Segment }
  | { readonly is: "dart"; readonly from: Point; readonly tip: Point; readonly to: Point; readonly cap: Point };

export interface DrawnWaist {
  /** From the centre to the side, with the darts open. */
  readonly parts: readonly WaistPart[];
  readonly side: Point;
  readonly lean: Radians;
  /** From the centre to each dart along the sewn waist. */
  readonly dartsAt: readonly Mm[];
  readonly dartAngles: readonly Radians[];
}

/** Starts that find the waist of very full and very short bodies too. */
const LIFTS: readonly Mm[] = [0, -15, 15, 40, 80, -40];

/** Solves the waist by the closed place of its side; null where there is none of that length. */
export function drawWaist(task: WaistTask, rise: Mm): DrawnWaist | null {
  for (const lift of LIFTS) {
    const start: Point = [task.centre[0] + task.net * 0.995, task.centre[1] + rise + lift];
    const at = newton2(
      (x) => {
        const drawn = drawClosed(task, x);
        return [segmentLength(drawn.curve) - task.net, task.meets(drawn.side, drawn.unsymmetric)];
      },
      [start[0], start[1]],
      { tolerance: 1e-8 },
    );
    const drawn = at && drawClosed(task, at);
    if (drawn && drawn.side[1] > task.below) return openWaist(drawn);
  }
  return null;
}

/** Opens the darts: the closed waist is split at each, and what lies beyond it is turned open. */
function openWaist({ curve, darts, side, lean }: Closed): DrawnWaist {
  const parts: WaistPart[] = [];
  const dartsAt: Mm[] = [];
  let [rest, from, walked] = [curve, 0, 0];
  darts.forEach((dart, i) => {
    const before = darts.slice(0, i);
    const [own, after] = segmentSplit(rest, (dart.t - from) / (1 - from));
    parts.push({ is: "waist", path: segmentMap(own, (p) => opened(p, before)) });
    walked += segmentLength(own);
    dartsAt.push(walked);
    const [inner, outer] = [opened(dart.mouth, before), opened(dart.mouth, darts.slice(0, i + 1))];
    const tip = opened(dart.tip, before);
    parts.push({ is: "dart", from: inner, tip, to: outer, cap: capOf(curve, dart, (p) => opened(p, before)) });
    [rest, from] = [after, dart.t];
  });
  parts.push({ is: "waist", path: segmentMap(rest, (p) => opened(p, darts)) });
  return { parts, side, lean, dartsAt, dartAngles: darts.map((d) => d.angle) };
}

/** The fold of a dart at its mouth: folded toward the centre it lies on the waist, so it is as long as the tip is from there. */
function capOf(curve: Segment, dart: PlacedDart, open: (p: Point) => Point): Point {
  const leg = pointUnit(pointSubtract(dart.mouth, dart.tip));
  const folded = pointRotate(leg, [0, 0], dart.angle / 2);
  const long = pointDistance(segmentAt(curve, meetingParameter(curve, dart.tip, folded, dart.t - 0.08)), dart.tip);
  const middle = pointRotate(leg, [0, 0], -dart.angle / 2);
  return open(pointAdd(dart.tip, pointScale(middle, long)));
}
