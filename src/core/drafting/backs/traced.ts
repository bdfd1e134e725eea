import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/** The front traced: the centre moved out in parallel, raised; the inseam (and the side) set out all the way down. */
export const traced: BackMaking = {
  lines({ rules, measures, drafter, centre, frontWaist, frontHipX, drop, moreEase, frontWidth, extension, quarter }) {
    const { out, inseamAdd, sideAdd } = rules.back;
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    drafter.number("centreOut", quantity(out, say`${out} as chosen`));
    drafter.number("inseamAdd", quantity(inseamAdd, say`${inseamAdd} as chosen`));
    drafter.number("sideAdd", quantity(sideAdd, say`${sideAdd} as chosen`));
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + out + sideAdd + moreEase,
        say`front width ${frontWidth.mm} traced + out ${out} + side ${sideAdd + moreEase}`,
        { frontWidth },
      ),
    );
    return {
      centre: "bent",
      centreAtCrotch: centre - out,
      centreAtWaist: frontWaist - out,
      rise: rise.mm - drop,
      hipX: frontHipX + sideAdd + moreEase,
      crotchX: centre - out - extension.mm,
      quarter,
      sideGain: sideAdd,
      inseamGain: inseamAdd,
    };
  },
  centreText:
    "Trace the front for the back. Move the centre back out {centreOut} all the way up and raise it {backRise} above the traced waist.",
  widthText:
    "Set the traced inseam out {inseamAdd} from crotch to hem and the side {sideAdd}; the hip line is now {backWidth} wide. The back's crease halves its own leg.",
};
