import type { Mm } from "./brands";

/**
 * A number the maker would compute, which can explain itself.
 * `uses` names the measures and other quantities it was made from; `asked` holds the maker's own number
 * where a construction limited it, so that both can be shown.
 */
export interface Quantity {
  readonly mm: Mm;
  readonly formula: string;
  readonly uses: readonly string[];
  readonly estimated: boolean;
  readonly asked?: Mm;
}

/** Makes a quantity; it counts as an estimate when anything it was made from is one. */
export function quantity(mm: Mm, formula: string, from: Readonly<Record<string, Quantity>> = {}, asked?: Mm): Quantity {
  return {
    mm,
    formula,
    uses: Object.keys(from),
    estimated: Object.values(from).some((source) => source.estimated),
    ...(asked !== undefined && Math.abs(asked - mm) > 0.05 ? { asked } : {}),
  };
}

/** A share or a ratio as text, to a hundredth. */
export function ratioText(ratio: number): string {
  return String(Number(ratio.toFixed(2)));
}

/** Millimetres for a sum shown to a reader: one decimal at most, no trailing zero. */
export function plain(mm: Mm): string {
  return String(Math.round(mm * 10) / 10);
}
