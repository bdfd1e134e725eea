import type { BodyMeasures } from "../../body";
import type { Point } from "../../geometry";
import type { Mm, Quantity } from "../../units";
import type { Drafter } from "../drafter";
import type { Levels } from "../plan";
import type { ResolvedRules } from "../rules";

/** What a back is made from: the front's lines, in the front's frame (centre left, crease at x = 0). */
export interface BackBasis {
  readonly measures: BodyMeasures;
  readonly rules: ResolvedRules;
  readonly drafter: Drafter;
  readonly levels: Levels;
  /** x of the front's centre at the crotch line and at the waist. */
  readonly centre: Mm;
  readonly frontWaist: Mm;
  readonly frontHipX: Mm;
  /** How far the front's centre lies below the waist line when the back is made. */
  readonly drop: Mm;
  /** What the back is wider than the front at the hip by its ease alone. */
  readonly moreEase: Mm;
  readonly frontWidth: Quantity;
  readonly backWidth: Quantity;
  readonly extension: Quantity;
  /** Sewn quarter of the waist. */
  readonly quarter: Mm;
  /** Where the front's side meets its waist, before it is solved. */
  readonly frontSideAtWaist: Mm;
  /** From the centre front to the middle of its dart. */
  readonly frontDartAt: Mm;
}

/** Where a way of making the back puts the centre line, the hip and the waist; knee and hem by what they gain. */
export interface BackLines {
  readonly centre: "slanted" | "bent";
  readonly centreAtCrotch: Mm;
  readonly centreAtWaist: Mm;
  /** Upward from the waist line. */
  readonly rise: Mm;
  readonly hipX: Mm;
  /** Where the side passes the crotch line when its width is measured there too; straight down from the hip unless said. */
  readonly sideAtCrotch?: Mm;
  readonly crotchX: Mm;
  /** The back's share of the sewn waist. */
  readonly quarter: Mm;
  readonly sideGain: Mm;
  readonly inseamGain: Mm;
}

/** One way of making the back: its lines, and the sentences a maker follows. */
export interface BackMaking {
  readonly lines: (basis: BackBasis) => BackLines;
  /** Sentences with `{name}` where a number belongs; the first draws the centre, the second the width. */
  readonly centreText: string;
  readonly widthText: string;
}

/**
 * A centre line from its raised end through the hip line to the crotch line, slanted all the way. The extension is
 * measured from where it meets the crotch line.
 */
export function throughHip(
  atHip: Mm,
  raised: Point,
  levels: Levels,
  extension: Mm,
): Pick<BackLines, "centre" | "centreAtCrotch" | "centreAtWaist" | "crotchX"> {
  const lean = (raised[0] - atHip) / (levels.hip - raised[1]);
  const atCrotch = atHip - lean * (levels.crotch - levels.hip);
  return {
    centre: "slanted",
    centreAtCrotch: atCrotch,
    centreAtWaist: atHip + lean * levels.hip,
    crotchX: atCrotch - extension,
  };
}
