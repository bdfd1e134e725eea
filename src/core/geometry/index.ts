export * from "./point";
export * from "./segment";
export * from "./path";
export * from "./polygon";
export * from "./curves";
export * from "./solve";
export * from "./fit";
export * from "./random";
