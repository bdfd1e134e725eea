import type { LengthParam, Param, RuledParam } from "../params";
import { usualOn } from "../params";
import {
  quantity,
  range,
  readLength,
  say,
  tapeOf,
  type Complaint,
  type LengthInput,
  type Mm,
  type Quantity,
  type Unit,
} from "../units";
import type { AnyFinish } from "./define";

type Limits = readonly [Mm, Mm];

/** An entry of the finish as stored: its kind where it has one, and what its maker stated. */
export type Entry = Readonly<Record<string, unknown>>;

/** A finish with everything read, and its kind. */
export type Asked = Readonly<Record<string, unknown>> & { readonly kind: string };

/** What reading an entry needs to know: where it is kept, on which tape it is written, and where errors go. */
export interface Reading {
  readonly path: string;
  readonly unit: Unit;
  readonly errors: Complaint[];
}

/**
 * Reads one entry by its kind's parameters; what it leaves out is the style's where that is of the same kind, then the
 * usual. What cannot be read or made is an error at its path.
 */
export function readEntry(finish: AnyFinish, entry: Entry, style: Entry | undefined, reading: Reading): Asked {
  const inherited = style && style.kind === entry.kind ? style : {};
  const read = Object.entries(finish.params).map(([name, param]) => [
    name,
    readParam(param, entry[name] ?? inherited[name], { ...reading, path: `${reading.path}.${name}` }),
  ]);
  return { kind: finish.kind, ...(Object.fromEntries(read) as object) };
}

function readParam(param: Param, stated: unknown, reading: Reading): unknown {
  switch (param.as) {
    case "length":
      return lengthOf(param, stated, reading);
    case "ruled": {
      const rule = stated ?? param.options[0]?.[0];
      return param.options.some(([known]) => known === rule)
        ? rule
        : chosen(rule as LengthInput, limitsOf(param), reading);
    }
    case "choice":
      return stated ?? param.options[0]?.[0];
    case "number":
    case "flag":
      return stated ?? param.usual;
    case "levels":
    case "table":
      return stated;
  }
}

function lengthOf(param: LengthParam, stated: unknown, reading: Reading): Quantity | string {
  if (param.word && (stated === param.word[0] || (stated === undefined && !param.usual))) return param.word[0];
  if (stated !== undefined) return chosen(stated as LengthInput, limitsOf(param), reading);
  const mm = usualOn(param.usual?.mm ?? 0, tapeOf(reading.unit));
  return quantity(mm, say`${mm} as usual`);
}

const limitsOf = ({ within }: LengthParam | RuledParam): Limits => within ?? [0, Infinity];

function chosen(input: LengthInput, limits: Limits, { path, unit, errors }: Reading): Quantity {
  const mm = lengthWithin(path, input, limits, unit, errors);
  return quantity(mm, say`${mm} as chosen`);
}

/** A length read within its limits; what cannot be read is an error at its path, and the least of the limits. */
export function lengthWithin(path: string, input: LengthInput, limits: Limits, unit: Unit, errors: Complaint[]): Mm {
  const read = readLength(input, unit);
  if (!read.ok) errors.push({ path, says: [read.message] });
  else if (read.mm < limits[0] || read.mm > limits[1]) {
    errors.push({ path, says: say`Choose between ${range(...limits, "and")} here.` });
  } else return read.mm;
  return limits[0];
}
