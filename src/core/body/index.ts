export * from "./measures";
export * from "./card";
export * from "./plausibility";
export * from "./figure";
export * from "./halves";
export * from "./plain";
