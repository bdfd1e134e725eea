import { z } from "zod";

/** The units a length may be written in. */
export const unitSchema = z.enum(["in", "cm", "mm"]);

/** A length as a person typed it: a bare number in the card's unit, text, or text with its unit beside it. */
export const lengthInputSchema = z.union(
  [
    z.number(),
    z.string().max(40),
    z.strictObject({ value: z.union([z.number(), z.string().max(40)]), unit: unitSchema }),
  ],
  { error: "Write a length: a number, or text such as 72.5 cm or 28 3/8 in." },
);
