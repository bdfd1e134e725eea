import { z } from "zod";
import { lengthInputSchema } from "../../units";
import { placesSchema, tracedPanelSchema } from "../../tracing";

/** Places that say what the lines of a block brought in are. */
export const OWN_LANDMARKS = [
  "waistCentre",
  "waistSide",
  "hipSide",
  "crotchPoint",
  "kneeSide",
  "kneeInseam",
  "hemSide",
  "hemInseam",
  "creaseTop",
  "creaseHem",
] as const;
export type OwnLandmark = (typeof OWN_LANDMARKS)[number];

const landmarks = placesSchema(OWN_LANDMARKS);

/**
 * A block that already fits, brought in: the right half's front and back with the places that say what is what.
 * It does not change with the card. `allowance` is what the outline still holds at every edge, or edge by edge.
 */
export const ownBlockSchema = z.strictObject({
  name: z.string().max(120).optional(),
  panels: z.strictObject({ front: tracedPanelSchema, back: tracedPanelSchema }),
  landmarks: z.strictObject({ front: landmarks, back: landmarks }),
  allowance: z
    .union([
      lengthInputSchema,
      z.strictObject({
        waist: lengthInputSchema.optional(),
        side: lengthInputSchema.optional(),
        hem: lengthInputSchema.optional(),
        inseam: lengthInputSchema.optional(),
        crotch: lengthInputSchema.optional(),
      }),
    ])
    .optional()
    .describe("What the outline holds beyond its seam lines."),
  reconcile: z.boolean().optional().describe("Make side and inseam of front and back agree."),
});
export type OwnBlock = z.infer<typeof ownBlockSchema>;
export type OwnPanelLandmarks = OwnBlock["landmarks"]["front"];
