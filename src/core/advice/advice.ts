import type { Inspected } from "../inspect";
import type { Numbers } from "../drafting";

/** A change to the job's own data, by path; applying advice is nothing but this. */
export interface JobChange {
  readonly path: readonly (string | number)[];
  readonly value: unknown;
}

/** A judgement with its reason and at most one action. Opinion, never fact. */
export interface Advice {
  readonly id: string;
  readonly message: string;
  readonly reason: string;
  readonly action: { readonly label: string; readonly changes: readonly JobChange[] } | null;
}

/** What a judgement may look at: the inspected pattern, and the numbers of the moves by move name. */
export interface Judged extends Inspected {
  readonly moveNumbers: Readonly<Record<string, Numbers>>;
  /** Index of each move in the job, by move name, for changes that set its parameters. */
  readonly moveIndex: Readonly<Record<string, number>>;
  /** The finish as stored, so that a change keeps the rest of it. */
  readonly finishSource: Readonly<Record<string, unknown>>;
}

export interface AdviceRule {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly judge: (judged: Judged) => Advice | null;
}
