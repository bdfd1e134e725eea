import { z } from "zod";
import { back, inseam } from "./back";
import { backExtension, curve, frontExtension, hollow } from "./crotch";
import type { AnyRule, ReadRule, StatedRule } from "./define";
import { hang, leg } from "./leg";
import { crotchDepth, level, waistLevel } from "./levels";
import { dart, dropAfterBack, waist } from "./waist";
import { ease, hipInch, thigh, width } from "./width";

/** Every rule of drafting that a maker can change, by its name in a job, in the order of the form. */
export const RULES = {
  crotchDepth,
  level,
  waistLevel,
  width,
  ease,
  hipInch,
  thigh,
  frontExtension,
  backExtension,
  curve,
  hollow,
  back,
  inseam,
  waist,
  dropAfterBack,
  dart,
  leg,
  hang,
} as const;
type Known = typeof RULES;

/** The rules as a maker states them; what is absent is the school's own. */
export type Rules = { [K in keyof Known]?: StatedRule<Known[K]> | undefined };

/** The rules with every length in millimetres and nothing left open. */
export type ResolvedRules = { readonly [K in keyof Known]: ReadRule<Known[K]> };

export type BackHow = ResolvedRules["back"]["how"];
export type WaistShaping = ResolvedRules["waist"]["shaping"];

/** The rules without the types of their parameters. */
export const ANY_RULES = RULES as unknown as Readonly<Record<string, AnyRule>>;

/**
 * The drafting rules a maker can change. Every length is written like any other (number in the card's unit, or
 * text with a unit); `from` and its kin choose a construction. Absent entries keep the school's own value.
 */
export const rulesSchema = z.strictObject(
  Object.fromEntries(
    Object.entries(ANY_RULES).map(([name, rule]) => [
      name,
      rule.schema.describe(rule.is === "group" ? rule.about : rule.param.about).optional(),
    ]),
  ),
) as unknown as z.ZodObject<{ [K in keyof Known]: z.ZodOptional<z.ZodType<StatedRule<Known[K]>>> }>;
