import { z } from "zod";
import type { BackHow, ResolvedRules } from "./rules";

/** A school of drafting: a preset over the rules, in millimetres. */
export interface School {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly rules: ResolvedRules;
}

/** Schools with rules of their own; `own` is a block brought in, which no rule draws. */
export const schoolIdSchema = z.enum(["proportional", "traced", "hinged", "eased-metric", "own"]);
export type SchoolId = z.infer<typeof schoolIdSchema>;
export type DraftedSchool = Exclude<SchoolId, "own">;

/** Which back is made how, in words, and what it starts from when it is chosen in any school. */
export const BACKS: Readonly<
  Record<
    BackHow,
    { readonly label: string; readonly note: string; readonly preset: Partial<Record<keyof ResolvedRules, object>> }
  >
> = {
  slanted: {
    label: "Slanted",
    note: "The centre back comes in and rises along its slant; widths are measured from that line.",
    preset: {
      back: { inAtCrotch: 20, inAtWaist: 50, rise: 40, crease: "front" },
      backExtension: { from: "hip10", add: 0, value: 0 },
      leg: { backExtra: 25 },
    },
  },
  traced: {
    label: "Traced",
    note: "The front is traced, its centre moved out and up, the inseam set out; the back gets a crease of its own.",
    preset: {
      back: { out: 45, rise: 40, inseamAdd: 40, crease: "own" },
      backExtension: { from: "front", add: 75, value: 0 },
      leg: { backExtra: 0 },
    },
  },
  hinged: {
    label: "Hinged",
    note: "The traced front is slashed half-way between waist and hip and opened at the centre back, hinged at the side.",
    preset: {
      back: { open: 50, crease: "front" },
      backExtension: { from: "front", add: 35, value: 0 },
      leg: { backExtra: 0 },
    },
  },
  tilted: {
    label: "Tilted",
    note: "The traced front's centre leans in by half the way to the dart, rises, and the waist swings out to the side.",
    preset: {
      back: { rise: 64, sideAdd: 25, crease: "own" },
      backExtension: { from: "front", add: 50, value: 0 },
      hollow: { back: 50 },
      leg: { backExtra: 0 },
    },
  },
  transferred: {
    label: "Transferred",
    note: "What the centre back gives up at the waist is set out at the side: the hollow of the back waist.",
    preset: {
      back: { inAtCrotch: 0, inAtWaist: 50, sideAdd: 50, rise: 25, kneeAdd: 25, crease: "front" },
      backExtension: { from: "front", add: 50, value: 0 },
      leg: { backExtra: 0 },
    },
  },
  redrafted: {
    label: "Drawn anew",
    note: "The back is drawn by the front's rules, every width a little more.",
    preset: {
      back: { increment: 12, rise: 0, crease: "front" },
      backExtension: { from: "front", add: 25, value: 0 },
      leg: { backExtra: 0 },
    },
  },
  repeated: {
    label: "Repeated",
    note: "The front again, with a longer crotch extension and nothing else changed.",
    preset: {
      back: { rise: 0, crease: "own" },
      backExtension: { from: "frontTwice", add: 0, value: 0 },
      leg: { backExtra: 0 },
    },
  },
};

/** What every school starts from; each school states only where it differs. */
const COMMON: ResolvedRules = {
  crotchDepth: { from: "auto", add: 0, value: 0 },
  width: { from: "hip", add: 0 },
  ease: { front: 0, back: 0 },
  hipInch: "hipOnly",
  frontExtension: { from: "hip20", add: 0, value: 0 },
  backExtension: { from: "hip10", add: 0, value: 0 },
  back: {
    how: "slanted",
    crease: "front",
    inAtCrotch: 0,
    inAtWaist: 0,
    out: 0,
    rise: 0,
    open: 0,
    drop: 0,
    inseamAdd: 0,
    sideAdd: 0,
    kneeAdd: 0,
    increment: 0,
  },
  waist: {
    shaping: "darts",
    frontIntake: 25,
    backIntake: 25,
    frontLength: 125,
    backLength: 150,
    frontIn: 10,
    frontDrop: 8,
    sideRise: 10,
    ease: 0,
  },
  dart: { at: "mid", value: 0, run: "square" },
  dropAfterBack: false,
  hollow: { from: "asked", front: 25, back: 32 },
  curve: { steer: "diagonal", start: "hip", out: 13, up: 50 },
  leg: {
    fall: "shared",
    knee: "straight",
    kneeLine: "measured",
    kneeEase: 60,
    hemGirth: "auto",
    backExtra: 0,
    inseam: "auto",
  },
  hang: { from: "crease", by: 0 },
  thigh: { below: 25, girth: "none" },
  inseam: { backShorter: 3 },
  waistLevel: { add: 0 },
  level: { high: 0 },
};

/** The back's own preset over nothing else: what another back left behind is gone. */
export const backRules = (how: BackHow): ResolvedRules["back"] => ({ ...COMMON.back, how, ...BACKS[how].preset.back });

export const SCHOOLS: Readonly<Record<DraftedSchool, School>> = {
  proportional: {
    id: "proportional",
    label: "Proportional",
    note: "Widths and extensions are shares of the hip; the back leans in and rises. Suits most figures in firm cloth.",
    rules: {
      ...COMMON,
      ease: { front: 0, back: 25 },
      back: backRules("slanted"),
      leg: { ...COMMON.leg, backExtra: 25 },
    },
  },
  traced: {
    label: "Traced",
    id: "traced",
    note: "The back is the front traced, its centre moved out and up. Roomy in the seat; suits fuller figures and easy trousers.",
    rules: {
      ...COMMON,
      ease: { front: 12, back: 12 },
      frontExtension: { from: "hip16", add: 0, value: 0 },
      backExtension: { from: "front", add: 75, value: 0 },
      back: backRules("traced"),
      waist: { ...COMMON.waist, frontLength: 140, backLength: 140 },
      hollow: { from: "asked", front: 38, back: 50 },
    },
  },
  hinged: {
    id: "hinged",
    label: "Hinged",
    note: "The traced front is slashed below the waist and opened at the centre back. Close to the body; suits bare-hipped flares.",
    rules: {
      ...COMMON,
      frontExtension: { from: "fixed", add: 0, value: 50 },
      backExtension: { from: "front", add: 35, value: 0 },
      back: backRules("hinged"),
      waist: { ...COMMON.waist, frontLength: 140, backLength: 140 },
    },
  },
  "eased-metric": {
    id: "eased-metric",
    label: "Eased metric",
    note: "Five centimetres of ease a panel, hip-wide at the waist, legs straight down. For gathers, pleats and elastic.",
    rules: {
      ...COMMON,
      crotchDepth: { from: "auto", add: 20, value: 0 },
      ease: { front: 50, back: 50 },
      frontExtension: { from: "hip8", add: -20, value: 0 },
      backExtension: { from: "front", add: 40, value: 0 },
      back: backRules("repeated"),
      waist: { ...COMMON.waist, shaping: "hipWide", frontIn: 0, frontDrop: 0, sideRise: 0 },
      hollow: { from: "asked", front: 40, back: 45 },
      curve: { ...COMMON.curve, start: "halfway" },
      leg: { ...COMMON.leg, fall: "down" },
    },
  },
};

/** The block a maker brings in: no rules draw it. */
export const OWN_SCHOOL = {
  id: "own",
  label: "My own block",
  note: "A block that already fits, brought in as it is. It does not change with the card.",
} as const;

/** The rules of a school; a block brought in is restyled by the proportional school's. */
export function schoolRules(school: SchoolId): ResolvedRules {
  return SCHOOLS[school === "own" ? "proportional" : school].rules;
}
