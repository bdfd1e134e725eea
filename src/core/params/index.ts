export * from "./levels";
export * from "./param";
export * from "./read";
