import { ownMoves } from "@/core/derive/changes";
import type { Job } from "@/core/files";
import type { Handle } from "@/core/moves";
import { exactLength, type Mm } from "@/core/units";

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

/** Sets what a handle pulls: its parameter, exactly, and takes away those that would win over it. */
export function setPulled(job: Job, pull: Pull): void {
  const entry = ownMoves(job)[pull.moveIndex];
  if (!entry) return;
  for (const other of pull.clears) delete entry.params[other];
  entry.params[pull.param] = pull.counts ? Math.round(pull.value) : exactLength(pull.value);
  for (const [param, value] of Object.entries(pull.also ?? {})) entry.params[param] = exactLength(value);
}
