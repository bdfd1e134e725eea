import type { Locale } from "@/core/words";

/** The words of a language: what it says for each English text, and how it writes. Plain data, so that a worker can be told. */
export interface Catalog extends Omit<Locale, "message"> {
  readonly messages: Readonly<Record<string, string>>;
}

let spoken: Catalog | null = null;

/** The words of the language that is spoken, for a worker that is started; null for English. */
export const spokenCatalog = (): Catalog | null => spoken;

/** Keeps which words are spoken. */
export const keepSpoken = (catalog: Catalog): void => void (spoken = catalog);
