import { hasLegs } from "../pattern";
import { allowances } from "./allowances";
import {
  casingTube,
  crotchBelowHip,
  elasticInChannel,
  halfGirths,
  linesMade,
  roundedToTape,
  slitLeg,
  yokeAndFly,
} from "./construction";
import { armhole, backBulge, bodiceMatch, trunk } from "./bodice";
import { faultOf, saidOfFault } from "../units";
import { verdict, type Check, type CheckRule, type Inspected } from "./check";
import { floorClearance, pullOn, waistEase, zipLength } from "./fit";
import { hemTurn } from "./hemTurn";
import { labels } from "./labels";
import { clothEnough, elastic, legSum, lengthSum, pieceFitsCloth, pocketBag, pocketHand } from "./made";
import { bandGapes, crotchLength, footEntry, hipEase, kneeBent, thighEase } from "./onBody";
import { dartLength, hipCorner, mirroredPair } from "./shape";
import { creaseBalance, inseams, sideSeams, waistSeam } from "./lengths";
import { smoothCrotch, smoothHem, smoothWaist } from "./smoothness";
import { facingCovers, neckOpening } from "./tops";

/** Every check, in the order they are read. */
export const CHECKS: readonly CheckRule[] = [
  sideSeams,
  inseams,
  waistSeam,
  bandGapes,
  smoothWaist,
  smoothHem,
  smoothCrotch,
  hipCorner,
  creaseBalance,
  waistEase,
  hipEase,
  thighEase,
  kneeBent,
  pullOn,
  crotchLength,
  crotchBelowHip,
  trunk,
  bodiceMatch,
  backBulge,
  armhole,
  neckOpening,
  facingCovers,
  dartLength,
  zipLength,
  elastic,
  elasticInChannel,
  casingTube,
  footEntry,
  pocketHand,
  pocketBag,
  hemTurn,
  floorClearance,
  mirroredPair,
  legSum,
  lengthSum,
  slitLeg,
  yokeAndFly,
  halfGirths,
  roundedToTape,
  linesMade,
  pieceFitsCloth,
  clothEnough,
  allowances,
  labels,
];

/** Runs every check that applies. */
export function inspect(inspected: Inspected): Check[] {
  const onLegs = hasLegs(inspected.legs);
  return CHECKS.filter((rule) => onLegs || !rule.onLegs)
    .map((rule) => measured(rule, inspected))
    .filter((check): check is Check => check !== null);
}

/** What a check finds; where Eland fails at it, that, and the others are made. */
function measured(rule: CheckRule, inspected: Inspected): Check | null {
  try {
    return rule.measure(inspected);
  } catch (error) {
    const failed = faultOf(rule.label, error);
    return verdict(rule, {
      status: "fault",
      value: 1,
      limit: 0,
      unit: "pieces",
      message: saidOfFault(failed),
      where: null,
      fix: null,
      failed,
    });
  }
}
