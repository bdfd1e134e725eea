import { hermiteByLevel, line, type Path, type Point } from "../geometry";

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

/** The side seam below the hip: upright at the hip, through the thigh line where one is stated, the knee, to the hem. */
export function lowerSideSeam(hip: Point, knee: Point, hem: Point, thigh: Point | null = null): Path {
  const slope = kneeSlope(chordSlope(thigh ?? hip, knee), chordSlope(knee, hem));
  if (!thigh) return [hermiteByLevel(hip, knee, 0, slope), ...kneeToHem(knee, hem, slope)];
  const atThigh = kneeSlope(chordSlope(hip, thigh), chordSlope(thigh, knee));
  return [
    hermiteByLevel(hip, thigh, 0, atThigh),
    hermiteByLevel(thigh, knee, atThigh, slope),
    ...kneeToHem(knee, hem, slope),
  ];
}

/** A wide crotch over a short thigh: the inseam still leaves steeply enough for the crotch curve to meet it square. */
const STEEPEST_START = 0.5;

/**
 * The inseam from the crotch point down to the hem. It starts a little steeper than its chord where the leg
 * narrows gently, and straight where the thigh is full, so that full thighs come out without a hollow. `straight`
 * draws it as one line to the knee, unless the crotch is too wide for that.
 */
export function inseamDownward(crotchPoint: Point, knee: Point, hem: Point, straight = false): Path {
  const chord = chordSlope(crotchPoint, knee);
  if (straight && Math.abs(chord) <= STEEPEST_START) return [line(crotchPoint, knee), ...kneeToHem(knee, hem, chord)];
  const steep = Math.max(Math.abs(chord), Math.min(1.4 * Math.abs(chord), 0.2));
  const start = Math.sign(chord) * Math.min(STEEPEST_START, steep);
  const slope = kneeSlope(chord, chordSlope(knee, hem));
  return [hermiteByLevel(crotchPoint, knee, start, slope), ...kneeToHem(knee, hem, slope)];
}
