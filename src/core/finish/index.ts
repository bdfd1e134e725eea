export * from "./schema";
export * from "./resolve";
export { straightBand } from "./band";
export { facings } from "./facing";
export { cuffGirth, cuffOf, STRETCHES } from "./cuff";
