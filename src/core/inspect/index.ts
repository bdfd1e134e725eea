import { allowances } from "./allowances";
import type { Check, CheckRule, Inspected } from "./check";
import { floorClearance, pullOn, zipLength } from "./fit";
import { hemTurn } from "./hemTurn";
import { labels } from "./labels";
import { elastic, legSum, pieceFitsCloth, pocketHand } from "./made";
import { crotchLength, footEntry, hipEase, thighEase } from "./onBody";
import { dartLength, hipCorner, mirroredPair } from "./shape";
import { creaseBalance, inseams, sideSeams, waistSeam } from "./lengths";
import { smoothCrotch, smoothHem, smoothWaist } from "./smoothness";

export type { Check, CheckRule, CheckStatus, Inspected, Remedy } from "./check";
export { waistAsStored } from "./check";
export { turnUpExcess } from "./hemTurn";
export { acrossGrain } from "./made";

/** Every check, in the order they are read. */
export const CHECKS: readonly CheckRule[] = [
  sideSeams,
  inseams,
  waistSeam,
  smoothWaist,
  smoothHem,
  smoothCrotch,
  hipCorner,
  creaseBalance,
  hipEase,
  thighEase,
  pullOn,
  crotchLength,
  dartLength,
  zipLength,
  elastic,
  footEntry,
  pocketHand,
  hemTurn,
  floorClearance,
  mirroredPair,
  legSum,
  pieceFitsCloth,
  allowances,
  labels,
];

/** Runs every check that applies. */
export function inspect(inspected: Inspected): Check[] {
  return CHECKS.map((rule) => rule.measure(inspected)).filter((check): check is Check => check !== null);
}
export { readPanels, type Readings } from "./readings";
export { widthBudget, type WidthParts } from "./widths";
export { legGirths, silhouetteOf, type GirthAt } from "./silhouette";
