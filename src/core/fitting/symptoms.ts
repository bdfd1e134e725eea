import { bodice } from "../moves/bodice";
import { setLength } from "../moves/setLength";
import { shapeLeg } from "../moves/shapeLeg";
import type { Params, PerTape } from "../params";
import type { Mm } from "../units";
import type { FittingChange } from "./schema";
import type { SymptomId } from "./symptomIds";

/** What cures a symptom: a number that changes, which way, and by how much to start with. */
export interface Correction {
  readonly label: string;
  readonly changes:
    { readonly rule: string } | { readonly move: string; readonly param: string; readonly shown: string };
  /** Which way the number goes. */
  readonly way: 1 | -1;
  readonly usual: PerTape;
  /** Tried first; the others start at nothing. */
  readonly first?: true;
}

/** Something seen on the body, where it is seen, and what cures it. */
export interface Symptom {
  readonly id: SymptomId;
  readonly label: string;
  /** Where it is seen on the pattern: on which panel, near which of its places. */
  readonly root: "front" | "back";
  readonly at: string;
  /** What cloth does there, drawn on a figure 60 wide and 78 high seen from that side. */
  readonly drawn: string;
  readonly cures: readonly Correction[];
  /** Checks that such a correction answers on purpose, by what was seen on the body. */
  readonly means?: readonly string[];
  /** It can only be seen where there is a bodice. */
  readonly needsBodice?: true;
}

const rule = (label: string, path: string, way: 1 | -1, cm: number, inches: number, first?: true): Correction => ({
  label,
  changes: { rule: path },
  way,
  usual: { cm, in: inches * 25.4 },
  ...(first && { first }),
});

const move = <P extends Params>(
  label: string,
  { id }: { readonly id: string; readonly params: P },
  param: keyof P & string,
  way: 1 | -1,
  cm: number,
  inches: number,
  first?: true,
): Correction => ({
  label,
  changes: { move: id, param, shown: param },
  way,
  usual: { cm, in: inches * 25.4 },
  ...(first && { first }),
});

/** What is seen at fittings, and the corrections of the trade, each with the amount it is tried with. */
export const SYMPTOMS: readonly Symptom[] = [
  {
    id: "seat-pulls",
    label: "pulls across the seat",
    root: "back",
    at: "hipSide",
    drawn: "M14 34C22 29 38 29 46 34M13 42C22 37 38 37 47 42",
    cures: [
      rule("Back rise up", "back.rise", 1, 10, 3 / 8, true),
      rule("Slash opened wider", "back.open", 1, 10, 3 / 8, true),
      rule("Back extension out", "backExtension.add", 1, 13, 1 / 2, true),
      rule("More back hip", "ease.back", 1, 5, 1 / 4),
    ],
  },
  {
    id: "seat-folds",
    label: "folds under the seat",
    root: "back",
    at: "crotchPoint",
    drawn: "M15 47C20 52 26 52 29 48M31 48C34 52 40 52 45 47M17 53C21 57 26 57 29 54M31 54C34 57 39 57 43 53",
    cures: [
      rule("Back extension in", "backExtension.add", -1, 10, 3 / 8, true),
      rule("Crotch curve hollower", "hollow.back", -1, 5, 1 / 4),
    ],
  },
  {
    id: "front-smiles",
    label: "smiles at the front crotch",
    root: "front",
    at: "crotchPoint",
    drawn: "M22 44C26 48 28 49 30 49C32 49 34 48 38 44M20 40C25 45 28 46 30 46C32 46 35 45 40 40",
    cures: [rule("Front extension out", "frontExtension.add", 1, 6, 1 / 4, true)],
  },
  {
    id: "cannot-sit",
    label: "cannot sit",
    root: "back",
    at: "waistCentre",
    drawn: "M30 20V46M30 46L22 56M30 46L38 56",
    cures: [
      rule("Crotch deeper", "crotchDepth.add", 1, 10, 3 / 8, true),
      rule("Back rise up", "back.rise", 1, 10, 3 / 8),
      rule("Slash opened wider", "back.open", 1, 10, 3 / 8),
    ],
  },
  {
    id: "crotch-bags",
    label: "bags at the crotch",
    root: "front",
    at: "crotchPoint",
    drawn: "M24 46C24 56 36 56 36 46M27 46C27 52 33 52 33 46",
    cures: [rule("Crotch higher", "crotchDepth.add", -1, 10, 3 / 8, true)],
  },
  {
    id: "waist-gapes",
    label: "gapes at the back waist",
    root: "back",
    at: "waistCentre",
    drawn: "M18 14C24 19 36 19 42 14M20 14C26 11 34 11 40 14",
    cures: [
      rule("Back dart wider", "waist.backIntake", 1, 6, 1 / 4, true),
      rule("Waist smaller, all round", "waist.ease", -1, 10, 1 / 2),
    ],
  },
  {
    id: "waist-tight",
    label: "cuts in at the waist",
    root: "front",
    at: "waistSide",
    drawn: "M16 14H44M17 17H43M16 20H44",
    cures: [rule("Waist larger, all round", "waist.ease", 1, 10, 1 / 2, true)],
  },
  {
    id: "side-swings-back",
    label: "side seam swings back",
    root: "back",
    at: "kneeSide",
    drawn: "M44 16C46 34 44 50 36 72",
    cures: [
      rule("Back wider", "ease.back", 1, 5, 1 / 4, true),
      rule("Front narrower", "ease.front", -1, 5, 1 / 4, true),
    ],
  },
  {
    id: "side-swings-front",
    label: "side seam swings forward",
    root: "front",
    at: "kneeSide",
    drawn: "M16 16C14 34 16 50 24 72",
    cures: [
      rule("Front wider", "ease.front", 1, 5, 1 / 4, true),
      rule("Back narrower", "ease.back", -1, 5, 1 / 4, true),
    ],
  },
  {
    id: "leg-twists-in",
    label: "leg twists inward",
    root: "front",
    at: "hemInseam",
    drawn: "M18 50C24 58 26 66 26 74M42 50C36 58 34 66 34 74",
    cures: [
      move("Hem moved toward the side", shapeLeg, "hemToSide", 1, 10, 3 / 8, true),
      move("Knee moved toward the side", shapeLeg, "kneeToSide", 1, 6, 1 / 4, true),
    ],
    means: ["crease-balance"],
  },
  {
    id: "leg-twists-out",
    label: "leg twists outward",
    root: "front",
    at: "hemSide",
    drawn: "M26 50C20 58 18 66 18 74M34 50C40 58 42 66 42 74",
    cures: [
      move("Hem moved toward the inseam", shapeLeg, "hemToSide", -1, 10, 3 / 8, true),
      move("Knee moved toward the inseam", shapeLeg, "kneeToSide", -1, 6, 1 / 4, true),
    ],
    means: ["crease-balance"],
  },
  {
    id: "stomach-strains",
    label: "strains over the stomach",
    root: "front",
    at: "waistCentre",
    drawn: "M16 26L26 23M44 26L34 23M15 32L26 28M45 32L34 28",
    cures: [
      rule("Centre front up", "waist.frontDrop", -1, 6, 1 / 4, true),
      rule("Front dart narrower", "waist.frontIntake", -1, 6, 1 / 4),
      rule("Centre front out", "waist.frontIn", -1, 5, 1 / 4),
      rule("Front wider", "ease.front", 1, 5, 1 / 4),
    ],
  },
  {
    id: "thigh-tight",
    label: "tight round the thigh",
    root: "back",
    at: "kneeInseam",
    drawn: "M13 50L27 53M13 55L27 57M33 53L47 50M33 57L47 55",
    cures: [
      rule("Back extension out", "backExtension.add", 1, 10, 3 / 8, true),
      rule("Front extension out", "frontExtension.add", 1, 6, 1 / 4, true),
      rule("More back hip", "ease.back", 1, 5, 1 / 4),
    ],
  },
  {
    id: "knee-binds",
    label: "binds at the knee",
    root: "front",
    at: "kneeSide",
    drawn: "M16 62H27M17 66H27M33 62H44M33 66H43",
    cures: [move("Knee wider, one leg", shapeLeg, "knee", 1, 20, 3 / 4, true)],
  },
  {
    id: "zip-bulges",
    label: "bulges at the zip",
    root: "back",
    at: "waistCentre",
    drawn: "M30 8C24 14 24 20 30 26M30 8C36 14 36 20 30 26",
    cures: [
      rule("Crotch deeper", "crotchDepth.add", 1, 13, 1 / 2, true),
      move("Back waist darts wider", bodice, "backDarts", 1, 10, 3 / 8),
    ],
    needsBodice: true,
  },
  {
    id: "stands-high",
    label: "stands too high",
    root: "front",
    at: "waistSide",
    drawn: "M17 10H43M30 22V13M27 16L30 13L33 16",
    cures: [
      rule("Waist lower", "waistLevel.add", -1, 13, 1 / 2, true),
      // Lower down the body is larger.
      rule("Waist larger, all round", "waist.ease", 1, 20, 3 / 4, true),
    ],
  },
  {
    id: "stands-low",
    label: "stands too low",
    root: "front",
    at: "waistSide",
    drawn: "M17 20H43M30 8V17M27 14L30 17L33 14",
    cures: [rule("Waist higher", "waistLevel.add", 1, 13, 1 / 2, true)],
  },
  {
    id: "hem-long",
    label: "hem too long",
    root: "front",
    at: "creaseHem",
    drawn: "M20 64V75M17 72L20 75L23 72M40 64V75M37 72L40 75L43 72",
    cures: [move("Shorter", setLength, "length", -1, 20, 3 / 4, true)],
  },
  {
    id: "hem-short",
    label: "hem too short",
    root: "front",
    at: "creaseHem",
    drawn: "M20 75V64M17 67L20 64L23 67M40 75V64M37 67L40 64L43 67",
    cures: [move("Longer", setLength, "length", 1, 20, 3 / 4, true)],
  },
];

export const symptomOf = (id: SymptomId): Symptom => SYMPTOMS.find((s) => s.id === id) as Symptom;

/** Where on the pattern each corrected number is seen. */
const SEEN_AT: Readonly<Record<string, readonly [root: "front" | "back", landmark: string]>> = {
  "back.rise": ["back", "waistCentre"],
  "back.open": ["back", "waistCentre"],
  "backExtension.add": ["back", "crotchPoint"],
  "hollow.back": ["back", "crotchPoint"],
  "ease.back": ["back", "hipSide"],
  "frontExtension.add": ["front", "crotchPoint"],
  "ease.front": ["front", "hipSide"],
  "crotchDepth.add": ["front", "crotchPoint"],
  "waist.backIntake": ["back", "waistCentre"],
  "waist.ease": ["front", "waistSide"],
  "waist.frontDrop": ["front", "waistCentre"],
  "waist.frontIntake": ["front", "waistCentre"],
  "waist.frontIn": ["front", "waistCentre"],
  "waistLevel.add": ["front", "waistSide"],
  "shape-leg.hemToSide": ["front", "hemSide"],
  "shape-leg.kneeToSide": ["front", "kneeSide"],
  "shape-leg.knee": ["front", "kneeSide"],
  "set-length.length": ["front", "hemSide"],
  "bodice.backDarts": ["back", "waistCentre"],
};

/** The place of a correction on the pattern. */
export function placeOfCure({ changes }: Correction): readonly [root: "front" | "back", landmark: string] | null {
  return SEEN_AT["rule" in changes ? changes.rule : `${changes.move}.${changes.param}`] ?? null;
}

/** True where a change of a fitting is the one a correction makes. */
export const isOf = ({ changes }: Correction, change: FittingChange): boolean =>
  "rule" in changes
    ? "rule" in change && change.rule === changes.rule
    : "move" in change && change.move === changes.move && change.param === changes.param;

/** The change a correction makes, by an amount. */
export const changeOf = ({ changes, way }: Correction, amount: Mm): FittingChange =>
  "rule" in changes
    ? { rule: changes.rule, by: way * amount }
    : { move: changes.move, param: changes.param, by: way * amount };
