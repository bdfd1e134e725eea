import { z } from "zod";
import { lengthInputSchema } from "./lengthSchema";

/** A length, or `"auto"`: computed from the body or the style, and shown with its sum. */
export const autoLengthSchema = z.union([z.literal("auto"), lengthInputSchema], {
  error: "Write a length, such as 72.5 cm or 28 3/8 in, or auto.",
});
export type AutoLength = z.infer<typeof autoLengthSchema>;
