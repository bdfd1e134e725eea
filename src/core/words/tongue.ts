/**
 * What the core needs of a language: how it says what is said in English (plain words, and templates whose places are `{1}`,
 * `{2}` … in the order of English, or `{name}`), and how it writes. White space at the ends is no part of a text.
 */
export interface Locale {
  /** The language's tag, as pages and dates are marked with it: "de". */
  readonly tag: string;
  /** What stands between the whole and the tenths of a number. */
  readonly decimalMark: "." | ",";
  /** True where words keep their first letter inside a sentence, as German nouns do. */
  readonly keepsCapitals: boolean;
  /** The English text in this language; undefined where it has none. */
  readonly message: (english: string) => string | undefined;
}

/** A template in another tongue: its words, and between them the numbers (from 0) of the English places. */
type Reworded = readonly (string | number)[];

let spoken: Locale | null = null;
const reworded = new Map<string, Reworded>();
/** Templates that were looked up; a program has a few thousand. */
const MOST_REWORDED = 6000;

/** The tongue everything is said in from here on; null is English. One page, one worker: one tongue. */
export function speak(locale: Locale | null): void {
  spoken = locale;
  reworded.clear();
}

/** True where another language than English is spoken. */
export const isTranslated = (): boolean => spoken !== null;

/** The tag of what is spoken. */
export const tongueTag = (): string => spoken?.tag ?? "en";

/** What makers typed, lately; it is theirs in every tongue. */
const typed = new Set<string>();
/** So much of it is remembered: more than a workroom shows. */
const MOST_TYPED = 20_000;
/** Fields of what is kept that hold a maker's own words. */
const TYPED_IN: ReadonlySet<string> = new Set(["name", "note", "words", "caption", "meant"]);

/** Keeps the words that a maker typed into a record of hers from being looked up as the program's. Bytes are read over. */
export function keepAsTyped(record: unknown, isTyped = false): void {
  if (typeof record === "string") {
    const text = record.trim();
    if (!isTyped || text === "" || typed.has(text)) return;
    if (typed.size >= MOST_TYPED) typed.delete(typed.values().next().value as string);
    typed.add(text);
    return;
  }
  if (typeof record !== "object" || record === null || ArrayBuffer.isView(record)) return;
  // Outlines and lays are thousands of numbers, and hold no word.
  if (Array.isArray(record) && typeof record[0] === "number") return;
  for (const [field, value] of Object.entries(record))
    keepAsTyped(value, Array.isArray(record) || isTyped ? isTyped : TYPED_IN.has(field));
}

const ENDS = /^(\s*)([\s\S]*?)(\s*)$/;

/** The same in the tongue that is spoken; what it has no words for, such as the maker's own, stays as it is. */
export function inTongue(text: string): string {
  if (!spoken || text === "" || typed.has(text.trim())) return text;
  const whole = spoken.message(text);
  if (whole !== undefined) return whole;
  const [, before = "", middle = "", after = ""] = ENDS.exec(text) ?? [];
  const known = spoken.message(middle);
  return known === undefined ? text : `${before}${known}${after}`;
}

/** True where words keep their first letter inside a sentence. */
export const keepsCapitals = (): boolean => spoken?.keepsCapitals ?? false;

/** A name as it stands inside a sentence: small in English. */
export const inSentence = (name: string): string => (keepsCapitals() ? inTongue(name) : inTongue(name).toLowerCase());

/** A word as it stands at the head of a line: large. */
export function capital(word: string): string {
  const said = inTongue(word);
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** A template by its English words, with the order its places have in the tongue that is spoken; null where it has none. */
export function rewordedTemplate(english: readonly string[]): Reworded | null {
  if (!spoken) return null;
  const template = english.reduce((all, part, i) => (i === 0 ? part : `${all}{${i}}${part}`), "");
  const known = reworded.get(template);
  if (known) return known;
  const said = inTongue(template);
  if (said === template) return null;
  const found = readPlaces(said, english.length - 1);
  if (reworded.size >= MOST_REWORDED) reworded.clear();
  reworded.set(template, found);
  return found;
}

/** "{2} of {1}" as the numbers of its places, from 0, with the words between them. */
function readPlaces(template: string, places: number): Reworded {
  return template.split(/\{(\d+)\}/).map((part, i) => {
    if (i % 2 === 0) return part;
    const place = Number(part) - 1;
    if (place >= places) throw new RangeError(`the message “${template}” has a place that is not in English`);
    return place;
  });
}

/**
 * Text from a template with values in it, in the tongue that is spoken. A value that stands in braces of its own
 * (`{${"hem"}}`) is the name of a number, and stays.
 */
export function phrase(english: readonly string[], ...values: readonly (string | number | undefined)[]): string {
  const value = (i: number): string => {
    const given = values[i] ?? "";
    return typeof given === "string" && !english[i]?.endsWith("{") ? inTongue(given) : String(given);
  };
  const order = rewordedTemplate(english);
  if (order) return order.map((part) => (typeof part === "string" ? part : value(part))).join("");
  return english.map((part, i) => (i < values.length ? part + value(i) : part)).join("");
}

/** Names and the like one after the other, each in the tongue that is spoken. */
export const listOf = (parts: readonly string[], between = ", "): string => parts.map(inTongue).join(between);

/** A decimal number as the tongue writes it. */
export const decimal = (text: string): string =>
  spoken?.decimalMark === "," ? text.replace(/(\d)\.(\d)/g, "$1,$2") : text;
