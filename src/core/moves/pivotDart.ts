import { frontLonger, LEAST_BUST_DART } from "../bodice";
import { choice, statedLength } from "../params";
import { pointDistance } from "../geometry";
import { angle, quantity, Refusal, say, toDegrees } from "../units";
import { askedLength, defineMove } from "./define";
import type { MoveResult } from "./move";
import { bodiceOf, withBodice } from "./withBodice";

const ID = "pivot-dart";

const PARAMS = {
  into: choice("Which dart takes the other.", {
    label: "Turned into",
    options: [
      ["bust", "the bust dart at the side"],
      ["waist", "the waist dart"],
    ],
  }),
  leave: statedLength("Width that stays in the dart it is turned out of.", {
    label: "Left in the other dart",
    usual: { mm: 0 },
    within: [0, 60],
    refusal: (limits) => say`What stays in a dart is ${limits} wide.`,
    tried: [0, 15],
  }),
  tipBack: statedLength("How far the sewn tip stays back from the bust point.", {
    label: "Tip back from the bust point",
    usual: { mm: { cm: 30, in: 31.75 } },
    within: [0, 60],
    refusal: (limits) => say`The tip stays ${limits} back.`,
  }),
};

/** A dart wider than this stands off at its tip however it is sewn. */
const WIDEST_DEGREES = 55;

/** Turns one of the front's darts into the other about the bust point. */
export const pivotDart = defineMove({
  id: ID,
  label: "Pivot a dart",
  note: "Turns the front between its two darts about the bust point: one closes, or keeps a part, the other opens by it.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context): MoveResult {
    const plan = bodiceOf(state, "into", this.label);
    const into = params.into ?? "bust";
    const leave = askedLength(ID, PARAMS, "leave", params, context);
    const tipBack = askedLength(ID, PARAMS, "tipBack", params, context);
    const waist = plan.darts.front.count * plan.darts.front.intake;
    if (into === "bust" && waist === 0)
      throw new Refusal("into", say`The front has no waist dart to turn. Give it one where the bodice is drafted.`);
    if (into === "waist" && frontLonger(plan) < LEAST_BUST_DART)
      return {
        state,
        numbers: { frontLonger: quantity(frontLonger(plan), "front over the bust less back and neck depth") },
      };
    if (into === "bust" && leave.mm > waist - 3)
      throw new Refusal("leave", say`The waist dart is ${waist} wide: leave ${waist - 3} in it at most.`, {
        most: waist - 3,
      });
    const front =
      into === "bust"
        ? ({ count: leave.mm < 3 ? 0 : 1, intake: leave.mm < 3 ? 0 : leave.mm } as const)
        : plan.darts.front;
    const next = withBodice(state, {
      ...plan,
      darts: { ...plan.darts, front },
      pivot: { into, leave: leave.mm },
      tipBack: tipBack.mm,
    });
    const { sideDart, waist: drawn } = next.drawn.front;
    const mouthAt = drawn.parts.flatMap((part) => (part.is === "dart" ? [pointDistance(part.from, part.to)] : []));
    const turned = into === "bust" ? (sideDart?.angle ?? 0) : (drawn.dartAngles[0] ?? 0);
    const degrees = toDegrees(turned);
    if (degrees > WIDEST_DEGREES)
      throw new Refusal(
        "leave",
        say`The dart would open ${angle(degrees)}: no dart of over ${angle(WIDEST_DEGREES)} lies flat. Leave a part of it where it was.`,
      );
    const mouth = into === "bust" ? (sideDart ? pointDistance(sideDart.from, sideDart.to) : 0) : (mouthAt[0] ?? 0);
    return {
      state: next.state,
      numbers: { leave, tipBack, mouth: quantity(mouth, "mouth of the dart that took the other") },
      figures: { angle: { ...angle(degrees), sum: say`between its legs` } },
    };
  },
  says: ({ params: { into = "bust" }, numbers: { leave } }) =>
    leave
      ? say`Turn the ${into === "bust" ? "waist dart into the bust dart" : "bust dart into the waist dart"} about the bust point${leave.mm > 0 ? ", leaving {leave} in it" : ""}: one dart of {mouth}, {angle} open, its tip {tipBack} back from the bust point.`
      : "The front is only {frontLonger} longer than the back: there is no bust dart to turn into the waist.",
});
