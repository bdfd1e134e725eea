import { schemaOf, usualOn, type LengthParam, type Params, type StatedOf } from "../params";
import { quantity, range, type AutoLength, Refusal, say, tapeOf, type Quantity } from "../units";
import { ownParam, paramOr } from "./auto";
import type { Move, MoveContext } from "./move";

type Definition<P extends Params, F> = Omit<Move<StatedOf<P>, F>, "schema" | "params"> & { readonly params: P };

/** A move from one statement of its parameters: the schema, the form and the values that tests try follow from it. */
export function defineMove<const P extends Params, F>(
  definition: Definition<P, F>,
): Move<StatedOf<P>, F> & { readonly params: P } {
  return { ...definition, schema: schemaOf(definition.params) };
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
  const mm = usualOn(either, tapeOf(context.unit));
  const asked =
    (ownOnly ? ownParam(name, own, context) : paramOr(move, name, own, context)) ??
    quantity(mm, say`the usual ${mm}${where && ` ${where}`}`);
  if (within && refusal && (asked.mm < within[0] || asked.mm > within[1]))
    throw new Refusal(name, refusal(range(...within)));
  return asked;
}
