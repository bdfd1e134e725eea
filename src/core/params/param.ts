import { z } from "zod";
import {
  autoLengthSchema,
  lengthInputSchema,
  type Mm,
  type Sentence,
  type Tape,
  type Told,
  type Words,
} from "../units";

/** What a garment can be asked for, by whichever act: its finished hem and knee of one leg, its length, what is sewn on below. */
export type Given = "hem" | "knee" | "length" | "cuff";

interface Stated {
  /** What it is, as the catalog says. */
  readonly about: string;
  /** Its line on the form. */
  readonly label: string;
  /** Parameters that say the same thing another way, and would win. */
  readonly clears?: readonly string[];
  /** The parameter that this one is solved for, where that is stated and this is not. */
  readonly solvedBy?: string;
  /** The larger it is, the more cloth the pieces take: it can be made as large as the cloth allows. */
  readonly takesCloth?: true;
  /** What of the garment is asked for by it: whoever has to find or change that looks here. */
  readonly gives?: Given;
  /** The hem follows from it, so that a finished hem that was asked for gives way. */
  readonly leadsHem?: true;
  /** It moves width from one place to another, the total staying what it is. */
  readonly movesWidth?: true;
  /** Never taken from the style, though it has a parameter of this name. */
  readonly ownOnly?: true;
}

/** What can be made, and how a maker is told. */
interface Limited {
  /** Least and most that can be made. */
  readonly within?: readonly [Mm, Mm];
  readonly refusal?: (limits: Told) => Sentence;
}

/** A length on either tape, or on each. */
export type PerTape = Mm | Readonly<Record<Tape, Mm>>;

/** A length, typed on the tape. */
export interface LengthParam extends Stated, Limited {
  readonly as: "length";
  /** The number of the worksheet line that shows what it came to. */
  readonly shown?: string;
  readonly negative?: true;
  /** Named values offered beside a typed length. */
  readonly names?: readonly string[];
  /** A word that may stand in its place, as it is stored and as the form shows it. */
  readonly word?: readonly [stored: string, words: string];
  /** What is taken where nobody says, and how its sum goes on. */
  readonly usual?: { readonly mm: PerTape; readonly where?: string };
  /** What makers state, and a little more: tests try these. What can be made unless said. */
  readonly tried?: readonly [Mm, Mm];
}

/** A count or a ratio. */
export interface NumberParam extends Stated {
  readonly as: "number";
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly usual: number;
  readonly whole?: true;
}

type Options<V extends string = string> = readonly (readonly [value: V, words: Words])[];

/** One of some values, each with its words; the first is usual. */
export interface ChoiceParam<V extends string = string> extends Stated {
  readonly as: "choice";
  readonly options: Options<V>;
}

/** One of some rules by which a length comes about, or a length of its own; the first is usual. */
export interface RuledParam<V extends string = string> extends Stated, Limited {
  readonly as: "ruled";
  readonly options: Options<V>;
}

/** Yes or no, in words. */
export interface FlagParam extends Stated {
  readonly as: "flag";
  readonly yes: string;
  readonly no: string;
  readonly usual: boolean;
}

/** What is set on the table alone. */
export interface TableParam extends Stated {
  readonly as: "table";
}

/** Lengths round the leg, each at a level of its own: as many as are wanted. */
export interface LevelsParam extends Stated {
  readonly as: "levels";
  /** Levels by name. */
  readonly names: readonly string[];
  readonly most: number;
  /** What a new entry starts from: its level below the waist, where it has none by name, and its girth. */
  readonly usual: { readonly at: PerTape; readonly girth: PerTape };
}

export type Param = LengthParam | NumberParam | ChoiceParam | RuledParam | FlagParam | TableParam | LevelsParam;

/** A parameter with the schema of its value. */
export type With<P extends Param, S extends z.ZodType> = P & { readonly schema: S };

type Of<P extends Param> = Omit<P, "as" | "about">;
type AutoParam = LengthParam & { readonly word: readonly ["auto", string] };

const AUTO = ["auto", "worked out by itself"] as const;

/** A length, or `auto`. */
export const length = (
  about: string,
  more: Omit<Of<LengthParam>, "word"> & { readonly auto?: string },
): With<AutoParam, typeof autoLengthSchema> => {
  const { auto, ...rest } = more;
  return { as: "length", about, schema: autoLengthSchema, ...rest, word: auto === undefined ? AUTO : ["auto", auto] };
};

/** A length that has no `auto`: left out, the usual one is taken, or another parameter decides. */
export const statedLength = (
  about: string,
  more: Omit<Of<LengthParam>, "word">,
): With<LengthParam & { readonly word?: undefined }, typeof lengthInputSchema> => ({
  as: "length",
  about,
  schema: lengthInputSchema,
  ...more,
});

/** A length, or a word that says there is none. */
export const lengthOr = <const W extends string>(
  about: string,
  word: readonly [stored: W, words: string],
  more: Omit<Of<LengthParam>, "word">,
): With<LengthParam & { readonly word: readonly [W, string] }, z.ZodType<W | z.infer<typeof lengthInputSchema>>> => ({
  as: "length",
  about,
  schema: z.union([z.literal(word[0]), lengthInputSchema]) as unknown as z.ZodType<
    W | z.infer<typeof lengthInputSchema>
  >,
  ...more,
  word,
});

/** A length or one of some names, as its schema has them. */
export const namedLength = <S extends z.ZodType>(
  about: string,
  schema: S,
  more: Of<LengthParam>,
): With<LengthParam, S> => ({ as: "length", about, schema, ...more });

export const number = (about: string, more: Of<NumberParam>): With<NumberParam, z.ZodNumber> => ({
  as: "number",
  about,
  schema: (more.whole ? z.int() : z.number()).min(more.least).max(more.most),
  ...more,
});

const oneOf = <V extends string>(options: Options<V>): z.ZodType<V> =>
  z.enum(options.map(([value]) => value) as [V, ...V[]]) as unknown as z.ZodType<V>;

export const choice = <const V extends string>(
  about: string,
  more: Of<ChoiceParam<V>>,
): With<ChoiceParam<V>, z.ZodType<V>> => ({ as: "choice", about, schema: oneOf(more.options), ...more });

/** One of some rules, or a length of its own. */
export const ruledLength = <const V extends string>(
  about: string,
  more: Of<RuledParam<V>>,
): With<RuledParam<V>, z.ZodType<V | z.infer<typeof lengthInputSchema>>> => ({
  as: "ruled",
  about,
  schema: z.union([oneOf(more.options), lengthInputSchema]) as unknown as z.ZodType<
    V | z.infer<typeof lengthInputSchema>
  >,
  ...more,
});

export const flag = (about: string, more: Of<FlagParam>): With<FlagParam, z.ZodBoolean> => ({
  as: "flag",
  about,
  schema: z.boolean(),
  ...more,
});

export const onTable = <S extends z.ZodType>(about: string, schema: S, more: Of<TableParam>): With<TableParam, S> => ({
  as: "table",
  about,
  schema,
  ...more,
});

/** Lengths at levels, as their schema has them. */
export const levelList = <S extends z.ZodType>(
  about: string,
  schema: S,
  more: Of<LevelsParam>,
): With<LevelsParam, S> => ({ as: "levels", about, schema, ...more });

/** Parameters by name, each with its schema. */
export type Params = Readonly<Record<string, With<Param, z.ZodType>>>;

/** What a maker may state of some parameters; each may be left out. */
export type StatedOf<P extends Params> = { readonly [K in keyof P]?: z.infer<P[K]["schema"]> | undefined };

/** The schema's entries for some parameters, each optional and described. */
export const shapeOf = (params: Params): Record<string, z.ZodType> =>
  Object.fromEntries(
    Object.entries(params).map(([name, { schema, about }]) => [name, schema.optional().describe(about)]),
  );

/** Some parameters as they are stored: any of them, and nothing else. */
export const schemaOf = <P extends Params>(params: P): z.ZodType<StatedOf<P>> =>
  z.strictObject(shapeOf(params)) as unknown as z.ZodType<StatedOf<P>>;

/** Some parameters read: lengths as `L`, words and numbers as they are. */
export type ReadOf<P extends Params, L> = { readonly [K in keyof P]: ReadParam<P[K], L> };
type ReadParam<Q, L> = Q extends { readonly as: "length" }
  ? Q extends { readonly word: readonly [infer W, string] }
    ? L | W
    : L
  : Q extends RuledParam<infer V>
    ? V | L
    : Q extends ChoiceParam<infer V>
      ? V
      : Q extends FlagParam
        ? boolean
        : Q extends NumberParam
          ? number
          : never;

const INCH: Mm = 25.4;

/**
 * The length that is usual on a tape. One stated in millimetres alone is what metric work takes; in inches the nearest
 * quarter is taken, under 20 mm the nearest eighth, as a maker would say it.
 */
export function usualOn(mm: PerTape, tape: Tape): Mm {
  if (typeof mm === "object") return mm[tape];
  if (tape === "cm") return mm;
  const step = Math.abs(mm) < 20 ? INCH / 8 : INCH / 4;
  return Math.round(mm / step) * step;
}
