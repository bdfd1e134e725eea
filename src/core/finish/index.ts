export * from "./schema";
export * from "./resolve";
export { straightBand } from "./band";
export { facings } from "./facing";
