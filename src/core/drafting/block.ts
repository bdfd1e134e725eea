import type { BodyMeasures } from "../body";
import { Drafter, type Numbers, type Step } from "./drafter";
import { drawLegs } from "./draw";
import { narrate } from "./narrate";
import type { Panel } from "./panel";
import type { LegPlan } from "./plan";
import { planLeg } from "./planLeg";
import type { ResolvedRules } from "./rules";

/** The base: front and back on their seam lines, the plan they were drawn from, every number and step. */
export interface Block {
  readonly plan: LegPlan;
  readonly panels: readonly [front: Panel, back: Panel];
  readonly numbers: Numbers;
  readonly steps: readonly Step[];
}

/**
 * Drafts the block by the chosen rules and records how. Throws CannotDraft, naming the measure or rule at fault,
 * where no valid outline exists.
 */
export function draftBlock(measures: BodyMeasures, rules: ResolvedRules): Block {
  const drafter = new Drafter();
  const plan = planLeg(measures, rules, drafter);
  const legs = drawLegs(plan);
  for (const [name, value] of Object.entries(legs.solved)) drafter.number(name, value);
  narrate(drafter, rules, plan, legs);
  return { plan, panels: [legs.front, legs.back], numbers: drafter.numbers, steps: drafter.steps };
}
