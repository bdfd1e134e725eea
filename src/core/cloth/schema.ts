import { z } from "zod";
import { TURNED_GRAINS } from "../pieces/grain";
import { lengthInputSchema } from "../units";

/** How cloth lies while it is cut. */
export const FOLDS = ["open", "lengthwise", "across", "partly"] as const;
export type Fold = (typeof FOLDS)[number];
export const FOLD_WORDS: Readonly<Record<Fold, string>> = {
  open: "open",
  lengthwise: "folded lengthwise",
  across: "folded across",
  partly: "folded, then opened out",
};

/** Corners of the outline of a remnant. */
export const MOST_CORNERS = 60;

/** Garments that lie on one cloth beside the one whose cloth it is. */
export const MOST_TOGETHER = 12;

/** A print or weave that comes again: how far apart along the cloth, and the first line from the cut end. */
const repeatSchema = z.strictObject({
  along: lengthInputSchema,
  first: lengthInputSchema.optional(),
});

/** The cloth of a job: what it is, how much of it there is, and how it lies while it is cut. */
export const clothSchema = z.strictObject({
  name: z.string().max(120).optional(),
  /** Usable width, between the selvedges. */
  width: lengthInputSchema.optional(),
  /** Length in hand; left out, it is bought. */
  length: lengthInputSchema.optional(),
  /** Usable width of the lining, where it is another. */
  liningWidth: lengthInputSchema.optional(),
  /** Share by which it gives across the grain: 0.2 is a fifth. */
  stretch: z.number().min(0).max(1).optional(),
  fold: z
    .enum(FOLDS)
    .optional()
    .describe(
      "How it lies: open, folded lengthwise, across, or folded lengthwise for some pieces and opened out for the rest.",
    ),
  foldWidth: lengthInputSchema.optional().describe("Folded so far from its edge; left out, to the middle."),
  nap: z.boolean().optional().describe("One-way: no piece is turned end for end."),
  gap: lengthInputSchema.optional().describe("What stays between two pieces."),
  shrink: z.number().min(0).max(0.5).optional().describe("Share of its length that it loses in the first wash."),
  washed: z.boolean().optional().describe("Washed already: it shrinks no more."),
  repeat: repeatSchema.optional().describe("A print or weave that comes again along it: paired pieces match on it."),
  joined: z
    .array(z.string().max(80))
    .max(60)
    .optional()
    .describe("Pieces that are joined from two along the grain where they are wider than the cloth."),
  grain: z
    .record(z.string().max(80), z.enum(TURNED_GRAINS))
    .optional()
    .describe(
      "Pieces that do not lie with their grain along the cloth: across it, on the bias, or turned three degrees.",
    ),
  outline: z
    .array(z.tuple([lengthInputSchema, lengthInputSchema]))
    .min(3)
    .max(MOST_CORNERS)
    .optional()
    .describe(
      "Corners of a remnant in order, each along the cloth and across it; its width and length are those of the outline.",
    ),
  price: z.number().min(0).max(100_000).optional().describe("Price of a metre, or of a yard on a card in inches."),
});
export type Cloth = z.infer<typeof clothSchema>;
