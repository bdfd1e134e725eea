import { z } from "zod";
import { lengthInputSchema } from "../units";

/** An allowance, or one that runs from one width at the edge's start to another at its end. */
const runningSchema = z.union([lengthInputSchema, z.strictObject({ from: lengthInputSchema, to: lengthInputSchema })]);

const width = (words: string) => lengthInputSchema.optional().describe(words);

/** Allowances by the kind of seam, then by single edge; absent entries keep the set's own. */
export const allowancesSchema = z.strictObject({
  set: z
    .enum(["woven", "stretch", "overlocked", "let-out", "children"])
    .optional()
    .describe("The set the numbers start from."),
  side: width("Side seams."),
  inseam: width("Inseams."),
  crotch: width("Crotch seam."),
  zip: width("Along the zip; it narrows to the crotch's below."),
  waist: width("The waist, and what is sewn to it."),
  band: width("All round a band, casing or cuff."),
  style: width("Seams that a cut has made."),
  pocket: width("Pocket openings and bags."),
  shoulder: width("Shoulder seams."),
  neck: width("Neckline."),
  armhole: width("Armholes."),
  corners: z
    .enum(["mitred", "squared"])
    .optional()
    .describe("mitred: cut lines run on until they meet; squared: cut off square to the seam, so that it opens flat."),
  edges: z
    .record(z.string().max(80), runningSchema)
    .optional()
    .describe('Single edges by "panel.edge", or "panel.edge" with a width at each end.'),
});
export type Allowances = z.infer<typeof allowancesSchema>;
