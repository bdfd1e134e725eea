export * from "./piece";
export * from "./seams";
export { cutPieces, UNNAMED } from "./cutPieces";
export { grainWords, leans, TURNED_GRAINS, withGrain, type TurnedGrain } from "./grain";
export { type CutPlan, type HemCut, type OpeningCut } from "./cutPlan";
export { pathTurn } from "./offset";
export { endWords } from "./signs";
export { rollSeam } from "./roll";
export { layTape, onOutline } from "./layTape";
