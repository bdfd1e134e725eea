export * from "./schema";
export * from "./resolve";
export { straightBand } from "./band";
