export * from "./piece";
export * from "./seams";
export { cutPieces, type HemCut, type OpeningCut } from "./cutPieces";
export { pathTurn } from "./offset";
