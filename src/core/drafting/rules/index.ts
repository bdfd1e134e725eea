export * from "./known";
export * from "./resolve";
export * from "./rows";
