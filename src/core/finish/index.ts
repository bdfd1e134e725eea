export * from "./schema";
export * from "./resolve";
export { straightBand } from "./band";
export { facings } from "./facing";
export { cuffOf, STRETCHES } from "./cuff";
