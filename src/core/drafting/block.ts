import type { BodyMeasures } from "../body";
import { landmarkOf, type Panel } from "./panel";
import { drawLegs } from "./draw";
import { Drafter, type Numbers, type Step } from "./drafter";
import { planLeg, type LegPlan } from "./plan";
import type { ResolvedRules } from "./rules";
import type { Point } from "../geometry";

/** The drafted base: front and back on their seam lines, the plan they were drawn from, every number and step. */
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
  recordSteps(drafter, plan, legs.front, legs.back);
  return { plan, panels: [legs.front, legs.back], numbers: drafter.numbers, steps: drafter.steps };
}

function recordSteps(drafter: Drafter, plan: LegPlan, front: Panel, back: Panel): void {
  const at = (panel: Panel, ...names: string[]): Record<string, Point> =>
    Object.fromEntries(names.filter((n) => panel.landmarks[n]).map((n) => [n, landmarkOf(panel, n)]));
  const step = (panel: Panel, template: string, ...names: string[]): void =>
    drafter.step(panel.id, template, at(panel, ...names));

  step(
    front,
    "Draw the crease upright and square a waist line across its top. Hip line {hipLevel} below the waist.",
    "hipSide",
    "hipCentre",
  );
  step(front, "Crotch line {crotchDepth} below the waist.", "creaseCrotch");
  step(
    front,
    "Knee line {kneeLevel} and hem line {blockLength} below the waist.",
    "kneeSide",
    "kneeInseam",
    "hemSide",
    "hemInseam",
  );
  step(
    front,
    "On hip and crotch line mark the front width {frontWidth} from the side to the centre front.",
    "hipSide",
    "hipCentre",
  );
  step(
    front,
    "Extend the crotch line by {frontExtension} beyond the centre front. The crease halves the whole crotch line.",
    "crotchPoint",
  );
  step(front, "At the waist bring the centre front in {frontIn} and drop it {frontDrop}.", "waistCentre");
  step(
    front,
    "Curve the crotch from the hip line to the crotch point, {frontHollow} from the corner on the diagonal, square to the inseam.",
    "curveStart",
    "crotchPoint",
  );
  step(
    front,
    "Share the leg about the crease: {blockLegGirth} round at knee and hem, the back wider than the front.",
    "kneeSide",
    "kneeInseam",
  );
  step(
    front,
    "Raise the side {sideRise}. Waist {waistQuarter} with the darts closed; darts take {frontDartIntake}, {frontDartLength} long; the side takes the rest.",
    "waistSide",
  );
  step(front, "Draw side and inseam through hip, knee and hem in one line each.", "hipSide", "crotchPoint");
  step(
    back,
    "Lay the back over the front, crease on crease. Bring the centre back in {inAtCrotch} at the crotch line and {inAtWaist} at the waist, and rise {backRise} along that line.",
    "waistCentre",
  );
  step(
    back,
    "Measure the back width {backWidth} on the hip line from the slanted centre back to the side.",
    "hipSide",
    "hipCentre",
  );
  step(
    back,
    "From the slanted line mark the back extension {backExtension}, {backExtensionMore} more than the front's.",
    "crotchPoint",
  );
  step(
    back,
    "Lower the back crotch point {backCrotchDrop}, so that the back inseam is {backShorter} shorter and is stretched on.",
    "crotchPoint",
  );
  step(
    back,
    "Curve the back crotch, {backHollow} from the corner on the diagonal, square to the inseam.",
    "curveStart",
    "crotchPoint",
  );
  step(
    back,
    "Swing the waist {waistQuarter} with darts of {backDartIntake}, {backDartLength} long, to where the back side is as long as the front's.",
    "waistSide",
  );
  step(
    back,
    plan.backShorter === 0
      ? "Walk side and inseam: they are equal."
      : "Walk side and inseam: the sides are equal, the back inseam is {backShorter} shorter.",
    "hemSide",
    "hemInseam",
  );
}
