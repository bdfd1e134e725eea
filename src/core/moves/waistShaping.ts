import { choice, statedLength } from "../params";
import { defineMove } from "./define";
import { hipWideWaists, WIDEST_DART, type LegPlan, type PanelPlan } from "../drafting";
import { quantity, type Mm, Refusal, say } from "../units";
import { readParam } from "./auto";
import { refuseOwnBlock } from "./level";
import { type MoveResult, type StyleState } from "./move";
import { squareOwn } from "./ownMaps";

const PARAMS = {
  to: choice("Where the surplus goes: darts, side shaping, ease left in the waist, or nothing is taken.", {
    movesWidth: true,
    label: "Surplus goes into",
    options: [
      ["darts", "darts"],
      ["side", "the side"],
      ["ease", "ease on the band"],
      ["hip-wide", "nothing, hip-wide"],
    ],
  }),
  frontIntake: statedLength("Width of the front darts together.", {
    movesWidth: true,
    label: "Front darts",
    shown: "frontIntake",
    tried: [0, 60],
  }),
  backIntake: statedLength("Width of the back darts together.", {
    movesWidth: true,
    label: "Back darts",
    shown: "backIntake",
    tried: [0, 80],
  }),
  ease: statedLength("Ease left in the whole waist, to be eased onto the band.", {
    movesWidth: true,
    label: "Ease left in",
    shown: "ease",
    tried: [0, 60],
  }),
};

/** Moves waist shaping between darts, side and ease; the waist is solved anew with the darts closed. */
export const waistShaping = defineMove({
  id: "waist-shaping",
  label: "Shape the waist",
  note: "Widens, narrows or closes the darts, moves their width to the side, or leaves it as ease or hip-wide.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const to = params.to ?? "darts";
    if (state.plan.own && to === "hip-wide") return squaredOff(state);
    refuseOwnBlock(state, "to", this.label);
    const read = (param: "frontIntake" | "backIntake" | "ease"): Mm | null => {
      const input = params[param];
      return input === undefined ? null : readParam(param, input, context, "as chosen").mm;
    };
    const { plan } = state;
    const darted = (panel: "front" | "back"): PanelPlan => {
      const own = plan[panel];
      const now = own.darts.count * own.darts.intake;
      const asked = to === "darts" ? (read(`${panel}Intake`) ?? now) : 0;
      const length = Math.max(own.darts.length, 60);
      if (asked < 0 || asked > 2 * WIDEST_DART * length) {
        throw new Refusal(
          `${panel}Intake`,
          say`Darts ${length} long can take ${2 * WIDEST_DART * length} together, not ${asked}.`,
          { most: 2 * WIDEST_DART * length },
        );
      }
      const count =
        asked < 3 ? 0 : asked > WIDEST_DART * length ? 2 : Math.max(1, own.darts.count === 2 && asked > 40 ? 2 : 1);
      return {
        ...own,
        darts: { ...own.darts, count: count as 0 | 1 | 2, intake: count === 0 ? 0 : asked / count, length },
      };
    };
    const shaped: LegPlan = { ...plan, hipWide: to === "hip-wide", front: darted("front"), back: darted("back") };
    const ease = to === "ease" ? (read("ease") ?? 2 * darts(plan)) : 0;
    const waists =
      to === "hip-wide"
        ? hipWideWaists(shaped)
        : { front: plan.front.netWaist + ease / 4, back: plan.back.netWaist + ease / 4 };
    const total = quantity(2 * (waists.front + waists.back), "sewn waist of both legs");
    return {
      state: {
        ...state,
        plan: {
          ...shaped,
          front: { ...shaped.front, netWaist: waists.front },
          back: { ...shaped.back, netWaist: waists.back },
        },
      },
      numbers: {
        waist: total,
        frontIntake: quantity(shaped.front.darts.count * shaped.front.darts.intake, "front darts, each leg"),
        backIntake: quantity(shaped.back.darts.count * shaped.back.darts.intake, "back darts, each leg"),
        ease: quantity(ease, "left in the waist"),
      },
    };
  },
  says: ({ plan, params }) =>
    plan.own
      ? "Square the waist off above the hip and leave it hip-wide, {waist} round; the darts are not sewn."
      : TEMPLATES[params.to ?? "darts"],
});

/** A block that was brought in is squared off: its darts go, and what its back rose is told. */
function squaredOff(state: StyleState): MoveResult {
  const plan = squareOwn(state.plan);
  const waist = 2 * (plan.front.netWaist + plan.back.netWaist);
  return {
    state: { ...state, plan },
    numbers: { waist: quantity(waist, "squared waist of both legs") },
  };
}

const darts = (plan: LegPlan): Mm =>
  [plan.front, plan.back].reduce((sum, p) => sum + p.darts.count * p.darts.intake, 0);

const TEMPLATES = {
  darts:
    "Take {frontIntake} into the front darts and {backIntake} into the back darts; the side takes the rest of {waist}.",
  side: "Close the darts and let the side take all shaping to a waist of {waist}.",
  ease: "Close the darts and leave {ease} of ease in the waist, {waist} round, to be eased onto the band.",
  "hip-wide": "Leave the waist as wide as the hip, {waist} round.",
} as const;
