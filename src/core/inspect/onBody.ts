import { STRETCHES } from "../finish";
import { plain } from "../units";
import { byFloor, placeOf, verdict, type CheckRule } from "./check";

/** Ease of a finished girth over the body's; one carded with its ease is met when the pattern is as large. */
function easeRule(
  own: Pick<CheckRule, "id" | "label" | "note"> & {
    readonly girth: "hip" | "thigh";
    readonly landmark: string;
    readonly garment: string;
    readonly fix: string;
  },
): CheckRule {
  const { girth, landmark, garment, fix, ...words } = own;
  return {
    ...words,
    measure({ measures, readings, panels }) {
      const value = readings[`${girth}Girth`] - measures[girth].mm;
      const { net } = measures[girth];
      return verdict(this, {
        status: net ? byFloor(value, 20, 0) : byFloor(value, -0.5, -2),
        value,
        limit: 20,
        unit: "mm",
        message:
          value < 0
            ? `${garment} ${plain(-value)} mm smaller than the ${girth}.`
            : net
              ? `${plain(value)} mm of ease round the ${girth}.`
              : `As large as the carded ${girth}, which already holds its ease.`,
        where: placeOf(panels, landmark),
        fix,
      });
    },
  };
}

export const hipEase: CheckRule = easeRule({
  id: "hip-ease",
  label: "Hip ease",
  note: "The finished hip is larger than the body.",
  girth: "hip",
  landmark: "hipSide",
  garment: "The trousers are",
  fix: "Add hip ease to front and back.",
});

export const thighEase: CheckRule = easeRule({
  id: "thigh-ease",
  label: "Thigh ease",
  note: "The leg is larger than the thigh, read 25 mm below the crotch line.",
  girth: "thigh",
  landmark: "crotchPoint",
  garment: "The leg is",
  fix: "Lengthen the crotch extensions, or widen the leg at the crotch line.",
});

/** The whole crotch seam against the body's, from waist to waist, with what the waist edge and the crotch were moved. */
export const crotchLength: CheckRule = {
  id: "crotch-length",
  label: "Crotch seam on the body",
  note: "The crotch seam is as long as the body from waist to waist, and the stated drop.",
  measure({ measures, readings, panels, plan, crotchDrop }) {
    const { crotchLength: body } = measures;
    // A waist edge above or below the natural waist lengthens or shortens the seam twice, before and behind.
    const wanted = body.mm - 2 * plan.levels.waist + 2 * crotchDrop;
    const value = readings.crotchSeam - wanted;
    const short = value < -5;
    // An estimated length is no measure to fail a pattern by.
    const status = short ? (body.source === "given" ? "fault" : "look") : value > 60 ? "look" : "pass";
    return verdict(this, {
      status,
      value,
      limit: short ? -5 : 60,
      unit: "mm",
      message: short
        ? `The crotch seam is ${plain(-value)} mm shorter than the body: it drags and does not let one sit.`
        : value > 60
          ? `The crotch seam is ${plain(value)} mm longer than the body: it bags.`
          : `${plain(value)} mm longer than the body's crotch length.`,
      where: placeOf(panels, "crotchPoint", "back"),
      fix: short
        ? "Raise or lengthen the back crotch, or deepen the crotch line."
        : "Raise the crotch line, or shorten the back extension.",
    });
  },
};

/** The hem lets the foot through. */
export const footEntry: CheckRule = {
  id: "foot-entry",
  label: "Foot passes",
  note: "Hem and stretched cuff open wide enough for heel and instep.",
  measure({ measures, readings, panels, cuffGirth }) {
    const stretched = cuffGirth === null ? Infinity : cuffGirth * STRETCHES;
    const value = Math.min(readings.hemGirth, stretched) - measures.heel.mm;
    return verdict(this, {
      status: byFloor(value, 0, 0),
      value,
      limit: 0,
      unit: "mm",
      message:
        value < 0
          ? `The ${stretched < readings.hemGirth ? "stretched cuff" : "hem"} is ${plain(-value)} mm too narrow for heel and instep.`
          : `The foot passes with ${plain(value)} mm to spare.`,
      where: placeOf(panels, "hemSide"),
      fix: "Widen the hem, or leave a slit at the side.",
    });
  },
};
