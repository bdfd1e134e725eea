import { z } from "zod";
import type { Mm } from "../units";

/** One measure of the card: what it is called, how the tape runs, what it serves. */
export interface Measure {
  readonly key: MeasureKey;
  readonly label: string;
  readonly kind: "girth" | "level" | "length";
  /** Upper-body measures are asked for only where a style or a rule needs them. */
  readonly part: "lower" | "upper";
  readonly how: string;
  readonly use: string;
  /** A card without it cannot be drafted. */
  readonly required: boolean;
  /** Millimetres outside which the number is questioned, for people from about 105 to 205 cm. */
  readonly usual: readonly [Mm, Mm];
}

export const measureKeySchema = z.enum([
  "waist",
  "hip",
  "thigh",
  "knee",
  "kneeBent",
  "calf",
  "ankle",
  "heel",
  "height",
  "waistToHip",
  "crotchDepth",
  "crotchLength",
  "waistToKnee",
  "waistToCalf",
  "waistToAnkle",
  "waistToFloor",
  "bust",
  "shoulderWidth",
  "napeToWaist",
  "shoulderToWaist",
  "shoulderToBust",
  "bustSpan",
  "upperArm",
  "neck",
  "head",
]);
export type MeasureKey = z.infer<typeof measureKeySchema>;

const UPPER: ReadonlySet<MeasureKey> = new Set([
  "bust",
  "shoulderWidth",
  "napeToWaist",
  "shoulderToWaist",
  "shoulderToBust",
  "bustSpan",
  "upperArm",
  "neck",
  "head",
]);

function measure(
  key: MeasureKey,
  label: string,
  kind: Measure["kind"],
  how: string,
  use: string,
  usual: readonly [Mm, Mm],
  required = false,
): Measure {
  return { key, label, kind, part: UPPER.has(key) ? "upper" : "lower", how, use, usual, required };
}

/** The card, in the order it is taken: lower body, then upper body. */
export const MEASURES: readonly Measure[] = [
  measure(
    "waist",
    "Waist",
    "girth",
    "Tie a tape around the middle, let it settle, measure where it lies.",
    "waist shaping, band",
    [450, 1500],
    true,
  ),
  measure(
    "hip",
    "Hip",
    "girth",
    "Around the fullest part of the seat, feet together, tape level.",
    "nearly everything",
    [520, 1600],
    true,
  ),
  measure("thigh", "Thigh", "girth", "Around one leg, just under the crotch.", "leg width, thigh ease", [280, 950]),
  measure("knee", "Knee", "girth", "Around the knee, leg straight.", "leg width", [220, 620]),
  measure(
    "kneeBent",
    "Knee, bent",
    "girth",
    "Around the knee while sitting with the knee bent.",
    "slim legs",
    [230, 660],
  ),
  measure("calf", "Calf", "girth", "Around the fullest part of the calf.", "slim legs", [200, 600]),
  measure("ankle", "Ankle", "girth", "Around the ankle bone.", "slim hems", [150, 400]),
  measure(
    "heel",
    "Heel",
    "girth",
    "Around heel and instep, toes pointed.",
    "smallest opening the foot passes",
    [190, 480],
  ),
  measure(
    "height",
    "Height",
    "length",
    "Standing without shoes, crown to floor.",
    "estimates of missing levels",
    [950, 2150],
  ),
  measure(
    "waistToHip",
    "Waist to hip",
    "level",
    "Down the side, from the tied tape to the hip line.",
    "hip line",
    [90, 300],
  ),
  measure(
    "crotchDepth",
    "Crotch depth",
    "level",
    "Sitting on a hard chair, from the tied tape down the side to the seat.",
    "crotch line",
    [150, 400],
  ),
  measure(
    "crotchLength",
    "Crotch length",
    "length",
    "From the front waist, between the legs, to the back waist.",
    "check of the whole crotch seam",
    [400, 1050],
  ),
  measure(
    "waistToKnee",
    "Waist to knee",
    "level",
    "Down the side, from the tied tape to the middle of the knee.",
    "knee line",
    [330, 760],
  ),
  measure(
    "waistToCalf",
    "Waist to calf",
    "level",
    "Down the side, from the tied tape to the fullest part of the calf.",
    "flares that start at the calf",
    [410, 960],
  ),
  measure(
    "waistToAnkle",
    "Waist to ankle",
    "level",
    "Down the side, from the tied tape to the ankle bone.",
    "length",
    [540, 1240],
  ),
  measure(
    "waistToFloor",
    "Waist to floor",
    "level",
    "Down the side, from the tied tape to the floor, without shoes.",
    "full length",
    [600, 1360],
  ),
  measure("bust", "Bust", "girth", "Around the fullest part of the bust, tape level.", "bodices", [520, 1600]),
  measure("neck", "Neck", "girth", "Around the base of the neck.", "bodices", [240, 520]),
  measure("head", "Head", "girth", "Around the widest part of the head.", "tops that go over the head", [440, 660]),
  measure("upperArm", "Upper arm", "girth", "Around the fullest part of the upper arm.", "sleeves", [160, 520]),
  measure(
    "shoulderWidth",
    "Shoulder width",
    "length",
    "Across the back, from shoulder point to shoulder point.",
    "bodices",
    [240, 560],
  ),
  measure(
    "napeToWaist",
    "Nape to waist",
    "length",
    "Down the back, from the bone at the nape to the tied tape.",
    "bodices, zips of one-pieces",
    [240, 520],
  ),
  measure(
    "shoulderToWaist",
    "Shoulder to waist",
    "length",
    "In front, from the neck end of the shoulder over the bust to the tied tape.",
    "bodices, levels taken from the shoulder",
    [250, 560],
  ),
  measure(
    "shoulderToBust",
    "Shoulder to bust",
    "length",
    "From the neck end of the shoulder to the bust point.",
    "bust darts",
    [140, 400],
  ),
  measure("bustSpan", "Bust span", "length", "From bust point to bust point.", "place of darts", [110, 290]),
];

/** Levels that may be taken from the shoulder instead of the tied tape. */
export const DATUM_LEVELS: readonly MeasureKey[] = [
  "waistToHip",
  "waistToKnee",
  "waistToCalf",
  "waistToAnkle",
  "waistToFloor",
];

const byKey = new Map(MEASURES.map((m) => [m.key, m]));

/** The catalogue entry of a measure. */
export function measureOf(key: MeasureKey): Measure {
  const found = byKey.get(key);
  if (!found) throw new RangeError(`no measure ${key}`);
  return found;
}
