import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/** The front again: only the crotch extension is longer. */
export const repeated: BackMaking = {
  lines({ rules, measures, drafter, centre, frontWaist, frontHipX, drop, moreEase, frontWidth, extension, quarter }) {
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + moreEase,
        say`front width ${frontWidth.mm}${moreEase === 0 ? "" : say` + ease ${moreEase}`}`,
        { frontWidth },
      ),
    );
    return {
      centre: "bent",
      centreAtCrotch: centre,
      centreAtWaist: frontWaist,
      rise: rise.mm - drop,
      hipX: frontHipX + moreEase,
      crotchX: centre - extension.mm,
      quarter,
      sideGain: 0,
      inseamGain: 0,
    };
  },
  centreText: "Repeat the front for the back; its waist stands {backRise} above the traced one.",
  widthText: "The hip line stays {backWidth} wide.",
};
