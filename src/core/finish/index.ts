export { allowancesSchema, finishSchema, type Finish } from "./schema";
export { pulledOn, resolveFinish, waistLevelEffect, type ResolvedFinish, type ResolvedPocket } from "./resolve";
export { ALLOWANCE_SETS, resolveAllowances, type AllowanceSet, type AllowanceSetId, type Running } from "./allowances";
export { cuffGirth } from "./cuff";
export { elasticLength, elasticOf, STRETCHES } from "./elastic";
export type { Notion } from "./garment";
export { finishGarment } from "./make";
