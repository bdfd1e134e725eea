export * from "./brands";
export * from "./length";
export * from "./format";
export * from "./told";
export * from "./tell";
export * from "./quantity";
export * from "./refusal";
