export * from "./param";
export * from "./read";
