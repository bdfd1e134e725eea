import { z } from "zod";
import { paperSchema, type Paper } from "./papers";

/** How pieces are laid on paper: side by side, turned into each other to save paper, or each on pages of its own. */
export const ARRANGEMENTS = ["beside", "nested", "apart"] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** Which outlines are drawn. */
export const OUTLINES = ["both", "cut", "seam"] as const;
/** How pages are joined: the next one glued over a centimetre, or trimmed to the frame and laid edge to edge. */
export const PAGE_JOINS = ["overlap", "trim"] as const;
/** In which order pages come: row by row, or column by column. */
export const PAGE_ORDERS = ["rows", "columns"] as const;

/** What is printed, and how. Missing choices are the usual ones. */
export interface PrintOptions {
  readonly paper: Paper;
  readonly arrange: Arrangement;
  readonly outlines: (typeof OUTLINES)[number];
  /** Darts, pleats, folds and placements inside the pieces. */
  readonly inner: boolean;
  readonly join: (typeof PAGE_JOINS)[number];
  readonly order: (typeof PAGE_ORDERS)[number];
  /** Only these pieces, by id; null for all. */
  readonly pieces: readonly string[] | null;
  /** A projector's page: light lines on black. */
  readonly inverted: boolean;
}

const flag = (usual: boolean) =>
  z
    .enum(["yes", "no"])
    .transform((word) => word === "yes")
    .default(usual);

/** Print options as words, as they stand in an address. */
export const printOptionsSchema = z.object({
  paper: paperSchema.default({ on: "sheets", size: "a4" }),
  arrange: z.enum(ARRANGEMENTS).default("beside"),
  outlines: z.enum(OUTLINES).default("both"),
  inner: flag(true),
  join: z.enum(PAGE_JOINS).default("overlap"),
  order: z.enum(PAGE_ORDERS).default("rows"),
  pieces: z
    .string()
    .transform((list) => list.split(",").filter(Boolean))
    .nullable()
    .default(null),
  inverted: flag(false),
});

/** The usual choices on A4. */
export const USUAL_PRINT: PrintOptions = printOptionsSchema.parse({});
