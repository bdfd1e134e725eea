export * from "./known";
export * from "./resolve";
export * from "./rows";
export { type RuleParam, SECTIONS, type Section } from "./define";
