export * from "./piece";
export * from "./seams";
export { cutPieces, type HemCut, type OpeningCut } from "./cutPieces";
export { pathTurn } from "./offset";
export { rollSeam } from "./roll";
export { layTape, onOutline } from "./layTape";
