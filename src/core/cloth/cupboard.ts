import { z } from "zod";
import { lengthInputSchema, unitSchema } from "../units";
import { clothSchema } from "./schema";

/** What is left of a cloth and large enough to keep. */
const remnantSchema = z.strictObject({
  id: z.string().min(1).max(40),
  note: z.string().max(120).default(""),
  length: lengthInputSchema,
  width: lengthInputSchema,
});

/** A cloth of the cupboard: what a job says of its cloth, and what it is. */
export const cupboardClothSchema = clothSchema.extend({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(120),
  unit: unitSchema,
  fibre: z.string().max(60).optional(),
  kind: z.string().max(60).optional(),
  /** Grams a square metre. */
  weight: z.number().min(5).max(2000).optional(),
  /** Colour of its swatch. */
  swatch: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .optional(),
  remnants: z.array(remnantSchema).max(40).default([]),
});
export type CupboardCloth = z.infer<typeof cupboardClothSchema>;
