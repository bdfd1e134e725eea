export * from "./piece";
export * from "./seams";
export { cutPieces, cutWords } from "./cutPieces";
export { pathTurn } from "./offset";
