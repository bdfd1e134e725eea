import type { BodyMeasures } from "../body";
import { type Mm, Refusal, say } from "../units";

/** Cards that no trousers can be drawn for, each with the measure at fault. */
export function refuseImpossible(m: BodyMeasures, depth: Mm, hipLevel: Mm, waistLine: Mm): void {
  if (m.waist.mm > 1.6 * m.hip.mm) {
    throw new Refusal(
      "body.measures.waist",
      say`The waist (${m.waist.mm}) is far larger than the hip (${m.hip.mm}). Measure both again, in one unit.`,
    );
  }
  if (m.waist.mm < 0.35 * m.hip.mm) {
    throw new Refusal(
      "body.measures.waist",
      say`The waist (${m.waist.mm}) is less than a third of the hip (${m.hip.mm}). Measure both again, in one unit.`,
    );
  }
  if (depth <= hipLevel + 15) {
    throw new Refusal(
      m.crotchDepth.source === "given" ? "body.measures.crotchDepth" : "body.measures.waistToHip",
      say`The crotch line (${depth}) must lie below the hip line (${hipLevel}). Check crotch depth and waist to hip; about ${65} between them is usual.`,
    );
  }
  if (hipLevel - waistLine < 40) {
    throw new Refusal(
      m.waistToHip.source === "given" ? "body.measures.waistToHip" : "block.rules.waistLevel",
      say`Only ${hipLevel - waistLine} lie between waist line and hip line. Measure waist to hip again, or raise the waist line.`,
    );
  }
  if (m.waistToKnee.mm < depth + 60) {
    throw new Refusal(
      m.waistToKnee.source === "given" ? "body.measures.waistToKnee" : "body.measures.crotchDepth",
      say`The knee (${m.waistToKnee.mm}) must lie well below the crotch line (${depth}). Check waist to knee and crotch depth.`,
    );
  }
  if (m.waistToFloor.mm < m.waistToKnee.mm + 80) {
    throw new Refusal(
      m.waistToFloor.source === "given" ? "body.measures.waistToFloor" : "body.measures.waistToKnee",
      say`The floor (${m.waistToFloor.mm}) must lie well below the knee (${m.waistToKnee.mm}). Check both, from the tied tape.`,
    );
  }
}
