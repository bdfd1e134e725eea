import { z } from "zod";
import type { PerTape } from "../params";
import type { BackHow, ResolvedRules, WaistShaping } from "./rules";

type PresetValue<V> = V extends number ? PerTape : V;

/** What a school or a back states of the rules, where that differs from what is usual: a number, or one for each tape. */
export type Preset = {
  readonly [K in keyof ResolvedRules]?: ResolvedRules[K] extends object
    ? { readonly [P in keyof ResolvedRules[K]]?: PresetValue<ResolvedRules[K][P]> }
    : ResolvedRules[K];
};

/** A school of drafting: a preset over the rules, in millimetres. */
export interface School {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  /** What it states otherwise than is usual; the numbers of its back are the back's own. */
  readonly rules: Preset;
}

/** Schools with rules of their own; `own` is a block brought in, which no rule draws. */
export const schoolIdSchema = z.enum(["proportional", "traced", "hinged", "eased-metric", "own"]);
export type SchoolId = z.infer<typeof schoolIdSchema>;
export type DraftedSchool = Exclude<SchoolId, "own">;

/** How each back is made, and what it starts from when it is chosen in any school. */
export const BACKS: Readonly<Record<BackHow, { readonly note: string; readonly preset: Preset }>> = {
  slanted: {
    note: "The centre back comes in and rises along its slant; widths are measured from that line.",
    preset: {
      back: { inAtCrotch: 20, inAtWaist: 50, rise: 40, crease: "front" },
      backExtension: { from: "hip10", add: 0 },
      leg: { backExtra: 25 },
    },
  },
  traced: {
    note: "The front is traced, its centre moved out and up, the inseam set out; the back gets a crease of its own.",
    preset: {
      back: { out: 45, rise: 40, inseamAdd: 40, crease: "own" },
      backExtension: { from: "front", add: 75 },
      leg: { backExtra: 0 },
    },
  },
  hinged: {
    note: "The traced front is slashed half-way between waist and hip and opened at the centre back, hinged at the side.",
    preset: {
      back: { open: 50, crease: "front" },
      backExtension: { from: "front", add: 35 },
      leg: { backExtra: 0 },
    },
  },
  tilted: {
    note: "The traced front's centre leans in by half the way to the dart, rises, and the waist swings out to the side.",
    preset: {
      back: { rise: 64, sideAdd: 25, crease: "own" },
      backExtension: { from: "front", add: 50 },
      hollow: { back: 50 },
      leg: { backExtra: 0 },
    },
  },
  transferred: {
    note: "What the centre back gives up at the waist is set out at the side: the hollow of the back waist.",
    preset: {
      back: { inAtCrotch: 0, inAtWaist: 50, sideAdd: 50, rise: 25, kneeAdd: 25, crease: "front" },
      backExtension: { from: "front", add: 50 },
      leg: { backExtra: 0 },
    },
  },
  redrafted: {
    note: "The back is drawn by the front's rules, every width a little more.",
    preset: {
      back: { increment: 12, rise: 0, crease: "front" },
      backExtension: { from: "front", add: 25 },
      leg: { backExtra: 0 },
    },
  },
  repeated: {
    note: "The front again, with a longer crotch extension and nothing else changed.",
    preset: {
      back: { rise: 0, crease: "own" },
      backExtension: { from: "frontTwice", add: 0 },
      leg: { backExtra: 0 },
    },
  },
};

/** What a way of shaping the waist brings with it: a hip-wide front is squared straight up, its centre too. */
export const SHAPINGS: Readonly<Partial<Record<WaistShaping, Preset>>> = { hipWide: { waist: { frontIn: 0 } } };

export const SCHOOLS: Readonly<Record<DraftedSchool, School>> = {
  proportional: {
    id: "proportional",
    label: "Proportional",
    note: "Widths and extensions are shares of the hip; the back leans in and rises. Suits most figures in firm cloth.",
    rules: {
      ease: { front: 0, back: 25 },
      back: { how: "slanted" },
      leg: { backExtra: 25 },
    },
  },
  traced: {
    label: "Traced",
    id: "traced",
    note: "The back is the front traced, its centre moved out and up. Roomy in the seat; suits fuller figures and easy trousers.",
    rules: {
      ease: { front: 12, back: 12 },
      frontExtension: { from: "hip16" },
      backExtension: { from: "front", add: 75 },
      back: { how: "traced" },
      waist: { frontLength: 140, backLength: 140 },
      hollow: { front: 38, back: 50 },
    },
  },
  hinged: {
    id: "hinged",
    label: "Hinged",
    note: "The traced front is slashed below the waist and opened at the centre back. Close to the body; suits bare-hipped flares.",
    rules: {
      frontExtension: { from: "fixed", value: 50 },
      backExtension: { from: "front", add: 35 },
      back: { how: "hinged" },
      waist: { frontLength: 140, backLength: 140 },
    },
  },
  "eased-metric": {
    id: "eased-metric",
    label: "Eased metric",
    note: "Five centimetres of ease a panel, hip-wide at the waist, legs straight down. For gathers, pleats and elastic.",
    rules: {
      crotchDepth: { add: 20 },
      ease: { front: 50, back: 50 },
      frontExtension: { from: "hip8", add: -20 },
      backExtension: { from: "front", add: 40 },
      back: { how: "repeated" },
      waist: { shaping: "hipWide", frontIn: 0, frontDrop: 0, sideRise: 0 },
      hollow: { front: 40, back: 45 },
      curve: { start: "halfway" },
      leg: { fall: "down" },
    },
  },
};

/** The block a maker brings in: no rules draw it. */
export const OWN_SCHOOL = {
  id: "own",
  label: "My own block",
  note: "A block that already fits, brought in as it is. It does not change with the card.",
} as const;
