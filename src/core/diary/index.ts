export * from "./schema";
