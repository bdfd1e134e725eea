export { allowancesSchema } from "./allowanceSchema";
export { finishSchema, type Finish } from "./schema";
export type { AnyFinish, Room } from "./define";
export { FINISHES } from "./kinds";
export {
  elasticOf,
  grownCentre,
  hangsBelow,
  hemTurnOf,
  opensAt,
  pulledOn,
  resolveFinish,
  waistLevelEffect,
  waistTold,
  zipOf,
} from "./resolve";
export type { ResolvedFinish, ResolvedPocket } from "./resolved";
export { ALLOWANCE_SETS, resolveAllowances, type AllowanceSet, type AllowanceSetId, type Running } from "./allowances";
export { cuffGirth } from "./kinds/cuff";
export { MOST_GAPE, widensOver } from "./kinds/straightBand";
export { elasticLength, elasticWidthOf, STRETCHES } from "./elastic";
export type { Notion } from "./garment";
export { finishGarment } from "./make";
