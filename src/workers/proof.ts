import { type Panel } from "@/core/pattern";
import type { Derived } from "@/core/derive";
import type { Worn } from "@/core/derive/worn";
import type { Readings } from "@/core/inspect";
import type { Sentence } from "@/core/units";

/** What the worker works out behind the page: everything after the seam lines. */
export type Proof = Pick<
  Derived,
  "sewn" | "notions" | "hemDepth" | "pieces" | "seams" | "checks" | "advice" | "undecided" | "faults"
> & {
  readonly notices: readonly Sentence[];
};

/** A job as the workroom shows it: its style, its outlines, or why there are none. */
export interface Miniature {
  readonly style: string;
  readonly panels: readonly Panel[];
  readonly message: Sentence | null;
}

/** A garment on its wearer, small, with what it measures; null where it cannot be drawn. */
export interface WornGarment {
  readonly worn: Worn;
  readonly readings: Readings;
}
