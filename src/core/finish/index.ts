export { allowancesSchema, finishSchema, type Finish } from "./schema";
export { pulledOn, resolveFinish, waistLevelEffect } from "./resolve";
export type { ResolvedFinish, ResolvedPocket } from "./resolved";
export { ALLOWANCE_SETS, resolveAllowances, type AllowanceSet, type AllowanceSetId, type Running } from "./allowances";
export { cuffGirth } from "./cuff";
export { elasticLength, elasticOf, STRETCHES } from "./elastic";
export type { Notion } from "./garment";
export { finishGarment } from "./make";
