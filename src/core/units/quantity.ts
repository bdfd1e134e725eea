import type { Mm } from "./brands";
import { asSentence, type Sentence, type Told, type ToldLength } from "./told";

/**
 * A length the maker would compute, which can explain itself.
 * `sum` says how, in words and numbers; `uses` names the measures and other quantities it was made from; `asked` holds
 * the maker's own number where a construction limited it, so that both can be shown.
 */
export interface Quantity extends ToldLength {
  readonly sum: Sentence;
  readonly uses: readonly string[];
  readonly estimated: boolean;
  readonly asked?: Mm;
}

/** Makes a quantity; it counts as an estimate when anything it was made from is one. */
export function quantity(
  mm: Mm,
  sum: Sentence | string,
  from: Readonly<Record<string, Quantity>> = {},
  asked?: Mm,
): Quantity {
  return {
    kind: "length",
    mm,
    sum: typeof sum === "string" ? asSentence(sum) : sum,
    uses: Object.keys(from),
    estimated: Object.values(from).some((source) => source.estimated),
    ...(asked !== undefined && Math.abs(asked - mm) > 0.05 ? { asked } : {}),
  };
}

/** A number that is no length, with its sum: an angle, a ratio, a count. */
export type Figure = Exclude<Told, ToldLength> & { readonly sum: Sentence };

/** True where a told number is a length that knows its sum. */
export const isQuantity = (told: Told): told is Quantity => told.kind === "length" && "sum" in told;
