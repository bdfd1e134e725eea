import { pathAt, pathLength, pathNearest, pathStart, type Path, type Point } from "../../geometry";
import type { Mm } from "../../units";
import type { Levels, OwnPanel } from "../plan";
import { netWaist } from "../waist";
import { extended, loweredCrotch, scooped, sideOutAtHip } from "./alterLeg";
import { centreIn, raisedCentre, raisedWaist, sideOutAtWaist, widenedDarts } from "./alterWaist";
import { walked } from "./walk";

/** A rule that a fitting changed, by how much, and when: a block brought in is altered by as much. */
export interface OwnCorrection {
  readonly rule: string;
  readonly by: Mm;
  readonly date: string;
}

type Half = "front" | "back";

interface Alteration {
  readonly halves: readonly Half[];
  readonly alter: (panel: OwnPanel, by: Mm, levels: Levels) => OwnPanel;
  /** What of a panel grows by the amount, where walking the seams takes some of it back: it is altered until it has. */
  readonly grows?: (panel: OwnPanel) => Mm;
  /** It moves the level of the waist as much. */
  readonly movesWaist?: true;
  /** Which way a larger number of the rule goes, and how much of it a panel takes. */
  readonly share?: number;
  /** What is done where the panel's own amount is above nothing, and below. */
  readonly says: readonly [more: string, less: string];
}

const WAIST_QUARTERS = 4;

/** What is told of several rules alike. */
const CENTRE: Alteration["says"] = [
  "raise the centre by {by} and run the waist to nothing at the side",
  "lower the centre by {by} and run the waist to nothing at the side",
];
const EXTENSION: Alteration["says"] = [
  "let the crotch point out by {by}, to nothing at the knee and where the curve begins",
  "take the crotch point in by {by}, to nothing at the knee and where the curve begins",
];
const SIDE: Alteration["says"] = [
  "let the side out by {by} from hip to crotch, to nothing at waist and knee",
  "take the side in by {by} from hip to crotch, to nothing at waist and knee",
];
const DARTS: Alteration["says"] = [
  "make each dart {by} wider, half of it to either side",
  "make each dart {by} narrower, half of it to either side",
];

/** How far out the crotch point lies. */
const reachOf = ({ inseamDown }: OwnPanel): Mm => 0 - pathStart(inseamDown)[0];

/** What the rules of a drafted block are on one that was brought in. */
const ALTERATIONS: Readonly<Record<string, Alteration>> = {
  "back.rise": {
    halves: ["back"],
    alter: raisedCentre,
    says: CENTRE,
  },
  "waist.frontDrop": {
    halves: ["front"],
    alter: raisedCentre,
    share: -1,
    says: CENTRE,
  },
  "waist.frontIn": {
    halves: ["front"],
    alter: centreIn,
    says: [
      "take the centre in by {by} at the waist, to nothing where the curve begins",
      "let the centre out by {by} at the waist, to nothing where the curve begins",
    ],
  },
  "frontExtension.add": { halves: ["front"], alter: extended, grows: reachOf, says: EXTENSION },
  "backExtension.add": { halves: ["back"], alter: extended, grows: reachOf, says: EXTENSION },
  "hollow.back": {
    halves: ["back"],
    alter: scooped,
    share: -1,
    says: [
      "cut the crotch curve {by} deeper in the middle of its way, to nothing at both ends",
      "draw the crotch curve {by} flatter in the middle of its way, to nothing at both ends",
    ],
  },
  "ease.front": { halves: ["front"], alter: sideOutAtHip, says: SIDE },
  "ease.back": { halves: ["back"], alter: sideOutAtHip, says: SIDE },
  "crotchDepth.add": {
    halves: ["front", "back"],
    alter: loweredCrotch,
    says: [
      "lower the crotch by {by}: slash between waist and hip, and take the inseam in as much above the knee",
      "raise the crotch by {by}: fold between waist and hip, and let the inseam out as much above the knee",
    ],
  },
  "waist.ease": {
    halves: ["front", "back"],
    alter: sideOutAtWaist,
    grows: ({ waist }) => netWaist(waist),
    share: 1 / WAIST_QUARTERS,
    says: [
      "let the side out by {by} at the waist, to nothing at the hip",
      "take the side in by {by} at the waist, to nothing at the hip",
    ],
  },
  "waist.frontIntake": { halves: ["front"], alter: widenedDarts, says: DARTS },
  "waist.backIntake": { halves: ["back"], alter: widenedDarts, says: DARTS },
  "waistLevel.add": {
    halves: ["front", "back"],
    alter: raisedWaist,
    movesWaist: true,
    says: [
      "set the waist {by} higher: slash between waist and hip and open it all across",
      "cut the waist {by} lower along centre and side",
    ],
  },
};

/** True for a rule that a block brought in is altered by; the others it has not, and they are passed over. */
export const altersOwnBlock = (rule: string): boolean => Object.hasOwn(ALTERATIONS, rule);

/** What walking the seams takes back of an amount is given again so often. */
const ROUNDS = 4;

/** One thing done to a panel: by how much, and a sentence's template that names the amount `{by}`. */
export interface OwnAlteration {
  readonly panel: Half;
  readonly by: Mm;
  readonly date: string;
  readonly template: string;
}

export interface CorrectedOwn {
  readonly front: OwnPanel;
  readonly back: OwnPanel;
  /** Where the waist lies, below the level it was brought in at. */
  readonly waist: Mm;
  readonly done: readonly OwnAlteration[];
}

/**
 * Panels of a block brought in as fittings corrected them, one after the other. A rule that such a block has not is
 * passed over. What the seams of front and back differed by, they differ by afterwards: the panel that was altered (the
 * back, where both were) is brought to it at the crotch point and at the waist's end of the side.
 */
export function correctedOwn(
  front: OwnPanel,
  back: OwnPanel,
  levels: Levels,
  corrections: readonly OwnCorrection[],
): CorrectedOwn {
  const now = { front, back };
  let waist = 0;
  const done: OwnAlteration[] = [];
  for (const { rule, by, date } of corrections) {
    const alteration = altersOwnBlock(rule) ? ALTERATIONS[rule] : undefined;
    if (!alteration || by === 0) continue;
    const { halves, alter, grows, movesWaist, share = 1, says } = alteration;
    const own = by * share;
    const wanted = halves.map((panel) => (grows ? grows(now[panel]) + own : null));
    const yields = halves.includes("back") ? "back" : "front";
    for (let round = 0; round < ROUNDS; round++) {
      halves.forEach((panel, i) => {
        const more = round === 0 ? own : grows ? (wanted[i] as Mm) - grows(now[panel]) : 0;
        if (Math.abs(more) < 1e-6) return;
        const altered = alter(now[panel], more, levels);
        now[panel] = { ...altered, notches: notchesOn(now[panel], altered) };
      });
      Object.assign(now, walked({ front, back }, now, yields));
    }
    if (movesWaist) waist -= by;
    for (const panel of halves) done.push({ panel, by: Math.abs(own), date, template: own > 0 ? says[0] : says[1] });
  }
  return { ...now, waist, done };
}

const edgesOf = ({ waist, side, inseamDown, hem, crotch }: OwnPanel): readonly Path[] => [
  side,
  inseamDown,
  hem,
  crotch,
  ...waist.map((edge) => edge.path),
];

/** Notches as far along their edges as they were. */
function notchesOn(was: OwnPanel, is: OwnPanel): readonly Point[] {
  const [old, now] = [edgesOf(was), edgesOf(is)];
  return was.notches.flatMap((notch) => {
    const near = old.map((path) => pathNearest(path, notch));
    const index = near.reduce((best, { distance }, i) => (distance < (near[best]?.distance ?? Infinity) ? i : best), 0);
    const [before, after] = [old[index], now[index]];
    if (!before || !after) return [];
    return [pathAt(after, ((near[index]?.along ?? 0) / pathLength(before)) * pathLength(after)).point];
  });
}
