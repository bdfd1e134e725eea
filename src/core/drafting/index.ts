export { LEG_JOINS } from "./legJoins";
export * from "./rules";
export * from "./schools";

export * from "./drafter";
export { ABOVE_HIP, WIDEST_DART } from "./darts";
export { drawSettledLegs } from "./settleHem";
export { netWaist } from "./waist";
export {
  hipWideWaists,
  withHipWideWaist,
  drawnLeg,
  hemGirthOf,
  turnGirth,
  passingAbove,
  passingBelow,
  panelWidths,
  passingOf,
  shiftPanel,
  type LegPlan,
  type OwnLegs,
  type OwnPanel,
  type PanelPlan,
  type Passing,
  type Turn,
} from "./plan";
export { loweredCrotch } from "./own/alterLeg";
export { loweredWaist } from "./own/alterWaist";
export { between, eased } from "./own/runOut";
export { startMoved, walked } from "./own/walk";
export { altersOwnBlock, type OwnCorrection } from "./own/corrected";
export { endedAt, ownCrotchTo } from "./own/drawOwn";
export { ownBlock } from "./own/ownBlock";
export { LEG_OUTLINE } from "./own/ownOutline";
export * from "./own/schema";
export { draftBlock, type Block } from "./block";
