import { edgeOf, isBodice, legOf, panelWidthAt, type Panel } from "../pattern";
import type { LegPlan } from "../drafting";
import { cuffGirth, MOST_GAPE, pulledOn, STRETCHES, widensOver } from "../finish";
import { boxOf, pathFlatten, pathLength } from "../geometry";
import { plain, type Mm, say, type Sentence } from "../units";
import {
  asStored,
  byEstimate,
  byFloor,
  deeperBy,
  estimateSaid,
  byLimits,
  difference,
  placeOf,
  verdict,
  type CheckRule,
  type Inspected,
  type Remedy,
} from "./check";

/** Front and back each wider, throughout. */
function widerBy({ ease }: Inspected["rules"], mm: Mm): Remedy["changes"] {
  return (["front", "back"] as const).map((panel) => ({
    path: ["block", "rules", "ease", panel],
    value: `${plain(Math.ceil(10 * (ease[panel] + mm)) / 10)} mm`,
  }));
}

/** Ease of a finished girth over the body's; one carded with its ease is met when the pattern is as large. */
function easeRule(
  own: Pick<CheckRule, "id" | "label" | "note" | "onLegs"> & {
    readonly girth: "hip" | "thigh";
    readonly landmark: string;
    readonly garment: string;
    readonly fix: Sentence;
    readonly remedy: (inspected: Inspected, lacking: Mm) => Remedy;
  },
): CheckRule {
  const { girth, landmark, garment, fix, remedy, ...words } = own;
  return {
    ...words,
    measure(inspected) {
      const { measures, readings, legs, cloth } = inspected;
      const value = difference(readings[`${girth}Girth`], measures[girth].mm);
      const { net } = measures[girth];
      // Cloth that stretches may be smaller than the body, by half of what it gives.
      const given = (cloth.stretch / 2) * measures[girth].mm;
      return verdict(this, {
        status: byEstimate(measures[girth], (slack) =>
          net ? byFloor(value + slack, 20 - given, -given) : byFloor(value + slack, -0.5 - given, -2 - given),
        ),
        value,
        limit: 20 - given,
        unit: "length",
        message:
          value < 0
            ? say`${garment} ${-value} smaller than the ${girth}.${estimateSaid(measures[girth], girth)}`
            : net
              ? say`${value} of ease round the ${girth}.`
              : say`As large as the carded ${girth}, which already holds its ease.`,
        where: placeOf(legs, landmark),
        fix,
        remedy: inspected.ownBlock ? null : remedy(inspected, 21 - given - value),
      });
    },
  };
}

export const hipEase: CheckRule = easeRule({
  id: "hip-ease",
  label: "Hip ease",
  note: "The finished hip is larger than the body.",
  onLegs: true,
  girth: "hip",
  landmark: "hipSide",
  garment: "The trousers are",
  fix: say`Add hip ease to front and back.`,
  remedy: ({ rules }, lacking) => ({
    label: say`Add ${Math.ceil(lacking)} of ease`,
    changes: widerBy(rules, lacking / 4),
  }),
});

export const thighEase: CheckRule = easeRule({
  id: "thigh-ease",
  label: "Thigh ease",
  note: "The leg is larger than the thigh, read 25 mm below the crotch line.",
  onLegs: true,
  girth: "thigh",
  landmark: "crotchPoint",
  garment: "The leg is",
  fix: say`Lengthen the crotch extensions, or widen the leg at the crotch line.`,
  remedy: ({ rules }, lacking) => ({
    label: say`Widen front and back by ${Math.ceil(lacking / 2)} each`,
    changes: widerBy(rules, lacking / 2),
  }),
});

/** The whole crotch seam against the body's, from waist to waist, with what the waist edge and the crotch were moved. */
export const crotchLength: CheckRule = {
  id: "crotch-length",
  label: "Crotch seam on the body",
  note: "The crotch seam is as long as the body from waist to waist, and the stated drop.",
  onLegs: true,
  measure({ measures, readings, legs, plan, crotchDrop, rules, ownBlock }) {
    // Hung from the shoulders, the whole way round the trunk is told instead.
    if (legs.some((p) => isBodice(p))) return null;
    const { crotchLength: body } = measures;
    // A waist edge above or below the natural waist lengthens or shortens the seam twice, before and behind.
    const wanted = body.mm - 2 * plan.levels.waist + 2 * crotchDrop;
    const value = difference(readings.crotchSeam, wanted);
    const short = value < -5;
    const status = byEstimate(body, (slack) => (value < -5 - slack ? "fault" : value > 60 + slack ? "look" : "pass"));
    return verdict(this, {
      status,
      value,
      limit: short ? -5 : 60,
      unit: "length",
      message:
        body.source === "estimated"
          ? say`${Math.abs(value)} ${value < 0 ? "shorter" : "longer"} than a crotch length that is only estimated: measure it, and this is proved.`
          : short
            ? say`The crotch seam is ${-value} shorter than the body: it drags and does not let one sit.`
            : value > 60
              ? say`The crotch seam is ${value} longer than the body: it bags.`
              : say`${Math.abs(value)} ${value < 0 ? "shorter" : "longer"} than the body's crotch length.`,
      where: placeOf(legs, "crotchPoint", "back"),
      // The seam grows before and behind, so by about twice what the crotch is lowered.
      remedy: ownBlock ? null : deeperBy(rules.crotchDepth.add, (short ? 2 - value : 55 - value) / 1.9),
      fix: short
        ? say`Raise or lengthen the back crotch, or deepen the crotch line.`
        : say`Raise the crotch line, or shorten the back extension.`,
    });
  },
};

/** Levels are looked at this far apart. */
const STEP: Mm = 10;

/** The narrowest the leg is from the knee down to where its seams end; a flounce below it is another matter. */
function narrowestBelowKnee(legs: readonly Panel[], { levels }: LegPlan): Mm {
  const leg = legOf(legs, "right").filter((panel) => !panel.worn?.ring);
  // Every edge across the leg below the knee, hem or cut, ends it where that edge is highest.
  const ends = leg.flatMap((panel) =>
    panel.edges
      .filter((edge) => edge.role !== "side" && edge.role !== "inseam")
      .map((edge) => boxOf(pathFlatten(edge.path)).top)
      .filter((top) => top > levels.knee),
  );
  const bottom = Math.min(...ends) - 1;
  // A leg that ends above the knee has nothing narrower than its hem.
  if (!Number.isFinite(bottom)) return Infinity;
  let narrowest = Infinity;
  for (let y = levels.knee; y <= bottom; y += STEP) {
    const girth = leg.reduce((sum, panel) => sum + panelWidthAt(panel, y), 0);
    narrowest = Math.min(narrowest, girth);
  }
  return narrowest;
}

/** The hem, and whatever is narrower above it, lets the foot through. */
export const footEntry: CheckRule = {
  id: "foot-entry",
  label: "Foot passes",
  note: "Below the knee the leg, its hem and a stretched cuff open wide enough for heel and instep.",
  onLegs: true,
  measure({ measures, readings, panels, legs, plan, finish, finishSource }) {
    const cuff = panels.find((p) => p.is.part === "cuff");
    // Rib stretches itself; a cuff with elastic in it opens as far as that does.
    const relaxed =
      finish.hem?.kind === "cuff" && finish.hem.elastic
        ? cuffGirth(finish.hem.girth, measures)
        : cuff
          ? pathLength(edgeOf(cuff, "sewn").path)
          : Infinity;
    const stretched = relaxed * STRETCHES;
    const leg = Math.min(readings.hemGirth, narrowestBelowKnee(legs, plan));
    const value = difference(Math.min(leg, stretched), measures.heel.mm);
    return verdict(this, {
      status: byEstimate(measures.heel, (slack) => byFloor(value + slack, 0, 0)),
      value,
      limit: 0,
      unit: "length",
      message:
        value < 0
          ? say`The ${stretched < leg ? "stretched cuff" : leg < readings.hemGirth - 1 ? "leg below the knee" : "hem"} is ${-value} too narrow for heel and instep.${estimateSaid(measures.heel, "girth round heel and instep")}`
          : say`The foot passes with ${value} to spare.`,
      where: placeOf(legs, "hemSide"),
      fix: say`Widen the hem, or leave a slit at the side.`,
      remedy:
        cuff && finish.hem?.kind === "cuff"
          ? {
              label: say`Take a cuff that passes the heel`,
              changes: [
                {
                  path: ["finish", "hem"],
                  value: { ...asStored("hem", "cuff", finishSource), girth: "auto" },
                },
              ],
            }
          : null,
    });
  },
};

/** The knee of the leg against the knee as it is bent. */
export const kneeBent: CheckRule = {
  id: "knee-bent",
  label: "Knee bends",
  note: "The leg is as wide at the knee as the bent knee; one measured standing binds.",
  measure({ measures, readings, legs, cloth }) {
    const { kneeGirth } = readings;
    if (kneeGirth === null) return null;
    const given = (cloth.stretch / 2) * measures.kneeBent.mm;
    const value = difference(kneeGirth, measures.kneeBent.mm);
    return verdict(this, {
      status: byEstimate(measures.kneeBent, (slack) => byFloor(value + slack, -given, -Infinity)),
      value,
      limit: 0 - given,
      unit: "length",
      message:
        value < 0
          ? say`The leg is ${-value} smaller than the bent knee: it binds.${estimateSaid(measures.kneeBent, "bent knee")}`
          : say`${value} of room round the bent knee.`,
      where: placeOf(legs, "kneeSide"),
      fix: say`Widen the knee.`,
    });
  },
};

/** A straight band against the body that widens over its depth. */
export const bandGapes: CheckRule = {
  id: "band-gapes",
  label: "Band lies on the body",
  note: "A straight band is as long above as below; on a body that widens fast over its depth it gapes.",
  measure({ finish, measures, legs }) {
    const { waist } = finish;
    if (waist?.kind !== "straight-band" || waist.sits === "outside" || pulledOn(finish)) return null;
    const value = widensOver(measures, waist.depth.mm);
    return verdict(this, {
      status: byEstimate(measures.waistToHip, (slack) =>
        byLimits(widensOver(measures, waist.depth.mm, slack), MOST_GAPE, Infinity),
      ),
      value,
      limit: MOST_GAPE,
      unit: "length",
      message:
        value > MOST_GAPE
          ? say`Over its ${waist.depth.mm} the body changes by ${value}: the upper edge gapes.`
          : say`Over its depth the body changes by ${value}.`,
      where: placeOf(legs, "waistCentre", "back"),
      fix: say`Cut a contour band, or a narrower one.`,
    });
  },
};
