export * from "./job";
export { PAPERS, PT_PER_MM, tilesOf, writePdf, type Paper } from "./pdf";
export { layOnSheet, type PrintSet } from "./sheet";
export { writeSvg } from "./svg";
