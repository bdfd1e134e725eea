import type { Mm } from "../units";
import type { BodyMeasures } from "./card";
import { halves } from "./halves";
import type { MeasureKey } from "./measures";

/** Width over depth of the body at its levels, seen on usual figures. */
const RATIO = {
  bust: 1.3,
  waist: 1.38,
  hip: 1.34,
  neck: 1.05,
  thigh: 0.86,
  knee: 0.95,
  calf: 0.94,
  ankle: 0.9,
} as const satisfies Partial<Record<MeasureKey, number>>;

/** Half a girth seen from the front, and from the side. */
export interface Halved {
  readonly width: Mm;
  readonly depth: Mm;
}

export type Sizes = Readonly<Record<keyof typeof RATIO | "ribs" | "midThigh" | "shin", Halved>>;

const between = (a: Halved, b: Halved, share: number): Halved => ({
  width: a.width + share * (b.width - a.width),
  depth: a.depth + share * (b.depth - a.depth),
});

/** Halves of the body's girths, and of places between them that no tape is laid round. */
export function sizesOf(m: BodyMeasures): Sizes {
  const of = Object.fromEntries(
    Object.entries(RATIO).map(([key, ratio]) => [key, halves(m[key as keyof typeof RATIO].mm, ratio)]),
  ) as Record<keyof typeof RATIO, Halved>;
  return {
    ...of,
    ribs: between(of.waist, of.bust, 0.57),
    midThigh: between(of.knee, of.thigh, 0.6),
    shin: between(of.ankle, of.calf, 0.38),
  };
}

export type Levels = Readonly<
  Record<"crown" | "shoulder" | "bust" | "hip" | "crotch" | "knee" | "calf" | "shin" | "ankle" | "floor", Mm>
>;

/** Levels below the waist; those above it are negative. */
export function levelsOf(m: BodyMeasures): Levels {
  const floor = m.waistToFloor.mm;
  const [calf, ankle] = [m.waistToCalf.mm, m.waistToAnkle.mm];
  return {
    crown: floor - m.height.mm,
    shoulder: -m.shoulderToWaist.mm + 20,
    bust: -(m.shoulderToWaist.mm - m.shoulderToBust.mm) * 0.97,
    hip: m.waistToHip.mm,
    crotch: Math.max(m.crotchDepth.mm, m.waistToHip.mm + 15),
    knee: m.waistToKnee.mm,
    calf,
    shin: calf + 0.6 * (ankle - calf),
    ankle,
    floor,
  };
}
