import type { z } from "zod";
import type { BodyMeasures } from "../body";
import type { Rules, SchoolId } from "../drafting";
import type { Finish } from "../finish";
import { usualOn } from "../params";
import type { Mm, Quantity, Tape } from "../units";

/** One line of a style's recipe, or of a job's worksheet. */
export interface MoveEntry {
  readonly id: string;
  readonly move: string;
  readonly on: boolean;
  readonly params: Readonly<Record<string, unknown>>;
}

/** A style: the rules it drafts by, the moves that make it, and how it is finished. */
export interface Style {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly school: SchoolId;
  readonly rules: Rules;
  readonly params: z.ZodType<Record<string, unknown>>;
  readonly moves: readonly MoveEntry[];
  /** Moves, and sums beside its own, by the value of one of its parameters, where they differ with that. */
  readonly recipes?: {
    readonly by: string;
    /** What is chosen, and each choice, in words. */
    readonly label: string;
    readonly words: Readonly<Record<string, string>>;
    readonly moves: Readonly<Record<string, readonly MoveEntry[]>>;
    readonly autos: Readonly<Record<string, Style["autos"]>>;
  };
  /** Sums for what a move leaves `auto`, by "move.param". */
  readonly autos: Readonly<Record<string, (measures: BodyMeasures) => Quantity>>;
  /** Style parameters that a move's parameter of another name takes, by "move.param". */
  readonly feeds?: Readonly<Record<string, string>>;
  /** What a parameter is when nobody states it, as a person would write it. */
  readonly defaults?: Readonly<Record<string, unknown>>;
  readonly finish: Finish;
}

/** A style's own lengths, stated in millimetres of metric work: what a maker on this tape would say instead. */
export interface OnTape {
  /** As a maker writes it. */
  length(mm: Mm): string;
  mm(mm: Mm): Mm;
}

const onTape = (tape: Tape): OnTape => ({
  mm: (mm) => usualOn(mm, tape),
  length: (mm) => `${usualOn(mm, tape)} mm`,
});

/** A style on each tape: the same in all but the lengths it states of its own. */
export type StyleOnTapes = Readonly<Record<Tape, Style>>;

export const defineStyle = (build: (on: OnTape) => Style): StyleOnTapes => ({
  cm: build(onTape("cm")),
  in: build(onTape("in")),
});

/** The moves a style is made by, with these parameters. */
export const movesOf = ({ moves, recipes }: Style, params: Readonly<Record<string, unknown>>): readonly MoveEntry[] =>
  recipes?.moves[String(params[recipes.by])] ?? moves;

/** The sums of a style, with these parameters, for what a move leaves open. */
export const autosOf = ({ autos, recipes }: Style, params: Readonly<Record<string, unknown>>): Style["autos"] => ({
  ...autos,
  ...recipes?.autos[String(params[recipes.by])],
});
