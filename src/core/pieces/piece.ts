import type { TurnedGrain } from "./grain";
import {
  type AlsoCut,
  type EdgeRole,
  type Fate,
  type Material,
  type Panel,
  type PanelWord,
  type Identity,
} from "../pattern";
import type { Point } from "../geometry";
import type { Mm, Words } from "../units";

export interface Notch {
  /** On the seam line. */
  readonly at: Point;
  /** On the cut line, straight outward. */
  readonly outer: Point;
  readonly kind: "single" | "double";
  readonly pairs: string;
}

/** A stretch of a piece's edge with one allowance; `allowanceEnd` where it narrows along the stretch. */
export interface PieceEdge {
  readonly id: string;
  readonly role: EdgeRole;
  readonly name: Words;
  /** Edge of the panel it lies on, and where along that edge it starts. */
  readonly edge: string;
  readonly from: Mm;
  readonly length: Mm;
  readonly allowance: Mm;
  readonly allowanceEnd?: Mm;
  /** Cut beyond the allowance, to be trimmed; absent where there is none. */
  readonly surplus?: Mm;
  /** What becomes of it; null is a fault. */
  readonly fate: Fate | null;
  /** It is in no seam; what it has only keeps it from fraying. */
  readonly isFree?: true;
  /** Where its allowance runs from one width to another: what lies at its start and at its end. */
  readonly ends?: readonly [string, string];
}

/** What is drawn and written on a piece besides its lines: folds, the way up, side and centre, what is trimmed. */
export interface PieceSigns {
  readonly lines: readonly (readonly Point[])[];
  readonly words: readonly PanelWord[];
}

/** Something to cut: seam line, cut line, how many and from what. */
export interface Piece {
  readonly id: string;
  readonly is: Identity;
  readonly name: Words;
  readonly panel: Panel;
  readonly material: Material;
  /** The same outline cut again from other cloth: lining, interfacing, a second layer. */
  readonly alsoCut: readonly AlsoCut[];
  readonly cut: {
    readonly count: number;
    readonly pairs: boolean;
    readonly onFold: boolean;
    readonly singleLayer: boolean;
  };
  readonly seamLine: readonly Point[];
  readonly cutLine: readonly Point[];
  readonly edges: readonly PieceEdge[];
  /** How it lies where that is not with its grain along the cloth; null where it is. */
  readonly lies: TurnedGrain | null;
  readonly grain: readonly [Point, Point];
  /** Where surplus is trimmed off: the edges' cut lines without it. */
  readonly trims: readonly (readonly Point[])[];
  readonly signs: PieceSigns;
  readonly notches: readonly Notch[];
  /** Places inside the piece that are marked through the cloth: a centimetre short of every dart's tip. */
  readonly drills: readonly Point[];
  readonly label: readonly Words[];
  readonly area: number;
}
