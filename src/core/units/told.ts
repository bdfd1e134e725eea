import { inTongue, keepsCapitals } from "../words";
import type { Degrees, Mm } from "./brands";

/** A length: told on the maker's tape. */
export interface ToldLength {
  readonly kind: "length";
  readonly mm: Mm;
}

/** Two lengths between which something lies: told on the tape with their unit once. */
interface ToldRange {
  readonly kind: "range";
  readonly low: Mm;
  readonly high: Mm;
  readonly word: "to" | "and";
}

/** A tolerance of making, finer than any tape: told in millimetres whatever the tape is. */
interface ToldMaking {
  readonly kind: "making";
  readonly mm: Mm;
}

interface ToldAngle {
  readonly kind: "angle";
  readonly degrees: Degrees;
}

interface ToldRatio {
  readonly kind: "ratio";
  readonly ratio: number;
}

interface ToldCount {
  readonly kind: "count";
  readonly count: number;
}

/** What somebody wrote herself: told as it stands, in every language. */
interface ToldTyped {
  readonly kind: "typed";
  readonly text: string;
}

/** A number within a sentence, of the kind that says how it is told; or what somebody wrote. */
export type Told = ToldLength | ToldRange | ToldMaking | ToldAngle | ToldRatio | ToldCount | ToldTyped;

/** What stands in a place of a sentence: a number, what somebody wrote, a word of the program, or another sentence. */
export type Value = string | Told | Sentence;

/**
 * What is said to a reader: a text in English and what stands in its places, `{1}`, `{2}` … or `{name}`. A sum ("hip 104 / 4 +
 * 2.5") is one as well. No word of it is looked up before it is told, and then by its whole text.
 */
export interface Sentence {
  readonly text: string;
  readonly values: Readonly<Record<string, Value>>;
  /** It stands inside another, with small letters where the language writes it so. */
  readonly isInside?: true;
}

export const making = (mm: Mm): ToldMaking => ({ kind: "making", mm });
export const angle = (degrees: Degrees): ToldAngle => ({ kind: "angle", degrees });
export const ratio = (value: number): ToldRatio => ({ kind: "ratio", ratio: value });
export const count = (value: number): ToldCount => ({ kind: "count", count: value });
export const typed = (text: string): ToldTyped => ({ kind: "typed", text });
/** "3 to 12 cm"; a range stated the wrong way round reads upward. */
export const range = (a: Mm, b: Mm, word: "to" | "and" = "to"): ToldRange => ({
  kind: "range",
  low: Math.min(a, b),
  high: Math.max(a, b),
  word,
});

/** Words of a label: plain, or a sentence with numbers in it. */
export type Words = string | Sentence;

/** A sentence of words alone. */
export const asSentence = (text: string): Sentence => ({ text, values: {} });

/** The place of a number by its name, to stand in a sentence that is filled later. */
export const named = (name: string): string => `{${name}}`;

/** Nothing said. */
export const NOTHING: Sentence = asSentence("");

const isSentence = (value: Value): value is Sentence => typeof value === "object" && "values" in value;

/** Texts of templates that were told, by the template itself: one in the source is one for ever. */
const texts = new WeakMap<readonly string[], string>();

function textOfTemplate(template: readonly string[]): string {
  const known = texts.get(template);
  if (known !== undefined) return known;
  const text = template.reduce((all, part, i) => (i === 0 ? part : `${all}{${i}}${part}`), "");
  texts.set(template, text);
  return text;
}

/** Makes a sentence from a template: a bare number in it is a length in millimetres, a text a word of the program. */
export function say(template: readonly string[], ...values: readonly (Mm | Value)[]): Sentence {
  const placed: Record<string, Value> = {};
  for (let i = 0; i < values.length; i++) {
    const value = values[i] as Mm | Value;
    placed[i + 1] = typeof value === "number" ? { kind: "length", mm: value } : value;
  }
  return { text: textOfTemplate(template), values: placed };
}

/** A name as it stands inside a sentence: small in English, as it is where nouns are large. */
export const inside = (words: Words): Sentence => ({
  ...(typeof words === "string" ? asSentence(words) : words),
  isInside: true,
});

/** Sentences one after another, with what stands between each two. */
export function joined(sentences: readonly Words[], between = ""): Sentence {
  const [first] = sentences;
  if (first !== undefined && sentences.length === 1) return typeof first === "string" ? asSentence(first) : first;
  const text = sentences.map((_, i) => `{${i + 1}}`).join(between);
  return { text, values: Object.fromEntries(sentences.map((sentence, i) => [String(i + 1), sentence])) };
}

/**
 * A sentence as it is read: words in the language that is spoken, and between them the numbers. Its own text is looked up as a
 * whole, then what stands in its places, each by itself.
 */
export function partsOf(sentence: Sentence): readonly (string | Told)[] {
  const parts: (string | Told)[] = [];
  const add = (part: string | Told): void => {
    const last = parts.length - 1;
    if (part === "") return;
    if (typeof part === "string" && typeof parts[last] === "string") parts[last] += part;
    else parts.push(part);
  };
  const small = (text: string): string => (sentence.isInside && !keepsCapitals() ? text.toLowerCase() : text);
  for (const part of templateOf(inTongue(sentence.text)).parts) {
    if (typeof part === "string") {
      add(small(part));
      continue;
    }
    const value = Object.hasOwn(sentence.values, part.name) ? sentence.values[part.name] : undefined;
    // Braces that somebody wrote are no place.
    if (value === undefined) add(`{${part.name}}`);
    else if (typeof value === "string") add(small(inTongue(value)));
    else if (isSentence(value)) partsOf(sentence.isInside ? inside(value) : value).forEach(add);
    else add(value.kind === "typed" ? value.text : value);
  }
  return parts;
}

/** True where nothing is said. */
export const isNothing = ({ text }: Sentence): boolean => text === "";

/** A template in its parts: words, and the names of the numbers between them. */
export interface Template {
  readonly parts: readonly (string | { readonly name: string })[];
  readonly names: readonly string[];
}

/** Templates that were read; a program has a few hundred, but some hold words that the maker chose. */
const templates = new Map<string, Template>();
const MOST_TEMPLATES = 2000;

/** Reads a template's `{name}` places, once for each template. */
export function templateOf(template: string): Template {
  const known = templates.get(template);
  if (known) return known;
  const parts = template
    .split(/(\{\w+\})/)
    .filter((part) => part !== "")
    .map((part) => (/^\{\w+\}$/.test(part) ? { name: part.slice(1, -1) } : part));
  const read = { parts, names: parts.flatMap((part) => (typeof part === "string" ? [] : [part.name])) };
  if (templates.size >= MOST_TEMPLATES) templates.clear();
  templates.set(template, read);
  return read;
}

/**
 * A sentence from a text with `{name}` places and numbers by their names, the first that has one. What stands in its places
 * already stays, and is filled itself. Throws where a number is missing.
 */
export function fill(words: Words, ...numbers: readonly Readonly<Record<string, Told | string>>[]): Sentence {
  const { text, values } = typeof words === "string" ? asSentence(words) : words;
  const filled = templateOf(text).names.map((name): [string, Value] => {
    const placed = Object.hasOwn(values, name) ? values[name] : undefined;
    if (placed !== undefined) return [name, isWords(placed) ? fill(placed, ...numbers) : placed];
    const found = numbers.find((some) => some[name] !== undefined)?.[name];
    if (found === undefined) throw new RangeError(`the sentence “${text}” has no number {${name}}`);
    return [name, found];
  });
  return { text, values: Object.fromEntries(filled) };
}

/** Names of the numbers that a text wants, in itself and in what stands in its places. */
export function namesIn(words: Words): readonly string[] {
  const { text, values } = typeof words === "string" ? asSentence(words) : words;
  return templateOf(text).names.flatMap((name) => {
    const placed = Object.hasOwn(values, name) ? values[name] : undefined;
    if (placed === undefined) return [name];
    return isWords(placed) ? namesIn(placed) : [];
  });
}

const isWords = (value: Value): value is Words => typeof value === "string" || isSentence(value);

/** True where two sentences say the same. */
export function sameSentence(a: Sentence, b: Sentence): boolean {
  return a === b || JSON.stringify(partsOf(a)) === JSON.stringify(partsOf(b));
}
