// The writers (pdf, svg) are imported by name where a file is made, so that pages do not carry them.
export * from "./job";
export * from "./handedFile";
export * from "./readJob";
export { JOB_VERSION } from "./migrations";
export type { PrintSet } from "./paper/sheet";
