import { say, type Sentence, inside } from "../units";
import type { BodyMeasures } from "./card";
import { MEASURES, measureOf, type MeasureKey } from "./measures";

/** Something about the card worth asking; never a refusal. */
export interface Question {
  readonly measure: MeasureKey;
  readonly message: Sentence;
}

/** Pairs that are normally in this order on any body: the first smaller than the second. */
const ORDER: readonly (readonly [MeasureKey, MeasureKey])[] = [
  ["knee", "thigh"],
  ["ankle", "calf"],
  ["ankle", "heel"],
  ["knee", "kneeBent"],
  ["thigh", "hip"],
  ["waistToHip", "crotchDepth"],
  ["crotchDepth", "waistToKnee"],
  ["waistToKnee", "waistToCalf"],
  ["waistToCalf", "waistToAnkle"],
  ["waistToAnkle", "waistToFloor"],
  ["waistToFloor", "height"],
  ["shoulderToBust", "shoulderToWaist"],
  ["napeToWaist", "shoulderToWaist"],
  ["neck", "bust"],
  ["upperArm", "bust"],
];

/**
 * Questions about a card: numbers outside the usual range, pairs in an unusual order, a girth that looks as if it
 * was written in the wrong unit. Estimates are never questioned on their own, but for the bust where a bodice is drafted
 * from it: nothing below the waist tells what is above.
 */
export function questionsOf(measures: BodyMeasures, draftsBodice = false): Question[] {
  const questions: Question[] = [];
  if (draftsBodice && measures.bust.source === "estimated")
    questions.push({
      measure: "bust",
      message: say`The bodice is drafted from a bust that is only estimated. Measure the upper body and write it here.`,
    });
  const given = (key: MeasureKey): boolean => measures[key].source === "given";
  for (const { key, label, usual } of MEASURES) {
    if (!given(key)) continue;
    const { mm } = measures[key];
    if (mm < usual[0] / 1.8) {
      questions.push({ measure: key, message: say`${label} is ${mm}. Was it written in inches?` });
    } else if (mm > usual[1] * 1.6) {
      questions.push({
        measure: key,
        message: say`${label} is ${mm}. Was it written in centimetres?`,
      });
    } else if (mm < usual[0] || mm > usual[1]) {
      questions.push({ measure: key, message: say`${label} of ${mm} is unusual. Measure it again?` });
    }
  }
  for (const [small, large] of ORDER) {
    if (!(given(small) || given(large)) || measures[small].mm < measures[large].mm) continue;
    // A girth that already holds its ease may well be larger than the next one bare.
    if (!measures[small].net || !measures[large].net) continue;
    const measure = given(small) ? small : large;
    questions.push({
      measure,
      message: say`${measureOf(small).label} is not smaller than ${inside(measureOf(large).label)}. Are the two mixed up?`,
    });
  }
  const { waist, hip, crotchDepth } = measures;
  if (waist.mm > hip.mm * 1.15) {
    questions.push({
      measure: "waist",
      message: say`The waist is much larger than the hip. Is the hip taken at the fullest place?`,
    });
  }
  const { bust, shoulderWidth, bustSpan } = measures;
  if (given("bust") && bust.mm < waist.mm)
    questions.push({
      measure: "bust",
      message: say`The bust is smaller than the waist. Is it taken at the fullest place?`,
    });
  if (given("shoulderWidth") && shoulderWidth.mm > 0.5 * bust.mm)
    questions.push({
      measure: "shoulderWidth",
      message: say`The shoulders are wider than half the bust. Is the width taken from point to point?`,
    });
  if (given("bustSpan") && bustSpan.mm > 0.3 * bust.mm)
    questions.push({ measure: "bustSpan", message: say`The bust points lie far apart for this bust. Measure again?` });
  if (given("crotchDepth") && Math.abs(crotchDepth.mm - (hip.mm / 4 + 25)) > 60) {
    questions.push({
      measure: "crotchDepth",
      message: say`Crotch depth is far from a quarter of the hip (${hip.mm / 4 + 25}). Tall and short wearers differ; was it taken sitting?`,
    });
  }
  return questions;
}
