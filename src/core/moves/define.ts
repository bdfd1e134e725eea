import { z } from "zod";
import {
  autoLengthSchema,
  lengthInputSchema,
  quantity,
  range,
  type AutoLength,
  Refusal,
  say,
  tapeOf,
  type Mm,
  type Quantity,
  type Sentence,
  type Tape,
  type Told,
} from "../units";
import { ownParam, paramOr } from "./auto";
import type { Move, MoveContext } from "./move";

interface Stated {
  /** What it is, as the catalog says. */
  readonly about: string;
  /** Its line on the form. */
  readonly label: string;
  /** Parameters that say the same thing another way, and would win. */
  readonly clears?: readonly string[];
  /** The parameter that this one is solved for, where that is stated and this is not. */
  readonly solvedBy?: string;
  /** Never taken from the style, though it has a parameter of this name. */
  readonly ownOnly?: true;
}

/** A length, typed on the tape. */
export interface LengthParam extends Stated {
  readonly as: "length";
  /** The number of the worksheet line that shows what it came to. */
  readonly shown?: string;
  readonly negative?: true;
  /** Named values offered beside a typed length. */
  readonly names?: readonly string[];
  /** What is taken where nobody says, on either tape or on each, and how its sum goes on. */
  readonly usual?: { readonly mm: Mm | Readonly<Record<Tape, Mm>>; readonly where?: string };
  /** Least and most that can be made, and how a maker is told. */
  readonly within?: readonly [Mm, Mm];
  readonly refusal?: (limits: Told) => Sentence;
  /** What makers state, and a little more: tests try these. */
  readonly tried: readonly [Mm, Mm];
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

/** One of some values, each with its words; the first is usual. */
export interface ChoiceParam extends Stated {
  readonly as: "choice";
  readonly options: readonly (readonly [value: string, words: string])[];
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

export type Param = LengthParam | NumberParam | ChoiceParam | FlagParam | TableParam;

/** A parameter with the schema of its value. */
type With<P extends Param, S extends z.ZodType> = P & { readonly schema: S };

type Of<P extends Param> = Omit<P, "as" | "about">;

/** A length, or `auto`. */
export const length = (about: string, more: Of<LengthParam>): With<LengthParam, typeof autoLengthSchema> => ({
  as: "length",
  about,
  schema: autoLengthSchema,
  ...more,
});

/** A length that has no `auto`: left out, another parameter decides. */
export const statedLength = (about: string, more: Of<LengthParam>): With<LengthParam, typeof lengthInputSchema> => ({
  as: "length",
  about,
  schema: lengthInputSchema,
  ...more,
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

export const choice = <const V extends string>(
  about: string,
  more: Omit<Of<ChoiceParam>, "options"> & { readonly options: readonly (readonly [V, string])[] },
): With<ChoiceParam, z.ZodType<V>> => ({
  as: "choice",
  about,
  schema: z.enum(more.options.map(([value]) => value) as [V, ...V[]]) as unknown as z.ZodType<V>,
  ...more,
});

export const flag = (about: string, more: Of<FlagParam>): With<FlagParam, z.ZodBoolean> => ({
  as: "flag",
  about,
  schema: z.boolean(),
  ...more,
});

export const onTable = <S extends z.ZodType>(about: string, label: string, schema: S): With<TableParam, S> => ({
  as: "table",
  about,
  label,
  schema,
});

type Params = Readonly<Record<string, With<Param, z.ZodType>>>;

/** What a maker may state of some parameters; each may be left out. */
export type StatedOf<P extends Params> = { readonly [K in keyof P]?: z.infer<P[K]["schema"]> | undefined };

type Definition<P extends Params> = Omit<Move<StatedOf<P>>, "schema" | "params"> & { readonly params: P };

/** A move from one statement of its parameters: the schema, the form and the values that tests try follow from it. */
export function defineMove<const P extends Params>(
  definition: Definition<P>,
): Move<StatedOf<P>> & { readonly params: P } {
  const shape = Object.fromEntries(
    Object.entries(definition.params).map(([name, { schema, about }]) => [name, schema.optional().describe(about)]),
  );
  return { ...definition, schema: z.strictObject(shape) as unknown as z.ZodType<StatedOf<P>> };
}

/** Of some parameters, those that are lengths. */
type Lengths<P extends Params> = { [K in keyof P]: P[K] extends LengthParam ? K : never }[keyof P];

/**
 * A length as the maker, the style or the trade states it, within what can be made. Throws Refusal of the parameter,
 * in its own words.
 */
export function askedLength<const P extends Params>(
  move: string,
  params: P,
  name: Lengths<P> & string,
  stated: StatedOf<P>,
  context: MoveContext,
): Quantity {
  const { usual, within, refusal, ownOnly } = params[name] as unknown as LengthParam;
  const own = stated[name] as AutoLength | undefined;
  const { mm: either = 0, where = "" } = usual ?? {};
  const mm = typeof either === "object" ? either[tapeOf(context.unit)] : either;
  const asked =
    (ownOnly ? ownParam(name, own, context) : paramOr(move, name, own, context)) ??
    quantity(mm, say`the usual ${mm}${where && ` ${where}`}`);
  if (within && refusal && (asked.mm < within[0] || asked.mm > within[1]))
    throw new Refusal(name, refusal(range(...within)));
  return asked;
}
