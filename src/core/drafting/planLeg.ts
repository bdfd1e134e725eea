import type { BodyMeasures } from "../body";
import { quantity, type Mm, type Quantity, say } from "../units";
import { BACK_MAKINGS } from "./backs";
import { refuseImpossible } from "./refuseImpossible";
import { dartBudget, type DartShare } from "./darts";
import type { Drafter } from "./drafter";
import { shiftPanel, shiftPassing, type CurvePlan, type LegPlan, type Levels, type PanelPlan } from "./plan";
import { dartPlace, recordDarts, withPlace } from "./planDarts";
import { planWidths } from "./planWidths";
import type { ResolvedRules } from "./rules";
import { leanedIn, shareWaist, takingLimit } from "./shareWaist";
import { backExtensionSum, crotchDepthSum, frontExtensionSum, limited, widthSum } from "./sums";

/**
 * How much more than the front's the back's side may lean in at the waist before the centre back takes the rest: as
 * the maker draws it, and closer where the sides could not be joined otherwise.
 */
export const SIDE_DIFFERENCES: readonly Mm[] = [42, 20];
/** Most that a side takes in of the waist beside a dart: so much, and so much of the height from waist to hip, or it corners there. */
const SIDE_LIMITS = { front: 35, back: 45 } as const;
const STEEPEST_SIDE = 0.21;
/** Least front extension that leaves a crotch to sew. */
const LEAST_EXTENSION: Mm = 20;

/** Widths and extensions of both panels, and the front laid out about its crease. */
function planFork(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter, easeOf: (ease: Mm) => Mm) {
  const easeBack = rules.hipInch === "none" ? rules.ease.front : rules.ease.back;
  const frontWidth = drafter.chosen("frontWidth", widthSum("front", m, rules, easeOf(rules.ease.front)));
  const backWidth = drafter.onTape(widthSum("back", m, rules, easeOf(easeBack)));
  const front = drafter.chosen(
    "frontExtension",
    limited(
      frontExtensionSum(m, rules, frontWidth),
      LEAST_EXTENSION,
      0.7 * frontWidth.mm,
      say`a front extension is ${LEAST_EXTENSION} at the least and 0.7 of the width at the most`,
    ),
  );
  const back = drafter.chosen(
    "backExtension",
    limited(
      backExtensionSum(m, rules, front),
      front.mm,
      Math.max(front.mm, 0.85 * backWidth.mm),
      say`between the front's and 0.85 of the back's width`,
    ),
  );
  drafter.number(
    "backExtensionMore",
    quantity(back.mm - front.mm, say`back extension ${back.mm} - front extension ${front.mm}`, {
      backExtension: back,
      frontExtension: front,
    }),
  );
  const quarter = waistQuarter(m, rules, drafter);
  // The crease halves the front's crotch line, unless it is set off; the back is laid over the front, crease on crease.
  const offset = rules.hang.from === "offset" ? rules.hang.by : 0;
  const crotchHalf = (frontWidth.mm + front.mm) / 2;
  const hipX = crotchHalf - offset;
  const crotchX = 0 - crotchHalf - offset;
  drafter.number(
    "creaseToSide",
    quantity(
      hipX,
      say`(front width ${frontWidth.mm} + extension ${front.mm}) / 2${offset === 0 ? "" : say` - set off ${offset}`}`,
      { frontWidth, frontExtension: front },
    ),
  );
  const centre = crotchX + front.mm;
  return {
    frontWidth,
    backWidth,
    front,
    back,
    quarter,
    hipX,
    crotchX,
    centre,
    frontWaist: centre + rules.waist.frontIn,
    /** What the back has more at the hip line only. */
    inch: rules.hipInch === "hipOnly" ? easeOf(easeBack - rules.ease.front) : 0,
  };
}
type Fork = ReturnType<typeof planFork>;

/** Darts and waist of both panels, the back's lines leaned in as far as its side could not be sewn to the front's. */
function planWaist(
  m: BodyMeasures,
  rules: ResolvedRules,
  drafter: Drafter,
  levels: Levels,
  fork: Fork,
  sideDifference: Mm,
) {
  const { frontWidth, backWidth, quarter, hipX, centre, frontWaist } = fork;
  const fitted = rules.waist.shaping === "darts";
  const room = levels.hip - levels.waist;
  const frontDarts = dartBudget(
    hipX - frontWaist - quarter.mm,
    fitted ? rules.waist.frontIntake : 0,
    rules.waist.frontLength,
    Math.min(SIDE_LIMITS.front, STEEPEST_SIDE * room),
    room,
  );
  const dartAt = dartPlace(m, rules, drafter);
  const front = withPlace(frontDarts, rules, dartAt, 0 - frontWaist);
  const drawn = BACK_MAKINGS[rules.back.how].lines({
    measures: m,
    rules,
    drafter,
    levels,
    centre,
    frontWaist,
    frontWidth,
    backWidth,
    frontHipX: hipX,
    drop: rules.dropAfterBack ? 0 : rules.waist.frontDrop,
    moreEase: backWidth.mm - frontWidth.mm,
    extension: fork.back,
    quarter: quarter.mm,
    frontSideAtWaist: frontWaist + quarter.mm + frontDarts.count * frontDarts.intake,
    frontDartAt: front.at ?? (quarter.mm + frontDarts.intake * frontDarts.count) / 2,
  });
  const lower = rules.back.lower === "rise" ? rules.back.drop : 0;
  if (lower > 0) drafter.number("riseForLower", quantity(lower, say`${lower} lower, made as a rise of the waist`));
  const made = { ...drawn, rise: drawn.rise + lower };
  const waists = shareWaist(rules, drafter, quarter.mm, hipX - frontWaist, made, levels);
  const backShare = (raised: Mm): DartShare =>
    dartBudget(
      made.hipX - raised - made.quarter,
      fitted ? rules.waist.backIntake : 0,
      rules.waist.backLength,
      Math.min(SIDE_LIMITS.back, STEEPEST_SIDE * room),
      room + Math.max(0, made.rise) / 2,
    );
  // A back side that leans far more than the front's cannot be sewn to it: the centre back takes the difference.
  const untaken = backShare(waists.raised);
  const takes = waists.shaped ? Math.max(0, untaken.side - Math.max(frontDarts.side, 0) - sideDifference) : 0;
  const taken = Math.min(takingLimit(made, levels), takes) + waists.taken;
  const backDarts = takes > 0 ? backShare(waists.raised + taken) : untaken;
  if (takes > 0)
    drafter.number("centreBackTakes", quantity(taken, "so that the sides of front and back lean alike at the waist"));
  recordDarts(drafter, "front", frontDarts, fitted ? rules.waist.frontIntake : 0, rules.waist.frontLength);
  recordDarts(drafter, "back", backDarts, fitted ? rules.waist.backIntake : 0, rules.waist.backLength);
  for (const name of ["sideRise", "frontDrop", "frontIn"] as const)
    drafter.number(name, quantity(rules.waist[name], say`${rules.waist[name]} as chosen`));
  return {
    front,
    waists,
    lines: taken > 0 ? leanedIn(made, taken, levels) : made,
    back: (crease: Mm) => withPlace(backDarts, rules, dartAt, crease - (waists.raised + taken)),
  };
}

/**
 * From measures and rules to the numbers of a leg. Every number is recorded on the drafter with its sum.
 * Throws CannotDraft, naming the measure or rule, where no trousers can be drawn.
 */
export function planLeg(
  m: BodyMeasures,
  rules: ResolvedRules,
  drafter: Drafter,
  sideDifference = SIDE_DIFFERENCES[0] as Mm,
): LegPlan {
  const levels = planLevels(m, rules, drafter);
  const fork = planFork(m, rules, drafter, (ease) => (m.hip.net ? ease : 0));
  const { hipX, crotchX, front, back } = fork;
  const waist = planWaist(m, rules, drafter, levels, fork, sideDifference);
  const { lines, waists } = waist;
  const sideAtCrotch = fork.inch === 0 ? null : (lines.sideAtCrotch ?? lines.hipX) - fork.inch;
  if (sideAtCrotch !== null)
    drafter.number(
      "backWidthAtCrotch",
      quantity(
        sideAtCrotch - lines.centreAtCrotch,
        say`back width ${fork.backWidth.mm} - ${fork.inch}, which is at the hip line only`,
        { backWidth: fork.backWidth },
      ),
    );
  const legs = planWidths(m, rules, drafter, { hipX, crotchX }, { ...lines, sideAtCrotch: sideAtCrotch ?? lines.hipX });
  const frontPlan: PanelPlan = {
    centre: "bent",
    centreAtCrotch: fork.centre,
    centreAtWaist: fork.frontWaist,
    centreRise: -rules.waist.frontDrop,
    hipX,
    sideAtCrotch: null,
    crotchX,
    extension: front.mm,
    curve: curvePlan(rules, "front", front.mm),
    darts: waist.front,
    netWaist: waists.front,
    hem: legs.front,
  };
  const backPlan: PanelPlan = {
    centre: lines.centre,
    centreAtCrotch: lines.centreAtCrotch,
    centreAtWaist: lines.centreAtWaist,
    centreRise: lines.rise,
    hipX: lines.hipX,
    sideAtCrotch,
    crotchX: lines.crotchX,
    extension: back.mm,
    curve: curvePlan(rules, "back", back.mm),
    darts: waist.back(legs.backCrease),
    netWaist: waists.back,
    hem: legs.back,
  };
  const knee = {
    level: levels.knee,
    front: shiftPassing(legs.front, -legs.frontCrease),
    back: shiftPassing(legs.back, -legs.backCrease),
    asked: false,
  };
  return {
    levels,
    sideRise: rules.waist.sideRise,
    backShorter: rules.inseam.backShorter,
    dropAsked: rules.back.lower === "rise" ? 0 : rules.back.drop,
    hang: rules.hang.from,
    turns: legs.turns ? [knee] : [],
    shaped: false,
    hemLine: levels.hem,
    backExtra: legs.extra,
    hemAsked: null,
    thigh: rules.thigh.girth === "none" ? null : { below: rules.thigh.below, girth: rules.thigh.girth },
    straightInseam: rules.leg.inseam === "straight",
    hipWide: rules.waist.shaping === "hipWide",
    own: null,
    front: shiftPanel(frontPlan, -legs.frontCrease),
    back: shiftPanel(backPlan, -legs.backCrease),
  };
}

function planLevels(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Levels {
  const { waistToHip, waistToKnee, waistToFloor } = m;
  const depth = drafter.chosen("crotchDepth", crotchDepthSum(m, rules));
  const up = rules.waistLevel.add + rules.level.high;
  const waistUp = drafter.chosen("waistLevel", quantity(up, say`${up} above the natural waist`));
  const hip = drafter.chosen(
    "hipLevel",
    quantity(waistToHip.mm, waistToHip.source === "given" ? "waist to hip from the card" : waistToHip.sum, {
      waistToHip,
    }),
  );
  refuseImpossible(m, depth.mm, hip.mm, -waistUp.mm);
  const length = drafter.chosen(
    "blockLength",
    quantity(waistToFloor.mm + 10, say`waist to floor ${waistToFloor.mm} + shoe ${30} - clearance ${20}`, {
      waistToFloor,
    }),
  );
  const knee = drafter.chosen(
    "kneeLevel",
    rules.leg.kneeLine === "half"
      ? quantity((depth.mm + length.mm) / 2 - 51, say`half of crotch ${depth.mm} to hem ${length.mm}, ${51} higher`, {
          crotchDepth: depth,
          blockLength: length,
        })
      : quantity(waistToKnee.mm - 25, say`waist to knee ${waistToKnee.mm} - ${25}`, { waistToKnee }),
  );
  if (waistUp.mm !== 0) {
    const off = say` ${waistUp.mm > 0 ? "+" : "-"} ${Math.abs(waistUp.mm)}, what the edge lies ${waistUp.mm > 0 ? "above" : "below"} the waist`;
    drafter.number(
      "crotchFromEdge",
      quantity(depth.mm + waistUp.mm, say`crotch depth ${depth.mm}${off}`, { crotchDepth: depth }),
    );
    drafter.number(
      "lengthFromEdge",
      quantity(length.mm + waistUp.mm, say`length ${length.mm}${off}`, { blockLength: length }),
    );
  }
  return {
    waist: 0 - waistUp.mm,
    hip: hip.mm,
    crotch: depth.mm,
    knee: Math.max(knee.mm, depth.mm + 60),
    hem: length.mm,
  };
}

function waistQuarter(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Quantity {
  const ease = m.waist.net ? rules.waist.ease : 0;
  return drafter.chosen(
    "waistQuarter",
    quantity((m.waist.mm + ease) / 4, say`(waist ${m.waist.mm} + ease ${ease}) / 4`, { waist: m.waist }),
  );
}

function curvePlan(rules: ResolvedRules, panel: "front" | "back", extension: Mm): CurvePlan {
  const { steer, start, out, up } = rules.curve;
  const hollow = rules.hollow.from === "quarter" ? extension / 4 : rules.hollow[panel];
  return { steer, start, out, up, hollow };
}
