import type { BodyMeasures } from "../body";
import { plain, quantity, type Mm, type Quantity } from "../units";
import { CannotDraft, refuseImpossible } from "./cannotDraft";
import { dartBudget } from "./darts";
import type { DartPlan } from "./waist";
import type { Drafter } from "./drafter";
import type { ResolvedRules } from "./rules";

/** Levels in millimetres below the natural waist. */
export interface Levels {
  readonly waist: Mm;
  readonly hip: Mm;
  readonly crotch: Mm;
  readonly knee: Mm;
  readonly hem: Mm;
}

/** Everything one panel is drawn from, in the canonical frame: crease at x = 0, centre to the left. */
export interface PanelPlan {
  /** x of the centre line at a level, as two places: at the crotch line and at the natural waist. */
  readonly centreAtCrotch: Mm;
  readonly centreAtWaist: Mm;
  /** Upward from the waist line (negative: the centre drops). */
  readonly centreRise: Mm;
  readonly hipX: Mm;
  readonly crotchX: Mm;
  readonly extension: Mm;
  readonly hollowAsked: Mm;
  readonly darts: DartPlan;
  readonly netWaist: Mm;
  /** Distance of knee and hem from the crease on each side. */
  readonly kneeHalf: Mm;
  readonly hemHalf: Mm;
}

/**
 * The draft of a leg as numbers, before it is drawn. Moves that redraw side or inseam change the plan; drawing it
 * reconciles front and back, so they always agree.
 */
export interface LegPlan {
  readonly levels: Levels;
  readonly sideRise: Mm;
  readonly backShorter: Mm;
  readonly front: PanelPlan;
  readonly back: PanelPlan;
}

function crotchDepth(m: BodyMeasures, rules: ResolvedRules): Quantity {
  const { from, add, value } = rules.crotchDepth;
  const { hip, crotchDepth: carded, crotchLength, waistToHip } = m;
  const plus = add === 0 ? "" : ` ${add < 0 ? "-" : "+"} ${plain(Math.abs(add))}`;
  switch (from) {
    case "auto":
    case "measured": {
      const base = carded.source === "given" ? `crotch depth ${plain(carded.mm)} from the card` : carded.formula;
      return quantity(carded.mm + add, base + plus, { crotchDepth: carded });
    }
    case "hip4":
      return quantity(hip.mm / 4 + add, `hip ${plain(hip.mm)} / 4${plus}`, { hip });
    case "crotchLength2":
      return quantity(crotchLength.mm / 2 + add, `crotch length ${plain(crotchLength.mm)} / 2${plus}`, {
        crotchLength,
      });
    case "hipLine":
      return quantity(waistToHip.mm + add, `waist to hip ${plain(waistToHip.mm)}${plus}`, { waistToHip });
    case "fixed":
      return quantity(value + add, `${plain(value)} as chosen${plus}`);
  }
}

function frontExtension(m: BodyMeasures, rules: ResolvedRules, width: Quantity): Quantity {
  const { from, add, value } = rules.frontExtension;
  const { hip, thigh } = m;
  const plus = add === 0 ? "" : ` ${add < 0 ? "-" : "+"} ${plain(Math.abs(add))}`;
  switch (from) {
    case "hip20":
    case "hip16":
    case "hip8": {
      const share = Number(from.slice(3));
      return quantity(hip.mm / share + add, `hip ${plain(hip.mm)} / ${share}${plus}`, { hip });
    }
    case "quarter4":
      return quantity(width.mm / 4 + add, `front width ${plain(width.mm)} / 4${plus}`, { frontWidth: width });
    case "thigh":
      return quantity(
        thigh.mm / 2 - width.mm + add,
        `thigh ${plain(thigh.mm)} / 2 - front width ${plain(width.mm)}${plus}`,
        { thigh, frontWidth: width },
      );
    case "fixed":
      return quantity(value + add, `${plain(value)} as chosen${plus}`);
  }
}

function backExtension(m: BodyMeasures, rules: ResolvedRules, front: Quantity): Quantity {
  const { from, add, value } = rules.backExtension;
  const plus = add === 0 ? "" : ` ${add < 0 ? "-" : "+"} ${plain(Math.abs(add))}`;
  switch (from) {
    case "hip10":
      return quantity(m.hip.mm / 10 + add, `hip ${plain(m.hip.mm)} / 10${plus}`, { hip: m.hip });
    case "front":
      return quantity(front.mm + add, `front extension ${plain(front.mm)}${plus}`, { frontExtension: front });
    case "fixed":
      return quantity(value + add, `${plain(value)} as chosen${plus}`);
  }
}

/** Half of an asked leg girth for each panel: the back is wider than the front by `backExtra`. */
export function panelWidths(girth: Mm, backExtra: Mm): { readonly front: Mm; readonly back: Mm } {
  return { front: (girth - backExtra) / 2, back: (girth + backExtra) / 2 };
}

/**
 * From measures and rules to the numbers of a leg. Every number is recorded on the drafter with its sum.
 * Throws CannotDraft, naming the measure or rule, where no trousers can be drawn.
 */
export function planLeg(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): LegPlan {
  const { hip, waist, waistToHip, waistToKnee, waistToFloor, thigh, knee } = m;
  const depth = drafter.number("crotchDepth", crotchDepth(m, rules));
  const waistUp = drafter.number(
    "waistLevel",
    quantity(rules.waistLevel.add, `${plain(rules.waistLevel.add)} above the natural waist`),
  );
  const hipLevel = drafter.number(
    "hipLevel",
    quantity(waistToHip.mm, waistToHip.source === "given" ? "waist to hip from the card" : waistToHip.formula, {
      waistToHip,
    }),
  );
  refuseImpossible(m, depth.mm, hipLevel.mm, -waistUp.mm);

  const kneeLevel = drafter.number(
    "kneeLevel",
    quantity(waistToKnee.mm - 25, `waist to knee ${plain(waistToKnee.mm)} - 25`, { waistToKnee }),
  );
  const fullLength = drafter.number(
    "blockLength",
    quantity(waistToFloor.mm + 10, `waist to floor ${plain(waistToFloor.mm)} + shoe 30 - clearance 20`, {
      waistToFloor,
    }),
  );
  const frontWidth = drafter.number(
    "frontWidth",
    quantity(hip.mm / 4 + rules.ease.front, `hip ${plain(hip.mm)} / 4 + ease ${plain(rules.ease.front)}`, { hip }),
  );
  const backWidth = drafter.number(
    "backWidth",
    quantity(hip.mm / 4 + rules.ease.back, `hip ${plain(hip.mm)} / 4 + ease ${plain(rules.ease.back)}`, { hip }),
  );
  const front = drafter.number("frontExtension", frontExtension(m, rules, frontWidth));
  const back = drafter.number("backExtension", backExtension(m, rules, front));
  if (front.mm < 15) {
    throw new CannotDraft(
      "block.rules.frontExtension",
      "The front crotch extension is under 1.5 cm. Choose a wider one.",
    );
  }
  if (back.mm < front.mm) {
    throw new CannotDraft(
      "block.rules.backExtension",
      "The back crotch extension is less than the front's. Choose a wider one.",
    );
  }
  if (back.mm > backWidth.mm * 0.8) {
    throw new CannotDraft(
      "block.rules.backExtension",
      "The back crotch extension is wider than the seat allows. Choose a narrower one.",
    );
  }
  drafter.number(
    "backExtensionMore",
    quantity(back.mm - front.mm, `back extension ${plain(back.mm)} - front extension ${plain(front.mm)}`, {
      backExtension: back,
      frontExtension: front,
    }),
  );
  const quarterWaist = drafter.number(
    "waistQuarter",
    quantity((waist.mm + rules.waist.ease) / 4, `(waist ${plain(waist.mm)} + ease ${plain(rules.waist.ease)}) / 4`, {
      waist,
    }),
  );
  const legGirth = drafter.number("blockLegGirth", blockLegGirth(rules, thigh, knee));
  const halves = panelWidths(legGirth.mm, rules.leg.backExtra);

  // The crease halves the front's crotch line; the back is laid over the front, crease on crease.
  const crotchHalf = (frontWidth.mm + front.mm) / 2;
  const centre = front.mm - crotchHalf;
  const levels: Levels = {
    waist: 0 - waistUp.mm,
    hip: hipLevel.mm,
    crotch: depth.mm,
    knee: Math.max(kneeLevel.mm, depth.mm + 60),
    hem: fullLength.mm,
  };
  const slant = centre + rules.back.inAtCrotch;
  const leanPer = (rules.back.inAtWaist - rules.back.inAtCrotch) / depth.mm;
  const backHipX = slant + leanPer * (depth.mm - hipLevel.mm) + backWidth.mm;
  const backWaistCentre = centre + rules.back.inAtWaist + leanPer * (waistUp.mm + rules.back.rise);
  const darted = rules.waist.shaping === "darts" ? 1 : 0;
  const room = hipLevel.mm + waistUp.mm;
  const frontDarts = dartBudget(
    frontWidth.mm - quarterWaist.mm - rules.waist.frontIn,
    rules.waist.frontIntake * darted,
    rules.waist.frontLength,
    35,
    room,
  );
  const backDarts = dartBudget(
    backHipX - backWaistCentre - quarterWaist.mm,
    rules.waist.backIntake * darted,
    rules.waist.backLength,
    45,
    room + rules.back.rise / 2,
  );
  recordDarts(drafter, "front", frontDarts, rules.waist.frontIntake * darted, rules.waist.frontLength);
  recordDarts(drafter, "back", backDarts, rules.waist.backIntake * darted, rules.waist.backLength);
  drafter.number("backRise", quantity(rules.back.rise, `${plain(rules.back.rise)} as chosen`));
  drafter.number("inAtCrotch", quantity(rules.back.inAtCrotch, `${plain(rules.back.inAtCrotch)} as chosen`));
  drafter.number("inAtWaist", quantity(rules.back.inAtWaist, `${plain(rules.back.inAtWaist)} as chosen`));
  drafter.number("sideRise", quantity(rules.waist.sideRise, `${plain(rules.waist.sideRise)} as chosen`));
  drafter.number("frontDrop", quantity(rules.waist.frontDrop, `${plain(rules.waist.frontDrop)} as chosen`));
  drafter.number("frontIn", quantity(rules.waist.frontIn, `${plain(rules.waist.frontIn)} as chosen`));
  return {
    levels,
    sideRise: rules.waist.sideRise,
    backShorter: rules.inseam.backShorter,
    front: {
      centreAtCrotch: centre,
      centreAtWaist: centre + rules.waist.frontIn,
      centreRise: -rules.waist.frontDrop,
      hipX: crotchHalf,
      crotchX: -crotchHalf,
      extension: front.mm,
      hollowAsked: rules.hollow.front,
      darts: frontDarts,
      netWaist: quarterWaist.mm,
      kneeHalf: halves.front / 2,
      hemHalf: halves.front / 2,
    },
    back: {
      centreAtCrotch: slant,
      centreAtWaist: centre + rules.back.inAtWaist,
      centreRise: rules.back.rise,
      hipX: backHipX,
      crotchX: slant - back.mm,
      extension: back.mm,
      hollowAsked: rules.hollow.back,
      darts: backDarts,
      netWaist: quarterWaist.mm,
      kneeHalf: halves.back / 2,
      hemHalf: halves.back / 2,
    },
  };
}

function recordDarts(drafter: Drafter, panel: "front" | "back", plan: DartPlan, intake: Mm, length: Mm): void {
  const how = plan.count === 0 ? "no dart" : plan.count === 1 ? "one dart" : `two darts of ${plain(plan.intake)}`;
  drafter.number(
    `${panel}DartIntake`,
    quantity(plan.count * plan.intake, `${how}; surplus less what the side takes`, {}, intake),
  );
  drafter.number(`${panel}DartLength`, quantity(plan.length, "ends 50 above the hip line at the least", {}, length));
}

/** The block's straight leg: the larger of 0.80 thigh and knee + kneeEase, unless a hem girth is asked. */
function blockLegGirth(rules: ResolvedRules, thigh: Quantity, knee: Quantity): Quantity {
  const { hemGirth, kneeEase } = rules.leg;
  if (hemGirth !== "auto") return quantity(hemGirth, `${plain(hemGirth)} as chosen`);
  return quantity(
    Math.max(0.8 * thigh.mm, knee.mm + kneeEase),
    `the larger of 0.80 x thigh ${plain(thigh.mm)} and knee ${plain(knee.mm)} + ${plain(kneeEase)}`,
    { thigh, knee },
  );
}
