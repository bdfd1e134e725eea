import { decimal, inTongue, phrase } from "../words";
import type { Mm } from "./brands";
import { formatLength, type Tape } from "./format";
import type { Unit } from "./length";
import type { Quantity } from "./quantity";
import { partsOf, type Sentence, type Told, type Words } from "./told";

/** What lengths are told in: a tape, or the millimetres in which everything is computed. */
export type Telling = Tape | "mm";

/** The tape of a card's unit. */
export const tapeOf = (unit: Unit): Tape => (unit === "in" ? "in" : "cm");

/** Millimetres for a reader: one decimal at most, no trailing zero. */
export function plain(mm: Mm): string {
  return String(Math.round(mm * 10) / 10 || 0);
}

/** A share or a ratio as text, to a hundredth; a factor that is stated to a thousandth as it is, so that its sum adds up. */
export function ratioText(ratio: number): string {
  const thousandths = ratio * 1000;
  const isStated = Math.abs(thousandths - Math.round(thousandths)) < 1e-9;
  return String(Number(ratio.toFixed(isStated ? 3 : 2)));
}

function lengthText(mm: Mm, telling: Telling, withUnit: boolean): string {
  if (telling === "mm") return `${plain(mm)}${withUnit ? " mm" : ""}`;
  return formatLength(mm, telling, { withUnit });
}

/** "3 to 12 cm": whole centimetres on both ends without their tenths. */
function rangeText({ low, high, word }: Extract<Told, { kind: "range" }>, telling: Telling, withUnit: boolean): string {
  const [from, to] = [low, high].map((mm) => lengthText(mm, telling, false)) as [string, string];
  const whole = telling === "cm" && [from, to].every((text) => /[.,]0$/.test(text));
  const shown = [from, to].map((text) => (whole ? text.slice(0, -2) : text));
  return `${shown[0]} ${inTongue(word)} ${shown[1]}${withUnit ? ` ${telling}` : ""}`;
}

/** One number as text. */
export function tellNumber(told: Told, telling: Telling, withUnit = true): string {
  switch (told.kind) {
    case "length":
      return lengthText(told.mm, telling, withUnit);
    case "range":
      return rangeText(told, telling, withUnit);
    case "making":
      return decimal(`${plain(told.mm)} mm`);
    case "angle":
      return phrase`${decimal(told.degrees.toFixed(1))} degrees`;
    case "ratio":
      return decimal(ratioText(told.ratio));
    case "count":
      return String(told.count);
    case "typed":
      return told.text;
  }
}

/** A sentence as text, its lengths on a tape with their unit. */
export function tell(sentence: Sentence, telling: Telling): string {
  return partsOf(sentence)
    .map((part) => (typeof part === "string" ? part : tellNumber(part, telling)))
    .join("");
}

/** A sum as text, its lengths on a tape without their unit: "hip 41 3/8 / 4 + 1". */
export function tellSum(sum: Sentence, telling: Telling): string {
  return partsOf(sum)
    .map((part) => (typeof part === "string" ? part : tellNumber(part, telling, false)))
    .join("");
}

/** The sum of a quantity in millimetres, as the headless reply gives it. */
export const formulaOf = ({ sum }: Pick<Quantity, "sum">): string => tellSum(sum, "mm");

/** Words that hold no length, as text. */
export const textOf = (words: Words): string => wordsOn(words, "cm");

/** Words as they are told on a tape. */
export const wordsOn = (words: Words, tape: Tape): string =>
  typeof words === "string" ? inTongue(words) : tell(words, tape);
