export * from "./piece";
export * from "./seams";
export { cutPieces } from "./cutPieces";
export { pathTurn } from "./offset";
