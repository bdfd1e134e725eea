import type { Mm, Radians } from "../units";
import { cubic, hermiteByLevel, line, solveRising, type Path, type Point, type Segment } from "../geometry";

/**
 * Slope (dx/dy) at the knee of a seam through three levels: upright where the leg narrows above and widens below or
 * the reverse, else no steeper than the leg below nor three times the leg above, so that flares do not pinch.
 */
export function kneeSlope(above: number, below: number): number {
  if (above * below <= 0) return 0;
  return Math.sign(above) * Math.min(Math.abs(below), 3 * Math.abs(above));
}

const chordSlope = (from: Point, to: Point): number => (to[0] - from[0]) / (to[1] - from[1]);

/** From the knee to the hem, leaving the knee with a given slope. */
export function kneeToHem(knee: Point, hem: Point, slopeAtKnee: number): Path {
  const chord = chordSlope(knee, hem);
  return Math.abs(slopeAtKnee - chord) < 1e-12 ? [line(knee, hem)] : [hermiteByLevel(knee, hem, slopeAtKnee, chord)];
}

/** A seam through places further and further down, leaving the first with a slope; no stretch between them waves. */
export function seamThrough(places: readonly Point[], start: number, first?: typeof fromHip): Path {
  const slopes = places.slice(0, -1).map((place, i) => {
    const before = places[i - 1];
    return before ? kneeSlope(chordSlope(before, place), chordSlope(place, places[i + 1] as Point)) : start;
  });
  return slopes.flatMap((slope, i) => {
    const [from, to] = [places[i] as Point, places[i + 1] as Point];
    const next = slopes[i + 1];
    if (i === 0 && first && next !== undefined) return [first(from, to, next)];
    return next === undefined ? kneeToHem(from, to, slope) : [hermiteByLevel(from, to, slope, next)];
  });
}

/** Over this much of its way a side turns by no more than this at the hip; more is a corner that puckers. */
const STRETCH: Mm = 60;
const GENTLE: Radians = (11 * Math.PI) / 180;
/** Its handle at the hip, as a share of the way: a third where that is gentle, and up to half where it is not. */
const [USUAL_HANDLE, LONGEST_HANDLE] = [1 / 3, 1 / 2];
/** Where the way up to the waist, or down to the first turn, is no longer than this, the handle is the usual one. */
const SHORT = { up: 100, down: 200 } as const;
/** Stretches begin at the hip, or so far from it. */
const FURTHER: readonly Mm[] = [20, 40, 60, 80, 100, 120];
const LOOKS = 24;

/** The curve of a side that leaves the hip upright, its handle there a share of the way, and arrives at `to` with a slope (dx/dy). */
export function sideFromHip(hip: Point, to: Point, slope: number, handle: number): Segment {
  const way = to[1] - hip[1];
  return cubic(hip, [hip[0], hip[1] + handle * way], [to[0] - (slope * way) / 3, to[1] - way / 3], to);
}

/** The handle at the hip with which a side goes up or down from it: the usual one, and longer where it would corner. */
export function handleAtHip(hip: Point, to: Point, slope: number): number {
  const way = to[1] - hip[1];
  const across = (to[0] - hip[0]) / way;
  const long = Math.abs(way);
  /** How far it leans from the upright so far from the hip: read between places that are worked out from the curve's sums. */
  const leaning = (handle: number): ((away: Mm) => Radians) => {
    const [aways, leans] = [new Float64Array(LOOKS + 1), new Float64Array(LOOKS + 1)];
    for (let i = 0; i <= LOOKS; i++) {
      const t = i / LOOKS;
      const u = 1 - t;
      aways[i] = long * (3 * u * u * t * handle + 2 * u * t * t + t * t * t);
      const beside = 6 * u * t * (across - slope / 3) + t * t * slope;
      const onward = 3 * u * u * handle + 6 * u * t * (2 / 3 - handle) + t * t;
      leans[i] = Math.atan(beside / onward);
    }
    return (away) => {
      let i = 1;
      while (i < LOOKS && (aways[i] as Mm) < away) i++;
      const [from, to] = [aways[i - 1] as Mm, aways[i] as Mm];
      const lean = leans[i - 1] as Radians;
      return lean + (((leans[i] as Radians) - lean) * (away - from)) / (to - from);
    };
  };
  const further = FURTHER.filter((away) => away <= long - STRETCH);
  /** By how much the turn at the hip is less than is gentle, or than the turn further on where that is more. */
  const spare = (handle: number): Radians => {
    const lean = leaning(handle);
    const turned = (from: Mm): Radians => Math.abs(lean(from + STRETCH) - lean(from));
    return Math.max(GENTLE, ...further.map(turned)) - turned(0);
  };
  // On a short way, as a child's, a stretch is most of it: the shorter, the nearer to the usual curve.
  const room = Math.min(1, (long - (way > 0 ? SHORT.down : SHORT.up)) / STRETCH);
  if (room <= 0 || spare(USUAL_HANDLE) >= 0) return USUAL_HANDLE;
  return solveRising(spare, 0, USUAL_HANDLE, USUAL_HANDLE + room * (LONGEST_HANDLE - USUAL_HANDLE));
}

/** A side seam that leaves the hip upright, up or down, and arrives at `to` with a slope (dx/dy); rounded where it would corner. */
export const fromHip = (hip: Point, to: Point, slope: number): Segment =>
  sideFromHip(hip, to, slope, handleAtHip(hip, to, slope));

/** A side that falls straight lies no further than this from its chord. */
const FALLS_WITHIN: Mm = 2.5;

/**
 * The side seam below the hip, through the places where the leg turns, to the hem. It leaves the hip upright; a leg
 * that falls straight runs on in its chord, which is softened toward the upright by as much as nobody sees.
 */
export function lowerSideSeam(hip: Point, turns: readonly Point[], hem: Point, falls: boolean): Path {
  if (!falls) return seamThrough([hip, ...turns, hem], 0, fromHip);
  const chord = chordSlope(hip, hem);
  // A start that differs by d from the chord stands out by 4/27 of d x height.
  const most = (FALLS_WITHIN * 27) / 4 / (hem[1] - hip[1]);
  return seamThrough([hip, hem], chord - Math.sign(chord) * Math.min(Math.abs(chord), most));
}

/** A wide crotch over a short thigh: the inseam still leaves steeply enough for the crotch curve to meet it square. */
const STEEPEST_START = 0.5;

/**
 * The inseam from the crotch point down to the hem. Where the leg turns on its way it starts a little steeper than its
 * chord where it narrows gently, and straight where the thigh is full, so that full thighs come out without a hollow.
 * `straight` draws it as one line to the first place, unless the crotch is too wide for that.
 */
export function inseamDownward(crotchPoint: Point, turns: readonly Point[], hem: Point, straight: boolean): Path {
  const places = [crotchPoint, ...turns, hem];
  const [, next] = places as [Point, Point];
  const chord = chordSlope(crotchPoint, next);
  if (straight && Math.abs(chord) <= STEEPEST_START) {
    const below = turns.length === 0 ? [] : seamThrough(places.slice(1), chord);
    return [line(crotchPoint, next), ...below];
  }
  const steep = Math.max(Math.abs(chord), Math.min(1.4 * Math.abs(chord), 0.2));
  return seamThrough(places, Math.sign(chord) * Math.min(STEEPEST_START, steep));
}
