export * from "./panel";
export * from "./rules";
export * from "./drafter";
export { drawLegs } from "./draw";
export { netWaist } from "./waist";
export { CannotDraft } from "./cannotDraft";
export { panelWidths, type LegPlan } from "./plan";
export { draftBlock, type Block } from "./block";
