import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/** The back drawn by the front's rules with every width a little more. */
export const redrafted: BackMaking = {
  lines({ rules, measures, drafter, centre, frontWaist, frontHipX, moreEase, frontWidth, extension, quarter }) {
    const { increment } = rules.back;
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    drafter.number("increment", quantity(increment, say`${increment} as chosen`));
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + increment + moreEase,
        say`front width ${frontWidth.mm} + increment ${increment} + ease ${moreEase}`,
        { frontWidth },
      ),
    );
    return {
      centre: "bent",
      centreAtCrotch: centre,
      centreAtWaist: frontWaist,
      rise: rise.mm,
      hipX: frontHipX + increment + moreEase,
      crotchX: centre - extension.mm,
      quarter: quarter + increment,
      sideGain: increment / 2,
      inseamGain: increment / 2,
    };
  },
  centreText:
    "Draw the back anew by the front's rules, waist, hip, knee and hem {increment} wider. The centre back stands {backRise} above the waist line.",
  widthText: "Mark the back width {backWidth} on the hip line.",
};
