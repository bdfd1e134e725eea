import { z } from "zod";
import { SYMPTOM_IDS } from "./symptomIds";

/** One number that a fitting changed, by how many millimetres: a rule of the block, or a parameter of a move. */
const changeSchema = z.union([
  z.strictObject({ rule: z.string().max(60), by: z.number().min(-200).max(200) }),
  z.strictObject({ move: z.string().max(40), param: z.string().max(40), by: z.number().min(-400).max(400) }),
]);
export type FittingChange = z.infer<typeof changeSchema>;

/**
 * What a fitting taught the pattern: what was seen, when and on which side it was pinned, and by how much which numbers
 * changed. The amounts come on top of whatever the school, the style and the maker say, so that they stay when those
 * change.
 */
export const fittingSchema = z.strictObject({
  id: z.string().min(1).max(40),
  date: z.iso.date(),
  seen: z.enum(SYMPTOM_IDS),
  /** Where it was pinned: what was pinned on one side is mirrored to the other, unless it stays there alone. */
  pinned: z.enum(["both", "left", "right"]).default("both"),
  /** It stays on the side it was pinned on; the halves then differ. */
  alone: z.literal(true).optional(),
  words: z.string().max(500).default(""),
  changes: z.array(changeSchema).min(1).max(6),
});
export type Fitting = z.infer<typeof fittingSchema>;
