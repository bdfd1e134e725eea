import type { Derived } from "@/core/derive";

/** What the worker works out behind the page: everything after the seam lines. */
export type Proof = Pick<Derived, "band" | "hemDepth" | "pieces" | "seams" | "checks" | "advice" | "undecided"> & {
  readonly notices: readonly string[];
};
