export * from "./panel";
export * from "./rules";
export * from "./drafter";
export { drawLegs, type DrawnLegs } from "./draw";
export { netWaist, type DartPlan } from "./waist";
export { CannotDraft, dartBudget, panelWidths, type LegPlan, type Levels } from "./plan";
export { draftBlock, type Block } from "./block";
