import { Refusal } from "./refusal";
import { say, type Sentence } from "./told";

/** An act at which Eland itself failed. It is left out and said; it is never taken for a refusal of what was asked. */
export interface EngineFault {
  /** The act as the maker knows it: the label of its line, finish or check. */
  readonly act: string;
  /** What was thrown, for whoever mends it. */
  readonly error: string;
}

/** What was thrown while an act was made, as a fault of Eland's own; a refusal is none, and is thrown on. */
export function faultOf(act: string, thrown: unknown): EngineFault {
  if (thrown instanceof Refusal) throw thrown;
  return { act, error: thrown instanceof Error ? `${thrown.name}: ${thrown.message}` : String(thrown) };
}

/** The same for a maker. */
export const saidOfFault = ({ act }: EngineFault): Sentence =>
  say`Eland failed at “${act}”: the fault is its own. It is left out, the rest is made.`;
