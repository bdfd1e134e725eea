import type { TurnedGrain } from "./grain";
import type { AllowanceSet } from "../finish";
import type { Fate } from "../pattern";
import type { Mm } from "../units";
import { type NotchPlace } from "./notches";

/** How the hem is cut: its allowance, and whether it is the mirror image of the leg above. */
export interface HemCut {
  readonly allowance: Mm;
  readonly mirrored: boolean;
}

/** The part of a centre seam that opens, or is cut as if it did: its length below the waist, and its allowance. */
export interface OpeningCut {
  readonly root: "front" | "back";
  readonly length: Mm;
  readonly width: Mm;
}

/** What the pieces of a job need beyond its panels. */
export interface CutPlan {
  readonly allowances: AllowanceSet;
  /** Null while the hem is undecided. */
  readonly hem: HemCut | null;
  readonly opening: OpeningCut | null;
  /** The zip is set into the side, whose seams then carry its allowance. */
  readonly zipAtSide: boolean;
  /** What keeps an edge that is in no seam: nothing where it is overlocked, bound or left raw, else it is turned. */
  readonly freeEdge: Mm;
  /** What becomes of edges that no seam takes: free ones, hems, and a waist that nothing is sewn to. */
  readonly fates: { readonly free: Fate; readonly hem: Fate; readonly waist: Fate | null };
  /** Marks the finishes ask for. */
  readonly marks: readonly NotchPlace[];
  /** Pieces that lie otherwise than along the cloth, by id. */
  readonly lies: Readonly<Record<string, TurnedGrain>>;
  readonly job: { readonly name: string; readonly wearer: string; readonly date: string; readonly version: string };
}

/** The opening's wide allowance narrows to the crotch's over this length. */
export const ZIP_TAPER: Mm = 60;

/** An edge along which the garment opens: its last stretch, up to the waist. */
export interface OpensOn {
  readonly length: Mm;
  readonly width: Mm;
}
