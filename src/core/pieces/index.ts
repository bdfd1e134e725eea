export * from "./piece";
export * from "./seams";
export { cutPieces, type CutPlan } from "./cutPieces";
export { pathTurn } from "./offset";
