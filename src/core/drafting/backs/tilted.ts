import { quantity, say } from "../../units";
import { backRiseSum } from "../sums";
import type { BackMaking } from "./back";

/** The traced front's centre leans in by half of centre-to-dart and rises; the unchanged waist swings out to the side. */
export const tilted: BackMaking = {
  lines({
    rules,
    measures,
    drafter,
    levels,
    centre,
    frontWaist,
    frontHipX,
    frontDartAt,
    drop,
    moreEase,
    frontWidth,
    extension,
    quarter,
  }) {
    const { sideAdd, inseamAdd } = rules.back;
    const raisedY = levels.waist + drop;
    const rise = drafter.chosen("backRise", backRiseSum(measures, rules.back.rise));
    const lean = drafter.number("tilt", quantity(frontDartAt / 2, say`half of centre front to dart ${frontDartAt}`));
    drafter.number("sideAdd", quantity(sideAdd, say`${sideAdd} as chosen`));
    // One line from the traced corner of the crotch to the raised waist.
    const slope = (frontWaist + lean.mm - centre) / (levels.crotch - raisedY + rise.mm);
    const inAtHip = slope * (levels.crotch - levels.hip);
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + sideAdd + moreEase - inAtHip,
        say`front width ${frontWidth.mm} traced + side ${sideAdd + moreEase} - slant ${inAtHip}`,
        { frontWidth },
      ),
    );
    return {
      centre: "slanted",
      centreAtCrotch: centre,
      centreAtWaist: centre + slope * levels.crotch,
      rise: rise.mm - drop,
      hipX: frontHipX + sideAdd + moreEase,
      crotchX: centre - extension.mm,
      quarter,
      sideGain: sideAdd,
      inseamGain: inseamAdd,
    };
  },
  centreText:
    "Trace the front for the back. Lean its centre in {tilt} at the waist, from the corner at the crotch line, and raise it {backRise} above the traced waist.",
  widthText: "Set the side out {sideAdd} from hip to hem; the traced hip line is now {backWidth} wide.",
};
