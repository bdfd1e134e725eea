import { z } from "zod";
import { schemaOf, type Param, type Params, type ReadOf, type StatedOf, type With } from "../../params";
import type { Mm, Sentence, Told, Words } from "../../units";

/** Where on the form a rule stands, in the order in which a block is drawn. */
export const SECTIONS = ["Levels", "Width", "Crotch", "Back", "Waist", "Leg"] as const;
export type Section = (typeof SECTIONS)[number];

/** When a row is shown: each of these rules has one of these values. */
export type When = Readonly<Record<string, readonly string[]>>;

interface OnForm {
  readonly section: Section;
  /** Shown only while these rules are so. */
  readonly when?: When;
  /** Hidden while one of these rules is so. */
  readonly unless?: When;
  /** What it does, where its label does not say enough. */
  readonly note?: Words;
}

/** A number or choice of a rule, and its row on the form. */
export type RuleParam = With<Param, z.ZodType> & OnForm;
type RuleParams = Readonly<Record<string, RuleParam>>;

/** A parameter with its row. */
export const row = <const P extends With<Param, z.ZodType>>(
  section: Section,
  param: P,
  more: Omit<OnForm, "section"> = {},
) => ({
  ...param,
  section,
  ...more,
});

/** What can be drafted, and the sentence that says so. */
export const limited = (least: Mm, most: Mm, refusal: (limits: Told) => Sentence) =>
  ({ within: [least, most], refusal }) as const;

/** A rule of drafting made of several numbers and choices. */
export interface GroupRule<P extends RuleParams> {
  readonly is: "group";
  readonly about: string;
  readonly params: P;
  /** The choice that may be written alone, in place of the group. */
  readonly alone?: string;
  readonly schema: z.ZodType<StatedOf<P>>;
}

/** A rule that is one choice. */
export interface OneRule<P extends RuleParam> {
  readonly is: "one";
  readonly param: P;
  readonly schema: P["schema"];
}

/** A rule of drafting from one statement: schema, limits, usual values and rows follow from it. */
export const defineRule = <const P extends RuleParams>(about: string, params: P): GroupRule<P> => ({
  is: "group",
  about,
  params,
  schema: schemaOf(params as Params) as unknown as z.ZodType<StatedOf<P>>,
});

/** A rule whose choice, or whose numbers, may be written: `"side"` for `{ from: "side" }`. */
export const defineRuleOrWord = <const P extends RuleParams, const A extends keyof P & string>(
  about: string,
  alone: A,
  params: P,
) => ({
  ...defineRule(about, params),
  alone,
  schema: z.union([params[alone]?.schema as z.ZodType, schemaOf(params as Params)]) as unknown as z.ZodType<
    StatedOf<P> | z.infer<P[A]["schema"]>
  >,
});

export const defineChoice = <const P extends RuleParam>(param: P): OneRule<P> => ({
  is: "one",
  param,
  schema: param.schema as P["schema"],
});

export type AnyRule = GroupRule<RuleParams> | OneRule<RuleParam>;

/** What a maker may state of a rule. */
export type StatedRule<R> = R extends { readonly schema: z.ZodType<infer V> } ? V : never;

/** A rule read: lengths in millimetres, nothing left open. */
export type ReadRule<R> = R extends { readonly is: "group"; readonly params: infer P extends RuleParams }
  ? ReadOf<P, Mm>
  : R extends { readonly is: "one"; readonly param: infer P extends RuleParam }
    ? ReadOf<{ one: P }, Mm>["one"]
    : never;
