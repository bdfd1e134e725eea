export * from "./piece";
export * from "./seams";
export { cutPieces, type HemCut, type OpeningCut } from "./cutPieces";
export { pathTurn } from "./offset";
export { rollSeam, type Rolled } from "./roll";
export { layTape, onOutline, type TapeLaid } from "./layTape";
