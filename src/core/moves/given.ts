import type { Given } from "../params";
import { MOVES } from ".";
import type { Move } from "./move";

interface Entry {
  readonly move: string;
}

/** True where a line makes this move. */
export const isLineOf = ({ move }: Entry, { id }: Pick<Move, "id">): boolean => move === id;

/** The parameter by which a line's move is asked for something of the garment; undefined where it gives no such thing. */
export const paramGiving = ({ move }: Entry, what: Given): string | undefined =>
  Object.entries(MOVES[move]?.params ?? {}).find(([, param]) => param.gives === what)?.[0];

/** The last line that is made and gives something of the garment: its place, and the parameter that asks for it. */
export function lastGiving(
  lines: readonly (Entry & { readonly on: boolean })[],
  what: Given,
): { readonly index: number; readonly param: string } | null {
  const index = lines.findLastIndex((line) => line.on && paramGiving(line, what) !== undefined);
  const line = lines[index];
  return line ? { index, param: paramGiving(line, what) as string } : null;
}
