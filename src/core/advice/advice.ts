import { type Sentence } from "../units";
import type { Inspected, Remedy } from "../inspect";
import type { Numbers } from "../drafting";
import type { AllowanceSet } from "../finish";

/** A judgement with its reason and at most one action. Opinion, never fact. */
export interface Advice {
  readonly id: string;
  readonly message: Sentence;
  readonly reason: Sentence;
  readonly action: Remedy | null;
}

/** What a judgement may look at: the inspected pattern, and the numbers of the moves by move name. */
export interface Judged extends Inspected {
  readonly allowances: AllowanceSet;
  readonly moveNumbers: Readonly<Record<string, Numbers>>;
}

export interface AdviceRule {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly judge: (judged: Judged) => Advice | null;
}
