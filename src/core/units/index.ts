export * from "./brands";
export * from "./length";
export * from "./format";
export * from "./quantity";
