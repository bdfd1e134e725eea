import { z } from "zod";
import { autoLengthSchema } from "../moves";
import { lengthInputSchema } from "../units";

const undecided = z.literal("undecided");

/**
 * How the garment is finished. Anything may be `"undecided"`: it is then listed and printed, never invented.
 * Absent entries keep the style's own.
 */
export const finishSchema = z.strictObject({
  waist: z
    .union([
      undecided,
      z.strictObject({
        kind: z.literal("straight-band"),
        depth: lengthInputSchema.optional().describe("Finished depth of the band."),
        sits: z
          .enum(["above", "on"])
          .optional()
          .describe("above: the band stands over the waist line; on: its depth is taken off the panels."),
        overlap: lengthInputSchema.optional().describe("Underlap of the band beyond the zip."),
      }),
      z.strictObject({
        kind: z.literal("facing").describe("No band: the waist is turned by a shaped facing, its darts closed."),
        depth: lengthInputSchema.optional().describe("Depth of the facing."),
      }),
      z.strictObject({
        kind: z.literal("cut-on-casing").describe("The waist is finished by the casing cut on to the panels."),
      }),
    ])
    .describe("The waist edge.")
    .optional(),
  fastening: z
    .union([
      undecided,
      z.strictObject({
        kind: z.enum(["zip-centre-back", "zip-side"]).describe("Down the centre back, or down the left side seam."),
        length: autoLengthSchema.optional().describe("Length of the zip below the sewn waist."),
      }),
      z.strictObject({ kind: z.literal("none").describe("It is pulled on.") }),
    ])
    .describe("How the garment opens.")
    .optional(),
  hem: z
    .union([
      undecided,
      z.strictObject({
        kind: z.literal("turned"),
        depth: autoLengthSchema.optional().describe("Depth of the turn-up, mirrored so that it lies flat."),
      }),
      z.strictObject({
        kind: z.literal("cuff").describe("The hem is gathered into a cuff, whose depth comes off the length."),
        depth: lengthInputSchema.optional().describe("Finished depth of the cuff."),
        girth: autoLengthSchema
          .optional()
          .describe("Finished girth, relaxed; auto holds the ankle and lets the heel pass."),
      }),
    ])
    .describe("The hem.")
    .optional(),
});
export type Finish = z.infer<typeof finishSchema>;

/** Allowances by the kind of seam; absent entries keep the set's own. */
export const allowancesSchema = z.strictObject({
  set: z.enum(["woven"]).optional().describe("The set the numbers start from."),
  side: lengthInputSchema.optional(),
  inseam: lengthInputSchema.optional(),
  crotch: lengthInputSchema.optional(),
  zip: lengthInputSchema.optional().describe("Along the zip; it narrows to the crotch's below."),
  waist: lengthInputSchema.optional(),
  band: lengthInputSchema.optional().describe("All round the band."),
});
export type Allowances = z.infer<typeof allowancesSchema>;
