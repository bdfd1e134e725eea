import type { Sentence } from "../units";
import type { AskedOf } from "./define";
import type { KINDS } from "./kinds";

type Kinds = typeof KINDS;

export type ResolvedWaist = AskedOf<Kinds["waist"][number]>;
export type ResolvedFastening = AskedOf<Kinds["fastening"][number]>;
export type ResolvedPocket = AskedOf<Kinds["pocket"][number]>;
export type ResolvedHem = AskedOf<Kinds["hem"][number]>;
export type ResolvedBelt = AskedOf<Kinds["belt"][number]>;
export type ResolvedTrim = AskedOf<Kinds["trim"][number]>;

/** The finish in millimetres; null where it is undecided. */
export interface ResolvedFinish {
  readonly waist: ResolvedWaist | null;
  readonly fastening: ResolvedFastening | null;
  readonly pockets: readonly ResolvedPocket[] | null;
  readonly hem: ResolvedHem | null;
  /** How the inner edges are finished; null while it is undecided. */
  readonly inside: "overlocked" | "bound" | "lined" | "bagged" | "raw" | null;
  readonly belt: ResolvedBelt | null;
  readonly trims: readonly ResolvedTrim[];
  /** What the maker has not chosen, as sentences. */
  readonly undecided: readonly Sentence[];
}
