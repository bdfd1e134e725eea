import { quantity, type Mm } from "../units";
import { throughHip, type BackLines } from "./backs";
import type { Drafter } from "./drafter";
import type { Levels } from "./plan";
import type { ResolvedRules } from "./rules";

/** Without darts or elastic, a centre back takes in at most this much beyond its slant. */
const CENTRE_BACK_LIMIT: Mm = 60;
/** A centre back leans in by at most this much per millimetre of height. */
const STEEPEST_CENTRE = 0.36;

/** Sewn waists of front and back, and where the raised centre back stands before and after it takes in. */
export interface Waists {
  readonly front: Mm;
  readonly back: Mm;
  readonly raised: Mm;
  readonly taken: Mm;
  /** True where darts, sides and centres shape the waist to the body. */
  readonly shaped: boolean;
}

/** x of the centre back at its raised end. */
function raisedX(lines: BackLines, levels: Levels): Mm {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  return lines.centreAtWaist + lean * (lines.rise - levels.waist);
}

/** How much the centre back can take in beyond what it has: no further than a centre seam can lean. */
export function takingLimit(lines: BackLines, levels: Levels): Mm {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  const atHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
  const height = levels.hip - levels.waist + lines.rise;
  return Math.max(0, Math.min(CENTRE_BACK_LIMIT, STEEPEST_CENTRE * height - (raisedX(lines, levels) - atHip)));
}

/** The lines with the raised centre back further in, slanted through the hip line. */
export function leanedIn(lines: BackLines, taken: Mm, levels: Levels): BackLines {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  const atHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
  const raised: [Mm, Mm] = [raisedX(lines, levels) + taken, levels.waist - lines.rise];
  return { ...lines, ...throughHip(atHip, raised, levels, lines.centreAtCrotch - lines.crotchX) };
}

export function shareWaist(
  rules: ResolvedRules,
  drafter: Drafter,
  quarter: Mm,
  frontStraight: Mm,
  lines: BackLines,
  levels: Levels,
): Waists {
  const raised = raisedX(lines, levels);
  const backStraight = lines.hipX - raised;
  const { shaping, frontIn } = rules.waist;
  if (shaping === "hipWide") {
    // As wide as the hip: what the centres take in is given back at both sides alike, so that the hip passes.
    const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
    const centreAtHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
    const hip = frontStraight + frontIn + lines.hipX - centreAtHip;
    const lost = Math.max(0, hip - frontStraight - backStraight) / 2;
    drafter.number("waistHipWide", quantity(2 * hip, "as wide as the pattern's hip"));
    return { front: frontStraight + lost, back: backStraight + lost, raised, taken: 0, shaped: false };
  }
  if (shaping === "centreBack") {
    const wanted = Math.max(0, frontStraight + backStraight - quarter - lines.quarter);
    const taken = Math.min(takingLimit(lines, levels), wanted);
    drafter.number(
      "centreBackIntake",
      quantity(taken, "all of the surplus, at the centre back where it can be let out", {}, wanted),
    );
    drafter.number("waistLeft", quantity(2 * (wanted - taken), "surplus left to fit on the cloth"));
    return { front: frontStraight, back: backStraight - taken, raised, taken, shaped: false };
  }
  if (shaping === "frontSide") {
    // The back keeps the front's side; all that is left over is taken in at its centre.
    const atSide = frontStraight - quarter;
    const wanted = Math.max(0, backStraight - atSide - lines.quarter);
    const taken = Math.min(takingLimit(lines, levels), wanted);
    drafter.number("sideTakes", quantity(atSide, "what the front's side takes, and the back's with it"));
    drafter.number(
      "centreBackIntake",
      quantity(taken, "all of the back's surplus, at the centre back where it can be let out", {}, wanted),
    );
    drafter.number("waistLeft", quantity(2 * (wanted - taken), "surplus left to fit on the cloth"));
    return { front: quarter, back: backStraight - atSide - taken, raised, taken, shaped: false };
  }
  return { front: quarter, back: lines.quarter, raised, taken: 0, shaped: true };
}
