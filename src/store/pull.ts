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
