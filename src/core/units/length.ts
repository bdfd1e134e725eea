import { phrase } from "../words";
import type { Mm } from "./brands";
import type { Tape } from "./format";

/** The units a length may be written in. */
export type Unit = "in" | "cm" | "mm";

export const MM_PER: Readonly<Record<Unit, number>> = { in: 25.4, cm: 10, mm: 1 };

/** A length as a person writes it: a number in the card's unit, a text, or a value with its own unit. */
export type LengthInput = number | string | { value: number | string; unit: Unit };

export type ParsedLength = { readonly ok: true; readonly mm: Mm } | { readonly ok: false; readonly message: string };

const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
};

const UNIT_WORDS: readonly (readonly [RegExp, Unit])[] = [
  [/\s*(?:mm|millimet(?:re|er)s?)$/i, "mm"],
  [/\s*(?:cm|centimet(?:re|er)s?)$/i, "cm"],
  [/\s*(?:"|''|″|”|in\.?|inch(?:es)?)$/i, "in"],
];

/** How a length is written, by examples in the unit of the card. */
const HOW_TO: Readonly<Record<Unit, string>> = {
  in: "Write it like 28 3/8, 28.375 or 72.5 cm.",
  cm: "Write it like 72.5, 72,5 or 28 3/8 in.",
  mm: "Write it like 725, 72.5 cm or 28 3/8 in.",
};

function refuse(text: string, unit: Unit): ParsedLength {
  return { ok: false, message: phrase`“${text.trim().slice(0, 24)}” is not a length. ${HOW_TO[unit]}` };
}

/**
 * Reads a length as people write it: `28 3/8`, `28-3/8"`, `28⅜`, `72,5 cm`, `725mm`.
 * A number without a unit is in `unit`. Never throws: refusals are sentences that say what to do.
 */
export function parseLength(text: string, unit: Unit): ParsedLength {
  let rest = text.trim().replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${FRACTION_SIGNS[sign]}`);
  if (rest === "") return { ok: false, message: phrase`Nothing is written here. ${HOW_TO[unit]}` };
  let per = MM_PER[unit];
  for (const [pattern, named] of UNIT_WORDS) {
    if (pattern.test(rest)) {
      rest = rest.replace(pattern, "");
      per = MM_PER[named];
      break;
    }
  }
  const negative = /^\s*[-−]/.test(rest);
  rest = rest.replace(/^\s*[-−+]/, "").trim();
  if (/^\d+,\d{3}$/.test(rest)) {
    return {
      ok: false,
      message: phrase`“${rest}” can be read two ways. Write ${rest.replace(",", "")} or ${rest.replace(",", ".")}.`,
    };
  }
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(rest);
  let value: number;
  if (mixed) {
    const below = Number(mixed[3]);
    if (below === 0) return { ok: false, message: "A fraction cannot be divided by nothing. " + HOW_TO[unit] };
    value = Number(mixed[1] ?? 0) + Number(mixed[2]) / below;
  } else if (/^(?:\d+(?:[.,]\d*)?|[.,]\d+)$/.test(rest)) {
    value = Number(rest.replace(",", "."));
  } else {
    return refuse(text, unit);
  }
  return bounded((negative ? -value : value) * per, text, unit);
}

/** Reads a stored length (number, text, or text beside its unit); `unit` is used when none is given. */
export function readLength(input: LengthInput, unit: Unit): ParsedLength {
  if (typeof input === "object") return readLength(input.value, input.unit);
  if (typeof input === "string") return parseLength(input, unit);
  return bounded(input * MM_PER[unit], String(input), unit);
}

/** Nothing that is cut, worn or bought is longer. */
const LONGEST: Mm = 200_000;

/** The length, where it is one that cloth can have. */
const bounded = (mm: Mm, text: string, unit: Unit): ParsedLength =>
  Math.abs(mm) <= LONGEST ? { ok: true, mm } : refuse(text, unit);

/**
 * What to keep of a length as typed: a bare number written in another unit than the card's gets its unit beside it,
 * so that it means the same wherever it is read.
 */
export function keptText(text: string, writtenIn: Unit, cardUnit: Unit): string {
  const trimmed = text.trim();
  const named = UNIT_WORDS.some(([pattern]) => pattern.test(trimmed));
  return named || writtenIn === cardUnit ? trimmed : `${trimmed} ${writtenIn}`;
}

/** A length as its maker would type it: at least as long, on her tape. */
export function typedOnTape(mm: Mm, tape: Tape): string {
  if (tape === "cm") return `${Math.ceil(mm / 5 - 1e-9) / 2} cm`;
  const eighths = Math.ceil((mm / 25.4) * 8 - 1e-9);
  const [whole, part] = [Math.floor(eighths / 8), eighths % 8];
  if (part === 0) return `${whole} in`;
  const [up, down] = part % 4 === 0 ? [1, 2] : part % 2 === 0 ? [part / 2, 4] : [part, 8];
  return `${whole} ${up}/${down} in`;
}
