import { pointRotate, type Point } from "../../geometry";
import { quantity, say } from "../../units";
import { throughHip, type BackMaking } from "./back";

/**
 * The traced front slashed half-way between waist and hip, from the centre to the side, hinged at the side and opened
 * at the centre back: the rise follows from the opening. The bent centre is trued to one line through the hip.
 */
export const hinged: BackMaking = {
  lines({
    rules,
    drafter,
    levels,
    centre,
    frontWaist,
    frontHipX,
    frontSideAtWaist,
    drop,
    moreEase,
    frontWidth,
    extension,
    quarter,
  }) {
    const { open, sideAdd, inseamAdd } = rules.back;
    const slash = (levels.waist + levels.hip) / 2;
    const hinge: Point = [(frontHipX + frontSideAtWaist) / 2, slash];
    const length = hinge[0] - (centre + frontWaist) / 2;
    const angle = 2 * Math.asin(Math.min(0.5, open / 2 / length));
    const raised = pointRotate([frontWaist, levels.waist + drop], hinge, angle);
    drafter.number("slashLevel", quantity(slash, "half-way between waist line and hip line"));
    drafter.number("opening", quantity(2 * length * Math.sin(angle / 2), say`${open} as chosen`, {}, open));
    drafter.number(
      "backRise",
      quantity(levels.waist - raised[1], say`follows: ${open} opened over a slash of ${length}`),
    );
    drafter.number("inAtWaist", quantity(raised[0] - centre, "follows from the opening"));
    drafter.number(
      "backWidth",
      quantity(
        frontWidth.mm + sideAdd + moreEase,
        say`front width ${frontWidth.mm} traced + side ${sideAdd + moreEase}`,
        { frontWidth },
      ),
    );
    return {
      ...throughHip(centre, raised, levels, extension.mm),
      rise: levels.waist - raised[1],
      hipX: frontHipX + sideAdd + moreEase,
      quarter,
      sideGain: sideAdd,
      inseamGain: inseamAdd,
    };
  },
  centreText:
    "Trace the front for the back. Slash it {slashLevel} below the waist from the centre to the side, hinge it at the side and open {opening} at the centre back. The waist rises {backRise} and leans in {inAtWaist}; draw the centre as one line from there through the traced centre on the hip line.",
  widthText: "The hip line stays as traced, {backWidth} wide.",
};
