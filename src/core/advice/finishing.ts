import { edgesWithRole } from "../pattern";
import { elasticOf, pulledOn } from "../finish";
import { asStored, bandGapes } from "../inspect";
import { plain, say } from "../units";
import type { AdviceRule } from "./advice";

/** Elastic wants panels as wide as the hip. */
export const hipWideForElastic: AdviceRule = {
  id: "hip-wide-for-elastic",
  label: "Hip-wide panels for elastic",
  note: "Elastic, so hip-wide panels.",
  judge({ finish, legs, ownBlock }) {
    if (elasticOf(finish) === "none" || ownBlock) return null;
    if (!legs.some((p) => edgesWithRole(p, "dart").length > 0)) return null;
    return {
      id: this.id,
      message: say`The waist is drawn up by elastic, so darts in it only make it harder to put on.`,
      reason: say`With elastic or a cord the waist is left as wide as the hip; the elastic does the shaping.`,
      action: {
        label: say`Leave the waist hip-wide`,
        changes: [{ path: ["block", "rules", "waist", "shaping"], value: "hipWide" }],
      },
    };
  },
};

/** A circular hem is rolled. */
export const rolledCircle: AdviceRule = {
  id: "rolled-circle",
  label: "Roll a circular hem",
  note: "Wide or circular hem, so a narrow hem.",
  judge({ finish, legs, finishSource }) {
    const { hem } = finish;
    if (!legs.some((p) => p.worn?.ring) || !hem || hem.kind === "rolled" || hem.kind === "faced") return null;
    return {
      id: this.id,
      message: say`The flounce is cut in a circle, so its hem is best rolled narrowly.`,
      reason: say`A turn-up on a circle is longer than what it covers; a roll of a few millimetres lies flat.`,
      action: {
        label: say`Roll the hem`,
        changes: [{ path: ["finish"], value: { ...finishSource, hem: { kind: "rolled" } } }],
      },
    };
  },
};

/** A straight band on a waist that curves stands away from the body. */
export const contourForCurvedWaist: AdviceRule = {
  id: "contour-for-curve",
  label: "A contour band for a curved waist",
  note: "Waist gapes at the back, so contour the band.",
  judge(judged) {
    const { finish, finishSource } = judged;
    const { waist } = finish;
    if (waist?.kind !== "straight-band" || waist.depth.mm < 45 || pulledOn(finish)) return null;
    const grows = bandGapes.measure(judged)?.value ?? 0;
    if (grows < 40 || judged.legs.some((p) => p.half !== "both")) return null;
    return {
      id: this.id,
      message: say`Over its depth of ${waist.depth.mm} the body changes by about ${grows}: a straight band gapes at its upper edge.`,
      reason: say`A deep band lies flat only when it is cut from the top of the panels with the darts closed.`,
      action: {
        label: say`Cut a contour band instead`,
        changes: [
          {
            path: ["finish"],
            value: { ...finishSource, waist: { kind: "contour-band", depth: `${plain(waist.depth.mm)} mm` } },
          },
        ],
      },
    };
  },
};

/** A tapered leg turns up flat only with a mirrored hem; an extension as deep as this would bind. */
export const deepTaperedHem: AdviceRule = {
  id: "tapered-hem",
  label: "Mirrored hem on a tapered leg",
  note: "Tapered leg, so a mirrored deep hem.",
  judge({ hemDepth, legs, finish }) {
    if (hemDepth === null || hemDepth < 35 || finish.hem?.kind !== "turned") return null;
    const tapers = legs.some(({ landmarks: { kneeSide, kneeInseam, hemSide, hemInseam } }) => {
      if (!kneeSide || !kneeInseam || !hemSide || !hemInseam) return false;
      const lost = Math.abs(kneeSide[0] - kneeInseam[0]) - Math.abs(hemSide[0] - hemInseam[0]);
      return lost > 0.1 * (hemSide[1] - kneeSide[1]);
    });
    if (!tapers) return null;
    return {
      id: this.id,
      message: say`The leg tapers, so its turn-up of ${hemDepth} is cut as the mirror image of the leg above.`,
      reason: say`A straight extension would be narrower than what it is sewn to and pull the hem in.`,
      action: null,
    };
  },
};

/** No cords at a child's waist. */
export const childsCord: AdviceRule = {
  id: "no-cord-for-children",
  label: "No cords for children",
  note: "No drawstring at the waist of children's clothes; local product-safety rules decide.",
  judge({ finish, measures, finishSource }) {
    const { waist } = finish;
    const child = measures.waistToFloor.mm < 850;
    if (!child || !waist || !("drawstring" in waist) || !waist.drawstring) return null;
    return {
      id: this.id,
      message: say`The wearer is a child's size: leave out the cord at the waist.`,
      reason: say`Cords catch and can injure. Local product-safety rules for children's wear decide.`,
      action: {
        label: say`Leave out the cord`,
        changes: [
          { path: ["finish", "waist"], value: { ...asStored("waist", waist.kind, finishSource), drawstring: false } },
        ],
      },
    };
  },
};
