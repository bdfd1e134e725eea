import type { Handle } from "@/core/moves";
import type { Mm } from "@/core/units";

/** What a handle sets: a parameter of a move, what it puts back, and what changes with it. */
export interface Pull {
  readonly moveIndex: number;
  readonly param: string;
  readonly clears: readonly string[];
  readonly value: Mm;
  readonly counts?: boolean;
  readonly also?: Readonly<Record<string, Mm>>;
}

/** A handle of a move brought to a value, and what changes with it. */
export function pullOf(handle: Handle, moveIndex: number, value: Mm, also?: Pull["also"]): Pull {
  const { param, clears, counts } = handle;
  return { moveIndex, param, clears, value, ...(counts && { counts }), ...(also && { also }) };
}
