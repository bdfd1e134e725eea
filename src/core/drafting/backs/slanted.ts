import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/** The centre back comes in at the crotch line and more at the waist, and rises along that line; all is measured from it. */
export const slanted: BackMaking = {
  lines({ rules, measures, drafter, levels, centre, backWidth, extension, quarter }) {
    const { inAtCrotch, inAtWaist } = rules.back;
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    drafter.number("inAtCrotch", quantity(inAtCrotch, say`${inAtCrotch} as chosen`));
    drafter.number("inAtWaist", quantity(inAtWaist, say`${inAtWaist} as chosen`));
    drafter.number("backWidth", backWidth);
    const atCrotch = centre + inAtCrotch;
    const lean = (inAtWaist - inAtCrotch) / levels.crotch;
    return {
      centre: "slanted",
      centreAtCrotch: atCrotch,
      centreAtWaist: centre + inAtWaist,
      rise: rise.mm,
      hipX: atCrotch + lean * (levels.crotch - levels.hip) + backWidth.mm,
      sideAtCrotch: atCrotch + backWidth.mm,
      crotchX: atCrotch - extension.mm,
      quarter,
      sideGain: 0,
      inseamGain: 0,
    };
  },
  centreText:
    "Lay the back over the front, crease on crease. Bring the centre back in {inAtCrotch} at the crotch line and {inAtWaist} at the waist, and rise {backRise} along that line.",
  widthText: "Measure the back width {backWidth} on the hip line from the slanted centre back to the side.",
};
