// The writers (pdf, svg) are imported by name where a file is made, so that pages do not carry them.
export * from "./job";
export type { PrintSet } from "./sheet";
