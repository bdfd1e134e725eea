import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/**
 * What the centre gives up is set out at the side, level by level: the widths stay, the waist gets its hollow. A side set
 * out by more than the centre comes in at the waist makes the back wider by the difference.
 */
export const transferred: BackMaking = {
  lines({ rules, measures, drafter, levels, centre, frontHipX, moreEase, frontWidth, extension, quarter }) {
    const { inAtCrotch, inAtWaist, sideAdd, kneeAdd } = rules.back;
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    drafter.number("inAtCrotch", quantity(inAtCrotch, say`${inAtCrotch} as chosen`));
    drafter.number("inAtWaist", quantity(inAtWaist, say`${inAtWaist} as chosen`));
    drafter.number("sideAdd", quantity(sideAdd, say`${sideAdd} as chosen`));
    drafter.number("kneeAdd", quantity(kneeAdd, say`${kneeAdd} as chosen`));
    const share = (levels.crotch - levels.hip) / levels.crotch;
    const inAtHip = inAtCrotch + (inAtWaist - inAtCrotch) * share;
    // What is set out beyond what the centre gives up makes the back wider on every level.
    const wider = sideAdd - inAtWaist;
    const outAtHip = inAtHip + wider;
    drafter.number(
      "sideAtHip",
      quantity(
        outAtHip,
        wider === 0
          ? say`${inAtHip}, what the centre slants in there`
          : say`${inAtHip}, what the centre slants in there, + ${wider} wider`,
      ),
    );
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + outAtHip - inAtHip + moreEase,
        say`front width ${frontWidth.mm} - in ${inAtHip} + out ${outAtHip} + ease ${moreEase}`,
        { frontWidth },
      ),
    );
    return {
      centre: "slanted",
      centreAtCrotch: centre + inAtCrotch,
      centreAtWaist: centre + inAtWaist,
      rise: rise.mm,
      hipX: frontHipX + outAtHip + moreEase,
      crotchX: centre + inAtCrotch - extension.mm,
      quarter,
      sideGain: kneeAdd / 2,
      inseamGain: kneeAdd / 2,
    };
  },
  centreText:
    "Trace the front for the back. Slant its centre in to {inAtWaist} at the waist and rise {backRise} along that line.",
  widthText:
    "Set out at the side what the centre gave up: {sideAdd} at the waist, {sideAtHip} on the hip line, so that it is {backWidth} wide there; the knee gains {kneeAdd}.",
};
