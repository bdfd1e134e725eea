import type { Body } from "../body";
import { seededRandom } from "../geometry";

export { seededRandom };

/** Shares of the height (levels) and of the hip (girths) of a usual figure. */
const LEVELS = {
  waistToHip: 0.12,
  crotchDepth: 0.165,
  waistToKnee: 0.355,
  waistToCalf: 0.437,
  waistToAnkle: 0.578,
  waistToFloor: 0.625,
} as const;
const GIRTHS = { thigh: 0.59, knee: 0.38, kneeBent: 0.41, calf: 0.37, ankle: 0.235, heel: 0.335 } as const;

/**
 * A plausible body from a seed: hip 55 to 145 cm, waist 0.6 to 1.15 of the hip, levels in proportion to a height of
 * 105 to 200 cm with 8 percent scatter, girths in proportion to the hip likewise. Hip and height are independent,
 * which is harsher than people are. Millimetres.
 */
export function plausibleBody(seed: number): Body {
  const random = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const scatter = (): number => between(0.92, 1.08);
  const hip = between(550, 1450);
  const height = between(1050, 2000);
  const measures: Body["measures"] = { hip, waist: hip * between(0.6, 1.15), height };
  for (const [key, share] of Object.entries(LEVELS)) measures[key as keyof typeof LEVELS] = height * share * scatter();
  for (const [key, share] of Object.entries(GIRTHS)) measures[key as keyof typeof GIRTHS] = hip * share * scatter();
  measures.crotchLength = 2 * (measures.crotchDepth as number) + hip / 8;
  return { name: `body ${seed}`, unit: "mm", measures };
}
