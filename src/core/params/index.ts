export * from "./param";
