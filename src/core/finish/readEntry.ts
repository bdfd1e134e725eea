import type { BodyMeasures } from "../body";
import { readWithin, usualOf, type Param } from "../params";
import { quantity, say, tapeOf, type Complaint, type LengthInput, type Mm, type Unit } from "../units";
import type { AnyFinish } from "./define";

/** An entry of the finish as stored: its kind where it has one, and what its maker stated. */
export type Entry = Readonly<Record<string, unknown>>;

/** A finish with everything read, and its kind. */
export type Asked = Readonly<Record<string, unknown>> & { readonly kind: string };

/** What reading an entry needs to know: where it is kept, on which tape it is written, and where errors go. */
export interface Reading {
  readonly path: string;
  readonly unit: Unit;
  readonly measures: BodyMeasures;
  readonly errors: Complaint[];
}

/**
 * Reads one entry by its kind's parameters; what it leaves out is the style's where that is of the same kind, then the
 * usual on this body. What cannot be read or made is an error at its path.
 */
export function readEntry(finish: AnyFinish, entry: Entry, style: Entry | undefined, reading: Reading): Asked {
  const inherited = style && style.kind === entry.kind ? style : {};
  const usual: Readonly<Record<string, unknown>> = {
    ...finish.usualFor?.(reading.measures, tapeOf(reading.unit), { ...inherited, ...entry }),
  };
  const read = Object.entries(finish.params).map(([name, param]) => {
    const stated = entry[name] ?? inherited[name];
    const taken = stated === undefined ? usual[name] : undefined;
    return [name, taken ?? readParam(param, stated, { ...reading, path: `${reading.path}.${name}` })];
  });
  return { kind: finish.kind, ...(Object.fromEntries(read) as object) };
}

function readParam(param: Param, stated: unknown, reading: Reading): unknown {
  const { as } = param;
  if (as !== "length" && as !== "ruled")
    return stated ?? (as === "levels" || as === "table" ? stated : usualOf(param, tapeOf(reading.unit)));
  const words = as === "ruled" ? param.options.map(([known]) => known) : param.word ? [param.word[0]] : [];
  const taken = stated ?? usualOf(param, tapeOf(reading.unit));
  if (words.some((word) => word === taken)) return taken;
  if (stated === undefined) return quantity(taken as Mm, say`${taken as Mm} as usual`);
  const mm = lengthWithin(
    reading.path,
    stated as LengthInput,
    param.within ?? [0, Infinity],
    reading.unit,
    reading.errors,
  );
  return quantity(mm, say`${mm} as chosen`);
}

/** A length read within its limits; what cannot be read is an error at its path, and the least of the limits. */
export function lengthWithin(
  path: string,
  input: LengthInput,
  within: readonly [Mm, Mm],
  unit: Unit,
  errors: Complaint[],
): Mm {
  const read = readWithin({ within }, input, unit);
  if (read.ok) return read.mm;
  errors.push({ path, says: read.says });
  return within[0];
}
