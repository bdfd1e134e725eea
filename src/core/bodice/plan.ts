import type { Mm, Radians } from "../units";

/**
 * How a bodice is drawn: `quarters` of bust and waist from the centre line, front and back equally long; `measured`, the
 * front over the bust and the back from the nape, the difference taken into a dart.
 */
export type BodiceSchool = "quarters" | "measured";

/** The neck of half a bodice, before it is lowered: how wide, and how deep behind and in front. */
export interface NeckSizes {
  readonly width: Mm;
  readonly back: Mm;
  readonly front: Mm;
}

/** Waist darts of one half: how many, and how wide each is at the waist. */
export interface DartShare {
  readonly count: 0 | 1 | 2;
  readonly intake: Mm;
}

/** What is restyled on the edges of a drafted bodice. Each number keeps front and back agreeing. */
export interface EdgeChanges {
  /** Lower at the centre front and centre back. */
  readonly neckFront: Mm;
  readonly neckBack: Mm;
  /** The neck's end of the shoulder moves out along it, the arm's end in. */
  readonly neckOut: Mm;
  readonly shoulderIn: Mm;
  readonly underarmUp: Mm;
  /** Each side seam goes out parallel, so that bust and waist grow by four times this. */
  readonly sideOut: Mm;
}

/** Into which of the front's two darts the other is turned, and how wide the one it leaves stays. */
export interface Pivot {
  readonly into: "bust" | "waist";
  readonly leave: Mm;
}

/**
 * A bodice as numbers, before it is drawn. Moves that redraw an edge or turn a dart change these; drawing them
 * reconciles front and back, so that shoulders and sides always agree. Lengths in millimetres: x out from the centre
 * line, y down from the waist, so that everything above it is negative.
 */
export interface BodicePlan {
  readonly school: BodiceSchool;
  readonly neck: NeckSizes;
  readonly slope: Radians;
  /** From the neck's end of the shoulder down to the waist in front, and from the nape down behind. */
  readonly frontLength: Mm;
  readonly napeToWaist: Mm;
  /** From the centre line to the shoulder's end. */
  readonly shoulderX: Mm;
  /** Below the neck's end of the shoulder, on front and back. */
  readonly underarm: Mm;
  /** From the centre line to the underarm. */
  readonly quarter: Mm;
  /** The sewn waist of each half. */
  readonly waist: { readonly front: Mm; readonly back: Mm };
  /** How far the armhole's foot lies in from the shoulder's end. */
  readonly armholeIn: { readonly front: Mm; readonly back: Mm };
  /** The bust point: from the centre line, and below the neck's end of the shoulder. */
  readonly bustX: Mm;
  readonly bustBelow: Mm;
  readonly darts: { readonly front: DartShare; readonly back: DartShare };
  /** How far below the underarm the back darts end. */
  readonly backTip: Mm;
  /** How far the sewn tips of the front's darts stay back from the bust point. */
  readonly tipBack: Mm;
  readonly pivot: Pivot | null;
  readonly edges: EdgeChanges;
  /** The armhole is cut away, all but straight from a narrow shoulder. */
  readonly cutaway: boolean;
  /** The waist drops at the centre front and rises at the centre back. */
  readonly vWaist: { readonly front: Mm; readonly back: Mm };
}

export const NO_CHANGES: EdgeChanges = {
  neckFront: 0,
  neckBack: 0,
  neckOut: 0,
  shoulderIn: 0,
  underarmUp: 0,
  sideOut: 0,
};

/** True bust dart: what the front is longer than the back from the neck's end of the shoulder. */
export const frontLonger = ({ frontLength, napeToWaist, neck }: BodicePlan): Mm =>
  frontLength - (napeToWaist + neck.back);

/** A difference under this is eased along the side; a dart would have no depth to be sewn to. */
export const LEAST_BUST_DART: Mm = 16;

/** A surplus under this stays in the side. */
const LEAST_SURPLUS: Mm = 14;
const USUAL_DART: Mm = 25;
const WIDE_DART: Mm = 38;
const WIDEST_DART: Mm = 50;
const MOST_AT_SIDE: Mm = 30;

/** How much of a half's surplus darts take: one of 25, wider where the side would take over 30, then two, then the side. */
export function sharedDarts(surplus: Mm): DartShare {
  if (surplus < LEAST_SURPLUS) return { count: 0, intake: 0 };
  if (surplus - MOST_AT_SIDE <= WIDE_DART)
    return { count: 1, intake: Math.min(surplus, Math.max(USUAL_DART, surplus - MOST_AT_SIDE)) };
  return { count: 2, intake: Math.min(WIDEST_DART, (surplus - MOST_AT_SIDE) / 2) };
}
