import { derive, deriveShape, type Derived, type Shape } from "../derive";
import { parseJob, type Job } from "../files";

/** A palazzo job for a body; throws with the sentence when it is not valid. */
export function palazzoJob(body: Job["body"], more: Partial<Job> = {}): Job {
  const parsed = parseJob({ format: "eland-job", version: 1, name: "Test", body, style: { id: "palazzo" }, ...more });
  if (!parsed.ok) throw new Error(parsed.errors.map((e) => `${e.path}: ${e.message}`).join("\n"));
  return parsed.job;
}

/** A whole card in millimetres, for sums that can be done by hand. */
export const HAND_BODY: Job["body"] = {
  name: "Hand",
  unit: "mm",
  measures: {
    waist: 760,
    hip: 1040,
    thigh: 600,
    knee: 390,
    kneeBent: 420,
    calf: 370,
    ankle: 240,
    heel: 340,
    waistToHip: 210,
    crotchDepth: 280,
    crotchLength: 720,
    waistToKnee: 600,
    waistToCalf: 740,
    waistToAnkle: 970,
    waistToFloor: 1050,
  },
};

export function shapeOf(job: Job): Shape {
  const shape = deriveShape(job);
  if (!shape.ok) throw new Error(shape.errors.map((e) => `${e.path}: ${e.message}`).join("\n"));
  return shape;
}

export function derivedOf(job: Job): Derived {
  const derived = derive(job);
  if (!derived.ok) throw new Error(derived.errors.map((e) => `${e.path}: ${e.message}`).join("\n"));
  return derived;
}
