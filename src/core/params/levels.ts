import { z } from "zod";
import { lengthInputSchema } from "../units";

export const LEVEL_NAMES = ["hip", "crotch", "thigh", "knee", "calf", "ankle"] as const;
export type LevelName = (typeof LEVEL_NAMES)[number];

/** A level of the leg: by name, or a length below the natural waist. */
export const levelSchema = z.union([z.enum(LEVEL_NAMES), lengthInputSchema]);

export const LENGTH_NAMES = ["full", "ankle", "calf", "mid-calf", "knee", "shorts"] as const;
export type LengthName = (typeof LENGTH_NAMES)[number];

/** How long the garment is: a named level, or a length below the natural waist. */
export const garmentLengthSchema = z.union([z.literal("auto"), z.enum(LENGTH_NAMES), lengthInputSchema]);
