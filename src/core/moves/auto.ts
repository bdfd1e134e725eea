import {
  isStated,
  quantity,
  readLength,
  type AutoLength,
  type LengthInput,
  type Mm,
  type Quantity,
  Refusal,
  say,
  asSentence,
} from "../units";
import { type MoveContext } from "./move";

/** No number of a garment is longer, either way: beyond it the unit was mistaken, and drawing it would take for ever. */
const MOST: Mm = 10_000;

/** Reads a length parameter of a move; throws Refusal with the parameter's name when it cannot be read, or no garment has it. */
export function readParam(param: string, input: LengthInput, context: MoveContext, how: string): Quantity {
  const read = readLength(input, context.unit);
  if (!read.ok) throw new Refusal(param, asSentence(read.message), { unreadable: true });
  if (Math.abs(read.mm) > MOST)
    throw new Refusal(param, say`No garment has a length of more than ${MOST}. Check the unit.`, { most: MOST });
  return quantity(read.mm, say`${read.mm} ${how}`);
}

/**
 * The number of a move's parameter: the move's own, else the style parameter of the same name, else the style's sum.
 * Null when none of them states it.
 */
export function paramOr(
  move: string,
  param: string,
  own: AutoLength | undefined,
  context: MoveContext,
): Quantity | null {
  if (isStated(own)) return readParam(param, own, context, "as chosen");
  const fromStyle = styleParam(move, param, context) as AutoLength | undefined;
  if (isStated(fromStyle)) return readParam(param, fromStyle, context, "asked of the style");
  return context.autos[`${move}.${param}`]?.(context.measures) ?? null;
}

/** The number of a move's parameter that no style states: the move's own, or null where it is left to itself. */
export const ownParam = (param: string, own: AutoLength | undefined, context: MoveContext): Quantity | null =>
  isStated(own) ? readParam(param, own, context, "as chosen") : null;

/** The style parameter that fills a move's parameter; undefined when the style or the maker states none. */
export function styleParam(move: string, param: string, context: MoveContext): unknown {
  return context.styleParams[context.feeds[`${move}.${param}`] ?? param];
}

/**
 * The finished hem of one leg that a move is asked to reach: its own `hemGirth`, or the style's where the move does not
 * state the number that would be solved for it. Null when none is asked.
 */
export function hemGirthOr(
  move: string,
  own: AutoLength | undefined,
  solved: unknown,
  context: MoveContext,
): Quantity | null {
  return isStated(own) || !isStated(solved) ? paramOr(move, "hemGirth", own, context) : null;
}

/** A count or ratio of a move: its own, else the style's parameter of that name, else the usual one. */
export function numberOr(
  move: string,
  param: string,
  own: number | undefined,
  context: MoveContext,
  usual: number,
): number {
  if (own !== undefined) return own;
  const fromStyle = styleParam(move, param, context);
  return typeof fromStyle === "number" ? fromStyle : usual;
}
