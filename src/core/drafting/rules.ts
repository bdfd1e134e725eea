import { z } from "zod";
import { lengthInputSchema, readLength, type LengthInput, type Mm, type Unit } from "../units";

const length = lengthInputSchema;

/**
 * The drafting rules a maker can change. Every length is written like any other (number in the card's unit, or
 * text with a unit); `from` and its kin choose a construction. Absent entries keep the school's own value.
 */
export const rulesSchema = z.strictObject({
  crotchDepth: z
    .strictObject({
      from: z.enum(["auto", "measured", "hip4", "crotchLength2", "hipLine", "fixed"]).optional(),
      add: length.optional(),
      value: length.optional(),
    })
    .describe("Depth of the crotch line below the natural waist.")
    .optional(),
  ease: z
    .strictObject({ front: length.optional(), back: length.optional() })
    .describe("Ease at the hip, per panel.")
    .optional(),
  frontExtension: z
    .strictObject({
      from: z.enum(["hip20", "hip16", "quarter4", "hip8", "thigh", "fixed"]).optional(),
      add: length.optional(),
      value: length.optional(),
    })
    .describe("Front crotch extension, in total, from the centre line.")
    .optional(),
  backExtension: z
    .strictObject({
      from: z.enum(["hip10", "front", "fixed"]).optional(),
      add: length.optional(),
      value: length.optional(),
    })
    .describe("Back crotch extension, in total, from the back's own slanted centre line.")
    .optional(),
  back: z
    .strictObject({
      how: z.enum(["slanted"]).optional(),
      inAtCrotch: length.optional(),
      inAtWaist: length.optional(),
      rise: length.optional(),
    })
    .describe("How the centre back comes in and rises.")
    .optional(),
  waist: z
    .strictObject({
      shaping: z.enum(["darts", "none"]).optional(),
      frontIntake: length.optional(),
      backIntake: length.optional(),
      frontLength: length.optional(),
      backLength: length.optional(),
      frontIn: length.optional(),
      frontDrop: length.optional(),
      sideRise: length.optional(),
      ease: length.optional(),
    })
    .describe("Where the waist is taken in: darts, centre front, side.")
    .optional(),
  hollow: z
    .strictObject({ front: length.optional(), back: length.optional() })
    .describe("How close the crotch curve comes to its corner, on the diagonal.")
    .optional(),
  leg: z
    .strictObject({
      kneeEase: length.optional(),
      hemGirth: z.union([z.literal("auto"), length]).optional(),
      backExtra: length.optional(),
    })
    .describe("The block's own leg, shared about the crease; the back is wider by backExtra.")
    .optional(),
  inseam: z
    .strictObject({ backShorter: length.optional() })
    .describe("How much shorter the back inseam is, to be stretched on (0 to 6 mm).")
    .optional(),
  waistLevel: z
    .strictObject({ add: length.optional() })
    .describe("Waist line above (or, negative, below) the natural waist.")
    .optional(),
});
export type Rules = z.infer<typeof rulesSchema>;

/** The rules with every length in millimetres and nothing left open. */
export interface ResolvedRules {
  readonly crotchDepth: {
    from: "auto" | "measured" | "hip4" | "crotchLength2" | "hipLine" | "fixed";
    add: Mm;
    value: Mm;
  };
  readonly ease: { front: Mm; back: Mm };
  readonly frontExtension: { from: "hip20" | "hip16" | "quarter4" | "hip8" | "thigh" | "fixed"; add: Mm; value: Mm };
  readonly backExtension: { from: "hip10" | "front" | "fixed"; add: Mm; value: Mm };
  readonly back: { how: "slanted"; inAtCrotch: Mm; inAtWaist: Mm; rise: Mm };
  readonly waist: {
    shaping: "darts" | "none";
    frontIntake: Mm;
    backIntake: Mm;
    frontLength: Mm;
    backLength: Mm;
    frontIn: Mm;
    frontDrop: Mm;
    sideRise: Mm;
    ease: Mm;
  };
  readonly hollow: { front: Mm; back: Mm };
  readonly leg: { kneeEase: Mm; hemGirth: Mm | "auto"; backExtra: Mm };
  readonly inseam: { backShorter: Mm };
  readonly waistLevel: { add: Mm };
}

/** A school of drafting: a preset over the rules, in millimetres. */
export interface School {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly rules: ResolvedRules;
}

export const schoolIdSchema = z.enum(["proportional"]);
export type SchoolId = z.infer<typeof schoolIdSchema>;

export const SCHOOLS: Readonly<Record<SchoolId, School>> = {
  proportional: {
    id: "proportional",
    label: "Proportional",
    note: "Widths and extensions are shares of the hip; the back leans in and rises. Suits most figures in firm cloth.",
    rules: {
      crotchDepth: { from: "auto", add: 0, value: 0 },
      ease: { front: 0, back: 25 },
      frontExtension: { from: "hip20", add: 0, value: 0 },
      backExtension: { from: "hip10", add: 0, value: 0 },
      back: { how: "slanted", inAtCrotch: 20, inAtWaist: 50, rise: 40 },
      waist: {
        shaping: "darts",
        frontIntake: 25,
        backIntake: 25,
        frontLength: 125,
        backLength: 150,
        frontIn: 10,
        frontDrop: 8,
        sideRise: 10,
        ease: 0,
      },
      hollow: { front: 25, back: 32 },
      leg: { kneeEase: 60, hemGirth: "auto", backExtra: 25 },
      inseam: { backShorter: 3 },
      waistLevel: { add: 0 },
    },
  },
};

/** Limits of rule lengths in millimetres where more or less cannot be drafted at all. */
const LIMITS: Readonly<Record<string, readonly [Mm, Mm, string]>> = {
  "inseam.backShorter": [0, 6, "The back inseam may be 0 to 6 mm shorter than the front's."],
  "ease.front": [-200, 300, "Ease per panel must lie between -20 and 30 cm."],
  "ease.back": [-200, 300, "Ease per panel must lie between -20 and 30 cm."],
  "back.rise": [0, 120, "The back rise must lie between 0 and 12 cm."],
  "waist.frontLength": [20, 300, "A dart must be 2 to 30 cm long."],
  "waist.backLength": [20, 300, "A dart must be 2 to 30 cm long."],
};

type RuleValues = Readonly<Record<string, unknown>>;

export interface RuleError {
  readonly path: string;
  readonly message: string;
}

/** A rule whose value is not the school's own: which, and by whom it was changed. */
export interface ChangedRule {
  readonly path: string;
  readonly by: "style" | "maker";
}

/**
 * Lays a school's preset, the style's rules and the maker's own over each other and reads their lengths.
 * Returns the rules in millimetres with the list of what differs from the school, or errors with paths.
 */
export function resolveRules(
  school: SchoolId,
  layers: readonly { readonly by: "style" | "maker"; readonly rules: Rules }[],
  unit: Unit,
): { readonly rules: ResolvedRules; readonly changed: readonly ChangedRule[]; readonly errors: readonly RuleError[] } {
  const preset = SCHOOLS[school].rules as unknown as Record<string, RuleValues>;
  const resolved: Record<string, Record<string, unknown>> = {};
  for (const [name, values] of Object.entries(preset)) resolved[name] = { ...values };
  const changed: ChangedRule[] = [];
  const errors: RuleError[] = [];
  for (const { by, rules } of layers) {
    for (const [name, values] of Object.entries(rules)) {
      for (const [key, raw] of Object.entries(values ?? {})) {
        if (raw === undefined) continue;
        const path = `${name}.${key}`;
        const value = readRule(key, raw as LengthInput | string, unit);
        if (typeof value === "object") {
          errors.push({ path: `block.rules.${path}`, message: value.message });
          continue;
        }
        const limit = LIMITS[path];
        if (limit && typeof value === "number" && (value < limit[0] || value > limit[1])) {
          errors.push({ path: `block.rules.${path}`, message: limit[2] });
          continue;
        }
        const group = resolved[name];
        if (group) group[key] = value;
        const before = changed.findIndex((c) => c.path === path);
        if (before >= 0) changed.splice(before, 1);
        if (preset[name]?.[key] !== value) changed.push({ path, by });
      }
    }
  }
  return { rules: resolved as unknown as ResolvedRules, changed, errors };
}

const CHOICES = new Set(["from", "how", "shaping"]);

function readRule(key: string, raw: LengthInput | string, unit: Unit): Mm | string | { readonly message: string } {
  if (CHOICES.has(key) || raw === "auto") return raw as string;
  const read = readLength(raw, unit);
  return read.ok ? read.mm : { message: read.message };
}
