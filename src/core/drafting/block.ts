import { type Panel } from "../pattern";
import { Refusal, type Mm } from "../units";
import type { BodyMeasures } from "../body";
import { Drafter, type Numbers, type Step } from "./drafter";
import { drawLegs } from "./draw";
import { narrate } from "./narrate";
import type { LegPlan } from "./plan";
import { planLeg, SIDE_DIFFERENCES } from "./planLeg";
import type { ResolvedRules } from "./rules";

/**
 * The base: front and back on their seam lines, the plan they were drawn from, every number and step. Steps are told
 * when they are read first: a pulled handle needs none.
 */
export interface Block {
  readonly plan: LegPlan;
  readonly panels: readonly [front: Panel, back: Panel];
  readonly numbers: Numbers;
  readonly steps: readonly Step[];
}

/**
 * Drafts the block by the chosen rules and records how. Throws Refusal, naming the measure or rule at fault,
 * where no valid outline exists. With a `division` of the tape every chosen number stands on it before it is used; what
 * is solved, so that front and back agree, follows from them exactly.
 */
export function draftBlock(measures: BodyMeasures, rules: ResolvedRules, division: Mm | null = null): Block {
  const { drafter, plan, legs } = firstThatDraws(measures, rules, division);
  for (const [name, value] of Object.entries(legs.solved)) drafter.number(name, value);
  return {
    plan,
    panels: [legs.front, legs.back],
    numbers: drafter.numbers,
    get steps() {
      if (drafter.steps.length === 0) narrate(drafter, rules, plan, legs);
      return drafter.steps;
    },
  };
}

/** The draft as the rules say, else with the centre back taking what the sides cannot; throws the first refusal. */
function firstThatDraws(
  measures: BodyMeasures,
  rules: ResolvedRules,
  division: Mm | null,
): { readonly drafter: Drafter; readonly plan: LegPlan; readonly legs: ReturnType<typeof drawLegs> } {
  let refusal: Refusal | null = null;
  for (const difference of SIDE_DIFFERENCES) {
    const drafter = new Drafter(division);
    try {
      const plan = planLeg(measures, rules, drafter, difference);
      return { drafter, plan, legs: drawLegs(plan) };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refusal ??= error;
    }
  }
  throw refusal;
}
