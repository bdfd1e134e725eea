import { z } from "zod";

/** A place in the drawing's own frame, in millimetres. */
export const placeSchema = z.tuple([z.number(), z.number()]);

/** A panel brought in has at most so many darts. */
export const MOST_DARTS = 4;

/** The outline of one panel brought in, with what is drawn inside it. */
export const tracedPanelSchema = z.strictObject({
  /** Outline in millimetres: absolute M, L and C commands, closed with Z. */
  path: z
    .string()
    .min(8)
    .max(400_000)
    .regex(/^[MLCZ\d\s.,eE+-]+$/, "An outline is written with M, L, C and Z alone."),
  /** Darts as mouth, tip, mouth, in millimetres. */
  darts: z
    .array(z.tuple([placeSchema, placeSchema, placeSchema]))
    .max(MOST_DARTS)
    .optional(),
  /** Notches on the outline, in millimetres. */
  notches: z.array(placeSchema).max(60).optional(),
});
export type TracedPanel = z.infer<typeof tracedPanelSchema>;

/** One place each of a list of names. */
export const placesSchema = <P extends string>(names: readonly P[]) =>
  z.strictObject(Object.fromEntries(names.map((name) => [name, placeSchema])) as Record<P, typeof placeSchema>);
