import type { BodyMeasures } from "../body";
import { inCm, type Mm } from "../units";

/** A draft that no valid outline exists for: which measure or rule is at fault, and what to do. */
export class CannotDraft extends Error {
  constructor(
    readonly path: string,
    message: string,
  ) {
    super(message);
    this.name = "CannotDraft";
  }
}

/** Cards that no trousers can be drawn for, each with the measure at fault. */
export function refuseImpossible(m: BodyMeasures, depth: Mm, hipLevel: Mm, waistLine: Mm): void {
  if (m.waist.mm > 1.6 * m.hip.mm) {
    throw new CannotDraft(
      "body.measures.waist",
      `The waist (${inCm(m.waist.mm)}) is far larger than the hip (${inCm(m.hip.mm)}). Measure both again, in one unit.`,
    );
  }
  if (m.waist.mm < 0.35 * m.hip.mm) {
    throw new CannotDraft(
      "body.measures.waist",
      `The waist (${inCm(m.waist.mm)}) is less than a third of the hip (${inCm(m.hip.mm)}). Measure both again, in one unit.`,
    );
  }
  if (depth <= hipLevel + 15) {
    throw new CannotDraft(
      m.crotchDepth.source === "given" ? "body.measures.crotchDepth" : "body.measures.waistToHip",
      `The crotch line (${inCm(depth)}) must lie below the hip line (${inCm(hipLevel)}). Check crotch depth and waist to hip; about 6.5 cm between them is usual.`,
    );
  }
  if (hipLevel - waistLine < 40) {
    throw new CannotDraft(
      m.waistToHip.source === "given" ? "body.measures.waistToHip" : "block.rules.waistLevel",
      `Only ${inCm(hipLevel - waistLine)} lie between waist line and hip line. Measure waist to hip again, or raise the waist line.`,
    );
  }
  if (m.waistToKnee.mm < depth + 60) {
    throw new CannotDraft(
      m.waistToKnee.source === "given" ? "body.measures.waistToKnee" : "body.measures.crotchDepth",
      `The knee (${inCm(m.waistToKnee.mm)}) must lie well below the crotch line (${inCm(depth)}). Check waist to knee and crotch depth.`,
    );
  }
  if (m.waistToFloor.mm < m.waistToKnee.mm + 80) {
    throw new CannotDraft(
      m.waistToFloor.source === "given" ? "body.measures.waistToFloor" : "body.measures.waistToKnee",
      `The floor (${inCm(m.waistToFloor.mm)}) must lie well below the knee (${inCm(m.waistToKnee.mm)}). Check both, from the tied tape.`,
    );
  }
}
