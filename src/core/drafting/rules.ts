import { z } from "zod";
import { lengthInputSchema, type Mm } from "../units";

const length = lengthInputSchema;

const hangFrom = z.enum(["crease", "side", "inseam", "offset"]);

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
  width: z
    .strictObject({ from: z.enum(["hip", "waist"]).optional(), add: length.optional() })
    .describe("What a panel's width starts from: a quarter of the hip, or a quarter of the waist with its dart.")
    .optional(),
  ease: z
    .strictObject({ front: length.optional(), back: length.optional() })
    .describe("Ease at the hip, per panel.")
    .optional(),
  hipInch: z
    .enum(["hipOnly", "throughout", "none"])
    .describe("Whether the back's extra width at the hip stays there, runs down the leg, or is left out.")
    .optional(),
  frontExtension: z
    .strictObject({
      from: z.enum(["hip20", "hip16", "quarter4", "hip8", "thigh", "girth", "fixed"]).optional(),
      add: length.optional(),
      value: length.optional(),
    })
    .describe("Front crotch extension, in total, from the centre line.")
    .optional(),
  backExtension: z
    .strictObject({
      from: z.enum(["hip10", "front", "frontTwice", "girth", "fixed"]).optional(),
      add: length.optional(),
      value: length.optional(),
    })
    .describe("Back crotch extension, in total, from the back's own centre line.")
    .optional(),
  back: z
    .strictObject({
      how: z.enum(["slanted", "traced", "hinged", "tilted", "transferred", "redrafted", "repeated"]).optional(),
      crease: z.enum(["front", "own"]).optional(),
      inAtCrotch: length.optional(),
      inAtWaist: length.optional(),
      out: length.optional(),
      rise: z.union([z.literal("auto"), length]).optional(),
      open: length.optional(),
      drop: length.optional(),
      inseamAdd: length.optional(),
      sideAdd: length.optional(),
      kneeAdd: length.optional(),
      increment: length.optional(),
    })
    .describe("How the back is made: slanted, from the traced front in one of several ways, or drawn anew.")
    .optional(),
  waist: z
    .strictObject({
      shaping: z.enum(["darts", "none", "hipWide", "centreBack"]).optional(),
      frontIntake: length.optional(),
      backIntake: length.optional(),
      frontLength: length.optional(),
      backLength: length.optional(),
      frontIn: length.optional(),
      frontDrop: length.optional(),
      sideRise: length.optional(),
      ease: length.optional(),
    })
    .describe("Where the waist is taken in: darts, sides and centres, the centre back, or not at all.")
    .optional(),
  dart: z
    .strictObject({
      at: z.enum(["mid", "crease", "bust", "fixed"]).optional(),
      value: length.optional(),
      run: z.enum(["square", "parallel"]).optional(),
    })
    .describe("Where a dart stands on the waist, and whether it runs square to it or parallel to the centre line.")
    .optional(),
  dropAfterBack: z
    .boolean()
    .describe("Drop the centre front only after the back is made, so that a traced back does not drop with it.")
    .optional(),
  hollow: z
    .strictObject({
      from: z.enum(["asked", "quarter"]).optional(),
      front: length.optional(),
      back: length.optional(),
    })
    .describe("How close the crotch curve comes to its corner, on the diagonal.")
    .optional(),
  curve: z
    .strictObject({
      steer: z.enum(["diagonal", "hipPoint", "outAndUp"]).optional(),
      start: z.enum(["hip", "halfway"]).optional(),
      out: length.optional(),
      up: length.optional(),
    })
    .describe("What steers the crotch curve: the diagonal, a point outside the hip line, or equal ways out and up.")
    .optional(),
  leg: z
    .strictObject({
      fall: z.enum(["shared", "down"]).optional(),
      knee: z.enum(["straight", "bent"]).optional(),
      kneeLine: z.enum(["measured", "half"]).optional(),
      kneeEase: length.optional(),
      hemGirth: z.union([z.literal("auto"), length]).optional(),
      backExtra: length.optional(),
      inseam: z.enum(["auto", "straight"]).optional(),
    })
    .describe("The block's own leg: shared by girth or falling straight down; the back is wider by backExtra.")
    .optional(),
  hang: z
    .union([hangFrom, z.strictObject({ from: hangFrom.optional(), by: length.optional() })])
    .describe("What the leg hangs from: the crease, the side, the inseam, or a crease set off from the middle.")
    .optional(),
  thigh: z
    .strictObject({ below: length.optional(), girth: z.union([z.literal("none"), length]).optional() })
    .describe("A finished girth of one leg at a thigh line below the crotch line; the sides pass through it.")
    .optional(),
  inseam: z
    .strictObject({ backShorter: length.optional() })
    .describe("How much shorter the back inseam is, to be stretched on (0 to 6 mm).")
    .optional(),
  waistLevel: z
    .strictObject({ add: length.optional() })
    .describe("Waist line above (or, negative, below) the natural waist.")
    .optional(),
  level: z
    .strictObject({ high: length.optional() })
    .describe("How far a high waist stands above the natural waist; hip, knee and length still count from the waist.")
    .optional(),
});
export type Rules = z.infer<typeof rulesSchema>;

type Extension<F extends string> = { readonly from: F; readonly add: Mm; readonly value: Mm };

export type BackHow = NonNullable<NonNullable<Rules["back"]>["how"]>;
export type WaistShaping = NonNullable<NonNullable<Rules["waist"]>["shaping"]>;

/** The rules with every length in millimetres and nothing left open. */
export interface ResolvedRules {
  readonly crotchDepth: Extension<"auto" | "measured" | "hip4" | "crotchLength2" | "hipLine" | "fixed">;
  readonly width: { readonly from: "hip" | "waist"; readonly add: Mm };
  readonly ease: { readonly front: Mm; readonly back: Mm };
  readonly hipInch: "hipOnly" | "throughout" | "none";
  readonly frontExtension: Extension<"hip20" | "hip16" | "quarter4" | "hip8" | "thigh" | "girth" | "fixed">;
  readonly backExtension: Extension<"hip10" | "front" | "frontTwice" | "girth" | "fixed">;
  readonly back: {
    readonly how: BackHow;
    readonly crease: "front" | "own";
    readonly inAtCrotch: Mm;
    readonly inAtWaist: Mm;
    readonly out: Mm;
    readonly rise: Mm | "auto";
    readonly open: Mm;
    readonly drop: Mm;
    readonly inseamAdd: Mm;
    readonly sideAdd: Mm;
    readonly kneeAdd: Mm;
    readonly increment: Mm;
  };
  readonly waist: {
    readonly shaping: WaistShaping;
    readonly frontIntake: Mm;
    readonly backIntake: Mm;
    readonly frontLength: Mm;
    readonly backLength: Mm;
    readonly frontIn: Mm;
    readonly frontDrop: Mm;
    readonly sideRise: Mm;
    readonly ease: Mm;
  };
  readonly dart: {
    readonly at: "mid" | "crease" | "bust" | "fixed";
    readonly value: Mm;
    readonly run: "square" | "parallel";
  };
  readonly dropAfterBack: boolean;
  readonly hollow: { readonly from: "asked" | "quarter"; readonly front: Mm; readonly back: Mm };
  readonly curve: {
    readonly steer: "diagonal" | "hipPoint" | "outAndUp";
    readonly start: "hip" | "halfway";
    readonly out: Mm;
    readonly up: Mm;
  };
  readonly leg: {
    readonly fall: "shared" | "down";
    readonly knee: "straight" | "bent";
    readonly kneeLine: "measured" | "half";
    readonly kneeEase: Mm;
    readonly hemGirth: Mm | "auto";
    readonly backExtra: Mm;
    readonly inseam: "auto" | "straight";
  };
  readonly hang: { readonly from: "crease" | "side" | "inseam" | "offset"; readonly by: Mm };
  readonly thigh: { readonly below: Mm; readonly girth: Mm | "none" };
  readonly inseam: { readonly backShorter: Mm };
  readonly waistLevel: { readonly add: Mm };
  readonly level: { readonly high: Mm };
}
