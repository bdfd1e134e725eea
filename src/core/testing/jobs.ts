import { panelById, type Panel } from "../pattern";
import { complaintsOf } from "./said";
import { derive, type Derived } from "../derive";
import { deriveShape, type Shape } from "../derive/shape";
import { JOB_VERSION, type Job } from "../files";
import { STYLES } from "../styles";
import { jobFrom } from "./jobFrom";

/** A palazzo job for a body, without pockets unless asked for; throws with the sentence when it is not valid. */
export function palazzoJob(body: Job["body"], more: Partial<Job> = {}): Job {
  const job = { version: JOB_VERSION, name: "Test", body, style: { id: "palazzo" }, cloth: {}, ...more };
  return jobFrom({
    format: "eland-job",
    block: { school: STYLES[job.style.id]?.school ?? "proportional", rules: {} },
    ...job,
    finish: { pockets: [], ...more.finish },
  });
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
    crotchLength: 680,
    waistToKnee: 600,
    waistToCalf: 740,
    waistToAnkle: 970,
    waistToFloor: 1050,
  },
};

/** Front and back at hand, for patterns whose legs are not cut; a missing one throws when it is asked for. */
interface WithLegs {
  readonly front: Panel;
  readonly back: Panel;
}

export function withLegs<T extends { readonly panels: readonly Panel[] }>(pattern: T): T & WithLegs {
  const leg = (id: "front" | "back") => ({ enumerable: false, get: () => panelById(pattern.panels, id) });
  return Object.defineProperties({ ...pattern }, { front: leg("front"), back: leg("back") }) as T & WithLegs;
}

export function shapeOf(job: Job): Shape & WithLegs {
  const shape = deriveShape(job);
  if (!shape.ok) throw new Error(complaintsOf(shape.errors));
  for (const { fault } of shape.worksheet) if (fault) throw new Error(`${fault.act}: ${fault.error}`);
  return withLegs(shape);
}

export function derivedOf(job: Job): Derived & WithLegs {
  const derived = derive(job);
  if (!derived.ok) throw new Error(complaintsOf(derived.errors));
  for (const { act, error } of derived.faults) throw new Error(`${act}: ${error}`);
  return withLegs(derived);
}

const card = (name: string, ...mm: readonly number[]): Job["body"] => ({
  name,
  unit: "mm",
  measures: Object.fromEntries(
    [
      "waist",
      "hip",
      "thigh",
      "knee",
      "kneeBent",
      "calf",
      "ankle",
      "heel",
      "waistToHip",
      "crotchDepth",
      "waistToKnee",
      "waistToCalf",
      "waistToAnkle",
      "waistToFloor",
    ].map((key, i) => [key, mm[i] ?? 0]),
  ),
});

/** Four differing wearers, whose cards leave the crotch length out, as most do. */
export const FOUR_BODIES: readonly Job["body"][] = [
  card("Slim", 660, 900, 520, 350, 375, 330, 215, 310, 200, 255, 570, 740, 930, 1010),
  card("Middle", 780, 1020, 590, 385, 415, 365, 240, 335, 208, 275, 590, 765, 960, 1040),
  card("Full", 980, 1220, 700, 440, 470, 405, 260, 350, 215, 310, 595, 770, 965, 1050),
  card("Tall", 840, 1010, 580, 395, 425, 375, 250, 360, 225, 285, 650, 840, 1055, 1140),
];
