export * from "./brands";
export * from "./length";
export * from "./auto";
export * from "./format";
export * from "./told";
export * from "./tell";
export * from "./quantity";
export * from "./refusal";
