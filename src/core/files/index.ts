export * from "./job";
