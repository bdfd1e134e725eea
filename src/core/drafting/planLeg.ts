import type { BodyMeasures } from "../body";
import { plain, quantity, type Mm, type Quantity } from "../units";
import { BACK_MAKINGS, throughHip, type BackLines } from "./backs";
import { refuseImpossible } from "./cannotDraft";
import { dartBudget, type DartShare } from "./darts";
import type { Drafter } from "./drafter";
import {
  panelWidths,
  passingOf,
  shiftPanel,
  type CurvePlan,
  type LegPlan,
  type Levels,
  type PanelPlan,
  type Passing,
} from "./plan";
import type { ResolvedRules } from "./rules";
import { backExtensionSum, crotchDepthSum, frontExtensionSum, legGirthSum, limited, widthSum } from "./sums";
import type { DartPlan } from "./waist";

/** Without darts or elastic, a centre back takes in at most this much beyond its slant. */
const CENTRE_BACK_LIMIT: Mm = 60;
/**
 * How much more than the front's the back's side may lean in at the waist before the centre back takes the rest: as
 * the maker draws it, and closer where the sides could not be joined otherwise.
 */
export const SIDE_DIFFERENCES: readonly Mm[] = [42, 20];
/** A centre back leans in by at most this much per millimetre of height. */
const STEEPEST_CENTRE = 0.36;
/** Least front extension that leaves a crotch to sew. */
const LEAST_EXTENSION: Mm = 20;

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
  const easeBack = rules.hipInch === "none" ? rules.ease.front : rules.ease.back;
  const easeOf = (ease: Mm): Mm => (m.hip.net ? ease : 0);
  const frontWidth = drafter.number("frontWidth", widthSum("front", m, rules, easeOf(rules.ease.front)));
  const backWidth = widthSum("back", m, rules, easeOf(easeBack));
  const front = drafter.number(
    "frontExtension",
    limited(
      frontExtensionSum(m, rules, frontWidth),
      LEAST_EXTENSION,
      0.7 * frontWidth.mm,
      `a front extension is ${plain(LEAST_EXTENSION)} at the least and 0.7 of the width at the most`,
    ),
  );
  const back = drafter.number(
    "backExtension",
    limited(
      backExtensionSum(m, rules, front),
      front.mm,
      Math.max(front.mm, 0.85 * backWidth.mm),
      "between the front's and 0.85 of the back's width",
    ),
  );
  drafter.number(
    "backExtensionMore",
    quantity(back.mm - front.mm, `back extension ${plain(back.mm)} - front extension ${plain(front.mm)}`, {
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
  const centre = crotchX + front.mm;
  drafter.number(
    "creaseToSide",
    quantity(
      hipX,
      `(front width ${plain(frontWidth.mm)} + extension ${plain(front.mm)}) / 2${offset === 0 ? "" : ` - set off ${plain(offset)}`}`,
      { frontWidth, frontExtension: front },
    ),
  );
  const frontWaist = centre + rules.waist.frontIn;

  const fitted = rules.waist.shaping === "darts";
  const room = levels.hip - levels.waist;
  const frontDarts = dartBudget(
    hipX - frontWaist - quarter.mm,
    fitted ? rules.waist.frontIntake : 0,
    rules.waist.frontLength,
    35,
    room,
  );
  const dartAt = dartPlace(m, rules, drafter);
  const frontDart = withPlace(frontDarts, rules, dartAt, 0 - frontWaist);
  const made = BACK_MAKINGS[rules.back.how].lines({
    measures: m,
    rules,
    drafter,
    levels,
    centre,
    frontWaist,
    frontHipX: hipX,
    drop: rules.dropAfterBack ? 0 : rules.waist.frontDrop,
    moreEase: backWidth.mm - frontWidth.mm,
    frontWidth,
    backWidth,
    extension: back,
    quarter: quarter.mm,
    frontSideAtWaist: frontWaist + quarter.mm + frontDarts.count * frontDarts.intake,
    frontDartAt: frontDart.at ?? (quarter.mm + frontDarts.intake * frontDarts.count) / 2,
  });

  const waists = shareWaist(rules, drafter, quarter.mm, hipX - frontWaist, made, levels);
  const backShare = (raised: Mm): DartShare =>
    dartBudget(
      made.hipX - raised - made.quarter,
      fitted ? rules.waist.backIntake : 0,
      rules.waist.backLength,
      45,
      room + Math.max(0, made.rise) / 2,
    );
  // A back side that leans far more than the front's cannot be sewn to it: the centre back takes the difference.
  const untaken = backShare(waists.raised);
  const takes = waists.shaped ? Math.max(0, untaken.side - Math.max(frontDarts.side, 0) - sideDifference) : 0;
  const taken = Math.min(takingLimit(made, levels), takes) + waists.taken;
  const backDarts = takes > 0 ? backShare(waists.raised + taken) : untaken;
  if (takes > 0)
    drafter.number("centreBackTakes", quantity(taken, "so that the sides of front and back lean alike at the waist"));
  const lines = taken > 0 ? leanedIn(made, taken, levels) : made;
  const raised = waists.raised + taken;
  recordDarts(drafter, "front", frontDarts, fitted ? rules.waist.frontIntake : 0, rules.waist.frontLength);
  recordDarts(drafter, "back", backDarts, fitted ? rules.waist.backIntake : 0, rules.waist.backLength);
  for (const name of ["sideRise", "frontDrop", "frontIn"] as const)
    drafter.number(name, quantity(rules.waist[name], `${plain(rules.waist[name])} as chosen`));

  const legs = planWidths(m, rules, drafter, { hipX, crotchX }, lines);
  const thigh = rules.thigh.girth === "none" ? null : { below: rules.thigh.below, girth: rules.thigh.girth };
  const frontPlan: PanelPlan = {
    centre: "bent",
    centreAtCrotch: centre,
    centreAtWaist: frontWaist,
    centreRise: -rules.waist.frontDrop,
    hipX,
    crotchX,
    extension: front.mm,
    curve: curvePlan(rules, "front", front.mm),
    darts: frontDart,
    netWaist: waists.front,
    ...legs.front,
  };
  const backPlan: PanelPlan = {
    centre: lines.centre,
    centreAtCrotch: lines.centreAtCrotch,
    centreAtWaist: lines.centreAtWaist,
    centreRise: lines.rise,
    hipX: lines.hipX,
    crotchX: lines.crotchX,
    extension: back.mm,
    curve: curvePlan(rules, "back", back.mm),
    darts: withPlace(backDarts, rules, dartAt, legs.backCrease - raised),
    netWaist: waists.back,
    ...legs.back,
  };
  return {
    levels,
    sideRise: rules.waist.sideRise,
    backShorter: rules.inseam.backShorter,
    dropAsked: rules.back.drop,
    hang: rules.hang.from,
    backExtra: legs.extra,
    thigh,
    straightInseam: rules.leg.inseam === "straight",
    hipWide: rules.waist.shaping === "hipWide",
    own: null,
    front: shiftPanel(frontPlan, -legs.frontCrease),
    back: shiftPanel(backPlan, -legs.backCrease),
  };
}

function planLevels(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Levels {
  const { waistToHip, waistToKnee, waistToFloor } = m;
  const depth = drafter.number("crotchDepth", crotchDepthSum(m, rules));
  const up = rules.waistLevel.add + rules.level.high;
  const waistUp = drafter.number("waistLevel", quantity(up, `${plain(up)} above the natural waist`));
  const hip = drafter.number(
    "hipLevel",
    quantity(waistToHip.mm, waistToHip.source === "given" ? "waist to hip from the card" : waistToHip.formula, {
      waistToHip,
    }),
  );
  refuseImpossible(m, depth.mm, hip.mm, -waistUp.mm);
  const length = drafter.number(
    "blockLength",
    quantity(waistToFloor.mm + 10, `waist to floor ${plain(waistToFloor.mm)} + shoe 30 - clearance 20`, {
      waistToFloor,
    }),
  );
  const knee = drafter.number(
    "kneeLevel",
    rules.leg.kneeLine === "half"
      ? quantity(
          (depth.mm + length.mm) / 2 - 51,
          `half of crotch ${plain(depth.mm)} to hem ${plain(length.mm)}, 51 higher`,
          { crotchDepth: depth, blockLength: length },
        )
      : quantity(waistToKnee.mm - 25, `waist to knee ${plain(waistToKnee.mm)} - 25`, { waistToKnee }),
  );
  return {
    waist: 0 - waistUp.mm,
    hip: hip.mm,
    crotch: depth.mm,
    knee: Math.max(knee.mm, depth.mm + 60),
    turn: Math.max(knee.mm, depth.mm + 60),
    hem: length.mm,
  };
}

function waistQuarter(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Quantity {
  const ease = m.waist.net ? rules.waist.ease : 0;
  return drafter.number(
    "waistQuarter",
    quantity((m.waist.mm + ease) / 4, `(waist ${plain(m.waist.mm)} + ease ${plain(ease)}) / 4`, { waist: m.waist }),
  );
}

/** Sewn waists of front and back, and where the raised centre back stands before and after it takes in. */
interface Waists {
  readonly front: Mm;
  readonly back: Mm;
  readonly raised: Mm;
  readonly taken: Mm;
  /** True where darts, sides and centres shape the waist to the body. */
  readonly shaped: boolean;
}

/** x of the centre back at its raised end. */
function raisedX(lines: BackLines, levels: Levels): Mm {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  return lines.centreAtWaist + lean * (lines.rise - levels.waist);
}

/** How much the centre back can take in beyond what it has: no further than a centre seam can lean. */
function takingLimit(lines: BackLines, levels: Levels): Mm {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  const atHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
  const height = levels.hip - levels.waist + lines.rise;
  return Math.max(0, Math.min(CENTRE_BACK_LIMIT, STEEPEST_CENTRE * height - (raisedX(lines, levels) - atHip)));
}

/** The lines with the raised centre back further in, slanted through the hip line. */
function leanedIn(lines: BackLines, taken: Mm, levels: Levels): BackLines {
  const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
  const atHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
  const raised: [Mm, Mm] = [raisedX(lines, levels) + taken, levels.waist - lines.rise];
  return { ...lines, ...throughHip(atHip, raised, levels, lines.centreAtCrotch - lines.crotchX) };
}

function shareWaist(
  rules: ResolvedRules,
  drafter: Drafter,
  quarter: Mm,
  frontStraight: Mm,
  lines: BackLines,
  levels: Levels,
): Waists {
  const raised = raisedX(lines, levels);
  const backStraight = lines.hipX - raised;
  const { shaping, frontIn } = rules.waist;
  if (shaping === "hipWide") {
    // As wide as the hip: what the centres take in is given back at both sides alike, so that the hip passes.
    const lean = lines.centre === "slanted" ? (lines.centreAtWaist - lines.centreAtCrotch) / levels.crotch : 0;
    const centreAtHip = lines.centreAtCrotch + lean * (levels.crotch - levels.hip);
    const hip = frontStraight + frontIn + lines.hipX - centreAtHip;
    const lost = Math.max(0, hip - frontStraight - backStraight) / 2;
    drafter.number("waistHipWide", quantity(2 * hip, "as wide as the pattern's hip"));
    return { front: frontStraight + lost, back: backStraight + lost, raised, taken: 0, shaped: false };
  }
  if (shaping === "centreBack") {
    const wanted = Math.max(0, frontStraight + backStraight - quarter - lines.quarter);
    const taken = Math.min(takingLimit(lines, levels), wanted);
    drafter.number(
      "centreBackIntake",
      quantity(taken, "all of the surplus, at the centre back where it can be let out", {}, wanted),
    );
    drafter.number("waistLeft", quantity(2 * (wanted - taken), "surplus left to fit on the cloth"));
    return { front: frontStraight, back: backStraight - taken, raised, taken, shaped: false };
  }
  return { front: quarter, back: lines.quarter, raised, taken: 0, shaped: true };
}

interface LegWidths {
  readonly front: { readonly knee: Passing; readonly hem: Passing };
  readonly back: { readonly knee: Passing; readonly hem: Passing };
  readonly frontCrease: Mm;
  readonly backCrease: Mm;
  readonly extra: Mm;
}

/** Knee and hem of both panels, and where each crease lies, all in the front's first frame. */
function planWidths(
  m: BodyMeasures,
  rules: ResolvedRules,
  drafter: Drafter,
  front: { readonly hipX: Mm; readonly crotchX: Mm },
  lines: BackLines,
): LegWidths {
  const inch = rules.hipInch === "throughout" ? rules.ease.back - rules.ease.front : 0;
  const shared = rules.leg.backExtra + inch;
  const extra = shared + lines.sideGain + lines.inseamGain;
  const girth = drafter.number("blockLegGirth", legGirthSum(m, rules));
  if (rules.leg.fall === "down") {
    const down = (hipX: Mm, crotchX: Mm): Passing => ({ side: hipX, inseam: crotchX });
    const frontPass = down(front.hipX, front.crotchX);
    const backPass = down(lines.hipX, lines.crotchX);
    const whole = frontPass.side - frontPass.inseam + backPass.side - backPass.inseam;
    drafter.number("blockLegGirth", quantity(whole, "straight down from hip and crotch points"));
    return {
      front: { knee: frontPass, hem: frontPass },
      back: { knee: backPass, hem: backPass },
      frontCrease: (frontPass.side + frontPass.inseam) / 2,
      backCrease: (backPass.side + backPass.inseam) / 2,
      extra: backPass.side - backPass.inseam - frontPass.side + frontPass.inseam,
    };
  }
  drafter.number("backExtra", quantity(extra, "the back is wider than the front at knee and hem"));
  const halves = panelWidths(girth.mm, extra);
  const { from, by } = rules.hang;
  if (from === "side" || from === "inseam") {
    const hung = (hipX: Mm, crotchX: Mm, width: Mm): Passing =>
      passingOf(from, width, { side: hipX - by, inseam: crotchX + by });
    const frontPass = hung(front.hipX, front.crotchX, halves.front);
    const backPass = hung(lines.hipX, lines.crotchX, halves.back);
    const middle = (p: Passing): Mm => (p.side + p.inseam) / 2;
    drafter.number("hangBy", quantity(by, `${plain(by)} as chosen`));
    return {
      front: { knee: frontPass, hem: frontPass },
      back: { knee: backPass, hem: backPass },
      frontCrease: middle(frontPass),
      backCrease: middle(backPass),
      extra,
    };
  }
  for (const panel of ["front", "back"] as const) {
    const sign = panel === "front" ? "-" : "+";
    drafter.number(
      `${panel}LegHalf`,
      quantity(halves[panel] / 2, `(leg ${plain(girth.mm)} ${sign} ${plain(extra)}) / 4`, { blockLegGirth: girth }),
    );
  }
  const frontPass: Passing = { side: halves.front / 2, inseam: 0 - halves.front / 2 };
  const backCrease = rules.back.crease === "own" ? (lines.sideGain - lines.inseamGain) / 2 : 0;
  const backPass: Passing = { side: backCrease + halves.back / 2, inseam: backCrease - halves.back / 2 };
  if (backCrease !== 0)
    drafter.number("backCrease", quantity(0 - backCrease, "half of what the traced leg gained at inseam less side"));
  return {
    front: { knee: frontPass, hem: frontPass },
    back: { knee: backPass, hem: backPass },
    frontCrease: 0,
    backCrease,
    extra,
  };
}

function curvePlan(rules: ResolvedRules, panel: "front" | "back", extension: Mm): CurvePlan {
  const { steer, start, out, up } = rules.curve;
  const hollow = rules.hollow.from === "quarter" ? extension / 4 : rules.hollow[panel];
  return { steer, start, out, up, hollow };
}

/** Distance of the dart from the centre where a rule states it; `crease` is found per panel. */
function dartPlace(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Mm | "crease" | null {
  switch (rules.dart.at) {
    case "mid":
      return null;
    case "crease":
      return "crease";
    case "bust": {
      const { bustSpan } = m;
      const at = drafter.number(
        "dartAt",
        quantity(bustSpan.mm / 2, `half of the bust span ${plain(bustSpan.mm)}`, { bustSpan }),
      );
      return at.mm;
    }
    case "fixed":
      return drafter.number("dartAt", quantity(rules.dart.value, `${plain(rules.dart.value)} as chosen`)).mm;
  }
}

function withPlace(share: DartShare, rules: ResolvedRules, at: Mm | "crease" | null, creaseAt: Mm): DartPlan {
  const { count, intake, length } = share;
  return { count, intake, length, at: at === "crease" ? creaseAt : at, run: rules.dart.run };
}

function recordDarts(drafter: Drafter, panel: "front" | "back", plan: DartShare, intake: Mm, length: Mm): void {
  const how = plan.count === 0 ? "no dart" : plan.count === 1 ? "one dart" : `two darts of ${plain(plan.intake)}`;
  drafter.number(
    `${panel}DartIntake`,
    quantity(plan.count * plan.intake, `${how}; surplus less what the side takes`, {}, intake),
  );
  drafter.number(`${panel}DartLength`, quantity(plan.length, "ends 50 above the hip line at the least", {}, length));
}
