import { type Param } from "../params";
import { type AllowanceKind, type Join, type Panel, type Drawing } from "../pattern";
import type { z } from "zod";
import type { BodicePlan, OwnBodice } from "../bodice";
import type { BodyMeasures } from "../body";
import type { LegPlan, Numbers, Step } from "../drafting";
import type { Point } from "../geometry";
import type { Figure, Mm, Quantity, Sentence, Unit, Words } from "../units";

/** The pattern between two moves. */
export interface StyleState {
  readonly plan: LegPlan;
  readonly panels: readonly Panel[];
  /** How the panels are sewn together. */
  readonly joins: readonly Join[];
  /** What the bodice is drawn from, where it was drafted. */
  readonly bodice?: BodicePlan;
}

/** What a move may look at besides the pattern. */
export interface MoveContext {
  readonly measures: BodyMeasures;
  readonly unit: Unit;
  /** Style parameters as given; they fill what a move leaves `auto`. */
  readonly styleParams: Readonly<Record<string, unknown>>;
  /** Names of the style parameters that the job states, and not the style's own defaults. */
  readonly stated: ReadonlySet<string>;
  /** Style parameters that a move's parameter of another name takes, by "move.param". */
  readonly feeds: Readonly<Record<string, string>>;
  /** The style's own sums, by "move.param", for what neither move nor parameter states. */
  readonly autos: Readonly<Record<string, (measures: BodyMeasures) => Quantity>>;
  /** Heel height the length allows for. */
  readonly shoe: Mm;
  /** What is cut beyond each kind of seam, for what a move tells of its cut line. */
  readonly allowances: Readonly<Record<AllowanceKind, Mm>>;
  /** The bodice that was brought in. */
  readonly ownBodice?: OwnBodice;
  /** Depth of a cuff that the finish hangs below the leg; it comes off the length. */
  readonly cuff?: Quantity;
}

/** A place on the pattern that can be pulled; pulling it along `axis` by 1 mm adds `perMm` to the move's number. */
export interface Handle {
  readonly id: string;
  readonly panel: string;
  /** A seam that is redrawn is pulled on whichever part of this panel it came to lie. */
  readonly root?: "front" | "back";
  readonly at: Point;
  readonly axis: Point;
  readonly param: string;
  /** Parameters that say the same thing another way; pulling puts them back, or they would win. */
  readonly clears: readonly string[];
  readonly perMm: number;
  readonly value: Mm;
  readonly label: Words;
  /** The measured length shown while pulling. */
  readonly reading: Mm;
  /** A number of things, set in whole steps, where it is not a length. */
  readonly counts?: boolean;
  /** It pulls the hem: its reading stands under the hem of its panel. */
  readonly ofHem?: boolean;
  /** It stands inside the panel, not on its edge. */
  readonly inside?: boolean;
  /** Least value it can be pulled to; 0 unless stated. */
  readonly least?: Mm;
  /** Pulled with one half alone: what the number gains per mm then, and what else changes with it. */
  readonly oneSide?: { readonly perMm: number; readonly also: readonly AlsoPulled[] };
}

/** Another parameter of the same move that changes with a pull. */
export interface AlsoPulled {
  readonly param: string;
  readonly perMm: number;
  readonly value: Mm;
}

export interface MoveResult<F = unknown> {
  readonly state: StyleState;
  readonly numbers: Numbers;
  /** Numbers of it that are no lengths. */
  readonly figures?: Readonly<Record<string, Figure>>;
  /** What its sentence has to know besides what was stated and the numbers. */
  readonly facts?: F;
  readonly shown?: readonly Drawing[];
  readonly handles?: readonly Handle[];
  /** How what it drafts is drawn, act by act, with the numbers that takes. */
  readonly drafted?: { readonly steps: readonly Step[]; readonly numbers: Numbers };
}

/** A move that was made, as its sentence is told from it. */
export interface Made<P = unknown, F = unknown> {
  readonly params: P;
  /** The numbers as they are drawn, and as they were asked. */
  readonly numbers: Numbers;
  readonly asked: Numbers;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly facts: F;
  /** The legs it was made on, as they are drawn. */
  readonly plan: LegPlan;
}

/** One verb of restyling: a pure function from pattern to pattern, with its schema and its words. */
export interface Move<P = unknown, F = unknown> {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly schema: z.ZodType<P>;
  /** What can be stated of it: the schema, the form and what tests try follow from this. */
  readonly params: Readonly<Record<string, Param & { readonly schema: z.ZodType }>>;
  /**
   * True when it redraws side or inseam: it changes the plan only, and front and back are drawn and reconciled after
   * the last such move.
   */
  readonly redraws: boolean;
  /** True when it decides how wide the hem is: the last of these that is made has the last word. */
  readonly widensHem?: true;
  /** What its numbers mean besides, in a line under its form; null where there is nothing to say. */
  readonly remarks?: (numbers: Numbers) => Sentence | null;
  /** Its numbers measured on the drawn legs; `apply` knows them before the lines below it. */
  readonly drawnAs?: (
    plan: LegPlan,
    numbers: Numbers,
    legs: { readonly front: Panel; readonly back: Panel },
  ) => Numbers;
  /** Handles of a move that redraws, on the pattern as it is after the last move; those whose place was cut away are left out. */
  readonly handlesOn?: (plan: LegPlan, numbers: Numbers, panels: readonly Panel[]) => readonly Handle[];
  /** The pattern with it made: numbers and drawings, no sentence. */
  readonly apply: (state: StyleState, params: P, context: MoveContext) => MoveResult<F>;
  /** What was done, with `{name}` where one of its numbers belongs. */
  readonly says: (made: Made<P, F>) => Words;
}
