export * from "./measures";
export * from "./card";
export * from "./plausibility";
export * from "./figure";
