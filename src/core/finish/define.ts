import { z } from "zod";
import type { BodyMeasures } from "../body";
import { shapeOf, type Params, type ReadOf, type StatedOf } from "../params";
import type { Mm, Quantity, Tape } from "../units";
import type { FinishContext, Garment } from "./garment";

/** Where the garment opens; `none` where it is pulled on, or nobody has said. */
export type OpensAt = "centre-back" | "centre-front" | "side" | "none";

/** What a finish may look at besides the garment. */
export interface Finishing extends FinishContext {
  readonly opens: OpensAt;
  readonly hipLevel: Mm;
  /** Usable width of the cloth in hand; null while it is not said. */
  readonly cloth: { readonly width: Mm | null };
  /** The tape of the card: zips and elastics are sold by it. */
  readonly tape: Tape;
  /** Length of a mock fly down the centre front. */
  readonly mockFly: Mm;
  /** What the length has given up for a cuff; its own depth unless a move says so. */
  readonly cuffDepth: Mm | null;
}

/** What the rest of Eland has to know of a kind of finish, by the part of the garment it finishes. */
export interface Facts<Asked> {
  readonly waist: {
    /** The last line of the worksheet, before its depth. */
    readonly told: string;
    /** Its finished depth, where it has one of its own. */
    depth?(asked: Asked): Mm;
    /** How far the waist line is drawn above (or, negative, below) where the rules have it, to make room for it. */
    raises?(asked: Asked): Mm;
    /** It is the casing that a move has cut on to the panels: no other finish goes with that. */
    readonly isCutOn?: true;
  };
  readonly fastening: {
    readonly opens: OpensAt;
    /** The garment is said to be pulled on. */
    readonly isPulledOn?: true;
    /** The zip below the sewn waist, where it closes with one. */
    zip?(asked: Asked): Quantity | "auto";
    /** How far the cut line runs out beyond the centre seam, where that is not a seam's or a zip's allowance. */
    grows?(asked: Asked): Mm | null;
    /** It opens without a zip: nothing has to be set in. */
    readonly opensByItself?: true;
  };
  readonly hem: {
    /** Turned up on itself: so deep, so many times. Without it the hem is sewn to a part. */
    turn?(asked: Asked): { readonly depth: Quantity | "auto"; readonly times: number };
    /** What it hangs below the leg, which comes off the length. */
    hangs?(asked: Asked): Quantity;
  };
  readonly pocket: {
    /** Where a hand goes in: a garment has one pocket there. */
    readonly opensIn: "side" | "front";
  };
  readonly belt: Record<never, never>;
  readonly trim: Record<never, never>;
}

/** A part of the garment that is finished in one of several ways. */
export type Room = keyof Facts<never>;

interface Definition<R extends Room, K extends string, P extends Params> {
  readonly room: R;
  readonly kind: K;
  /** The kind as the form offers it. */
  readonly words: string;
  /** What it is, as the catalog says. */
  readonly about: string;
  /** A line under its rows on the form. */
  readonly note?: string;
  readonly params: P;
  readonly facts: Facts<ReadOf<P, Quantity>>[R];
  /** What is usual on this body beside what is stated, where the usual of a parameter does not suit every body. */
  usualFor?(
    measures: BodyMeasures,
    tape: Tape,
    stated: Readonly<Record<string, unknown>>,
  ): Partial<ReadOf<P, Quantity>>;
  /**
   * The garment with it sewn on; what does not suit the garment is said there, never left out silently. Left out where
   * it adds nothing to the garment but what its facts say.
   */
  make?(garment: Garment, asked: ReadOf<P, Quantity>, context: Finishing): Garment;
}

/** A kind of finish: what can be stated of it, what it says to the rest, and how it is made. */
export type FinishKind<R extends Room, K extends string, P extends Params> = Definition<R, K, P> & {
  readonly schema: z.ZodType<{ readonly kind: K } & StatedOf<P>>;
};

/** A kind of finish from one statement of its parameters: schema, form and random values of tests follow from it. */
export const defineFinish = <R extends Room, const K extends string, const P extends Params>(
  definition: Definition<R, K, P>,
): FinishKind<R, K, P> => ({
  ...definition,
  schema: z
    .strictObject({ kind: z.literal(definition.kind), ...shapeOf(definition.params) })
    .describe(definition.about) as unknown as FinishKind<R, K, P>["schema"],
});

/** A kind of finish as it is stored by a maker: its kind, and what is stated of it. */
export type EntryOf<F> = F extends FinishKind<Room, infer K, infer P> ? { readonly kind: K } & StatedOf<P> : never;

/** A kind of finish with everything read. */
export type AskedOf<F> =
  F extends FinishKind<Room, infer K, infer P> ? { readonly kind: K } & ReadOf<P, Quantity> : never;

/** Any kind of finish of a room, without the types of its parameters. */
export interface AnyFinish<R extends Room = Room> {
  readonly room: R;
  readonly kind: string;
  readonly words: string;
  readonly note?: string;
  readonly params: Params;
  readonly schema: z.ZodType;
  readonly facts: Facts<object>[R];
  usualFor?(measures: BodyMeasures, tape: Tape, stated: Readonly<Record<string, unknown>>): object;
  make?(garment: Garment, asked: object, context: Finishing): Garment;
}
