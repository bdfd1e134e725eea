import {
  range,
  readLength,
  say,
  type LengthInput,
  type Mm,
  type Sentence,
  type Tape,
  type Unit,
  asSentence,
} from "../units";
import { usualOn, type LengthParam, type Param, type RuledParam } from "./param";

/** What is taken of a parameter where nobody says. */
export function usualOf(param: Param, tape: Tape): Mm | string | boolean {
  switch (param.as) {
    case "length":
      return param.word && !param.usual ? param.word[0] : usualOn(param.usual?.mm ?? 0, tape);
    case "choice":
    case "ruled":
      return param.options[0]?.[0] ?? "";
    case "flag":
    case "number":
      return param.usual;
    case "levels":
    case "table":
      return "";
  }
}

export type ReadLength = { readonly ok: true; readonly mm: Mm } | { readonly ok: false; readonly says: Sentence };

/** A length as typed, within what can be made; else what there is against it, in the parameter's words or plainly. */
export function readWithin(
  { within, refusal }: Pick<LengthParam | RuledParam, "within" | "refusal">,
  input: LengthInput,
  unit: Unit,
): ReadLength {
  const read = readLength(input, unit);
  if (!read.ok) return { ok: false, says: asSentence(read.message) };
  if (!within || (read.mm >= within[0] && read.mm <= within[1])) return { ok: true, mm: read.mm };
  return { ok: false, says: refusal?.(range(...within)) ?? say`Choose between ${range(...within, "and")} here.` };
}
