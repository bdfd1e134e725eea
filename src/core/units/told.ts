import { inTongue, rewordedTemplate, spokenTongue } from "../words";
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

/** A number within a sentence, of the kind that says how it is told. */
export type Told = ToldLength | ToldRange | ToldMaking | ToldAngle | ToldRatio | ToldCount;

/** What is said to a reader: words and numbers in their order. A sum ("hip 104 / 4 + 2.5") is one as well. */
export type Sentence = readonly (string | Told)[];

export const making = (mm: Mm): ToldMaking => ({ kind: "making", mm });
export const angle = (degrees: Degrees): ToldAngle => ({ kind: "angle", degrees });
export const ratio = (value: number): ToldRatio => ({ kind: "ratio", ratio: value });
export const count = (value: number): ToldCount => ({ kind: "count", count: value });
/** "3 to 12 cm"; a range stated the wrong way round reads upward. */
export const range = (a: Mm, b: Mm, word: "to" | "and" = "to"): ToldRange => ({
  kind: "range",
  low: Math.min(a, b),
  high: Math.max(a, b),
  word,
});

type Sayable = string | Mm | Told | Sentence;

/**
 * Makes a sentence from a template: a bare number in it is a length in millimetres, text and template are taken in the
 * tongue that is spoken, and another sentence is taken in.
 */
export function say(words: readonly string[], ...values: readonly Sayable[]): Sentence {
  const parts: (string | Told)[] = [];
  const add = (part: string | Told): void => {
    const last = parts.length - 1;
    if (part === "") return;
    if (typeof part === "string" && typeof parts[last] === "string") parts[last] += part;
    else parts.push(part);
  };
  const addValue = (value: Sayable | undefined): void => {
    if (value === undefined) return;
    if (typeof value === "number") add({ kind: "length", mm: value });
    else if (typeof value === "string") add(inTongue(value));
    else if (Array.isArray(value)) inTongueNow(value as Sentence).forEach(add);
    else add(value as Told);
  };
  const order = rewordedTemplate(words);
  if (order) order.forEach((part) => (typeof part === "string" ? add(part) : addValue(values[part])));
  else
    words.forEach((text, i) => {
      add(text);
      addValue(values[i]);
    });
  return parts;
}

/** A sentence that was made before its tongue was known, such as one that never changes, in the tongue that is spoken. */
export function inTongueNow(sentence: Sentence): Sentence {
  if (!spokenTongue()) return sentence;
  const english = [""];
  const told: Told[] = [];
  for (const part of sentence) {
    if (typeof part === "string") english[english.length - 1] += part;
    else {
      told.push(part);
      english.push("");
    }
  }
  const order = rewordedTemplate(english);
  if (order) return order.flatMap((part) => (typeof part === "string" ? part : (told[part] ?? [])));
  return sentence.map((part) => (typeof part === "string" ? inTongue(part) : part));
}

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

/** A template's `{name}` places filled from numbers by their names, the first that has one; throws where one is missing. */
export function fill(template: string, ...numbers: readonly Readonly<Record<string, Told | string>>[]): Sentence {
  return templateOf(inTongue(template)).parts.map((part) => {
    if (typeof part === "string") return part;
    const found = numbers.find((some) => some[part.name] !== undefined)?.[part.name];
    if (found === undefined) throw new RangeError(`the sentence “${template}” has no number {${part.name}}`);
    return typeof found === "string" ? inTongue(found) : found;
  });
}

/** True where two sentences say the same. */
export function sameSentence(a: Sentence, b: Sentence): boolean {
  return a === b || JSON.stringify(a) === JSON.stringify(b);
}
