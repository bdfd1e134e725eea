import { quantity, type Quantity, say, ratio, inside, type Sentence } from "../units";
import { measureOf, type MeasureKey } from "./measures";

type Known = ReadonlyMap<MeasureKey, Quantity & { readonly net?: boolean }>;

interface Estimate {
  readonly key: MeasureKey;
  readonly from: (known: Known) => Quantity;
}

/** A measure to estimate by: as carded, or by its own estimate where what is carded holds ease already. */
function of(known: Known, key: MeasureKey): Quantity {
  const found = known.get(key);
  if (!found) throw new Error(`the estimate of ${key} must come earlier in the list`);
  if (found.net !== false) return found;
  return ESTIMATES.find((estimate) => estimate.key === key)?.from(known) ?? found;
}

/** What a measure is called within a sum. */
const wordsOf = (key: MeasureKey): Sentence => inside(measureOf(key).label);

/** `share` of another measure. */
function share(known: Known, key: MeasureKey, factor: number): Quantity {
  const base = of(known, key);
  return quantity(base.mm * factor, say`${ratio(factor)} x ${wordsOf(key)} ${base.mm}`, { [key]: base });
}

/**
 * How each missing measure is estimated, in the order they depend on each other.
 * Crotch depth and waist to hip follow the trade's rules; levels and girths follow usual proportions of an
 * adult figure, and are always marked as estimates.
 */
export const ESTIMATES: readonly Estimate[] = [
  {
    key: "crotchDepth",
    from: (known) => {
      const hip = of(known, "hip");
      return quantity(hip.mm / 4 + 25, say`hip ${hip.mm} / 4 + ${25}`, { hip });
    },
  },
  {
    key: "waistToHip",
    from: (known) => {
      const depth = of(known, "crotchDepth");
      return quantity(Math.min(216, depth.mm - 64), say`the smaller of ${216} and crotch depth ${depth.mm} - ${64}`, {
        crotchDepth: depth,
      });
    },
  },
  {
    key: "waistToFloor",
    from: (known) => {
      if (known.has("height")) return share(known, "height", 0.625);
      if (known.has("waistToAnkle")) return share(known, "waistToAnkle", 1.08);
      if (known.has("waistToKnee")) return share(known, "waistToKnee", 1.76);
      return quantity(1050, say`usual for an adult of ${1680}; measure it`);
    },
  },
  { key: "height", from: (known) => share(known, "waistToFloor", 1.6) },
  { key: "waistToKnee", from: (known) => share(known, "waistToFloor", 0.568) },
  { key: "waistToCalf", from: (known) => share(known, "waistToFloor", 0.7) },
  { key: "waistToAnkle", from: (known) => share(known, "waistToFloor", 0.925) },
  {
    key: "crotchLength",
    from: (known) => {
      const [depth, hip] = [of(known, "crotchDepth"), of(known, "hip")];
      return quantity(2 * depth.mm + hip.mm / 8, say`2 x crotch depth ${depth.mm} + hip ${hip.mm} / 8`, {
        crotchDepth: depth,
        hip,
      });
    },
  },
  { key: "thigh", from: (known) => share(known, "hip", 0.59) },
  { key: "knee", from: (known) => share(known, "hip", 0.38) },
  { key: "kneeBent", from: (known) => share(known, "knee", 1.08) },
  { key: "calf", from: (known) => share(known, "knee", 0.97) },
  { key: "ankle", from: (known) => share(known, "calf", 0.64) },
  { key: "heel", from: (known) => share(known, "ankle", 1.42) },
  { key: "bust", from: (known) => share(known, "hip", 0.95) },
  {
    key: "neck",
    from: (known) => {
      const bust = of(known, "bust");
      return quantity(130 + 0.255 * bust.mm, say`${130} + ${ratio(0.255)} x bust ${bust.mm}`, { bust });
    },
  },
  {
    key: "head",
    from: (known) => {
      const height = of(known, "height");
      return quantity(400 + height.mm / 11, say`${400} + height ${height.mm} / 11`, { height });
    },
  },
  { key: "upperArm", from: (known) => share(known, "bust", 0.31) },
  {
    key: "shoulderWidth",
    from: (known) => {
      const [height, bust] = [of(known, "height"), of(known, "bust")];
      return quantity(
        0.14 * height.mm + 0.165 * bust.mm,
        say`${ratio(0.14)} x height ${height.mm} + ${ratio(0.165)} x bust ${bust.mm}`,
        { height, bust },
      );
    },
  },
  { key: "napeToWaist", from: (known) => share(known, "height", 0.245) },
  {
    // The nape lies below the neck's end of the shoulder, and the way over the bust is longer the fuller it is.
    key: "shoulderToWaist",
    from: (known) => {
      const [nape, neck, bust, height] = [
        of(known, "napeToWaist"),
        of(known, "neck"),
        of(known, "bust"),
        of(known, "height"),
      ];
      const over = Math.min(70, Math.max(5, bust.mm / 8 - height.mm / 16));
      return quantity(
        nape.mm + neck.mm / 16 + over,
        say`nape to waist ${nape.mm} + neck ${neck.mm} / 16 + ${over} over the bust`,
        { napeToWaist: nape, neck, bust, height },
      );
    },
  },
  { key: "shoulderToBust", from: (known) => share(known, "shoulderToWaist", 0.6) },
  { key: "bustSpan", from: (known) => share(known, "bust", 0.2) },
];
