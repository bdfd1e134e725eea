import type { z } from "zod";
import {
  garmentLengthSchema,
  LENGTH_NAMES,
  namedLength as lengthOrName,
  statedLength,
  type LengthName,
} from "../params";
import { defineMove } from "./define";
import type { BodyMeasures } from "../body";
import { quantity, range, type LengthInput, type Mm, type Quantity, say, Refusal } from "../units";
import { paramOr, readParam } from "./auto";
import { landmarkHandles, levelHandle } from "./level";
import type { MoveContext, StyleState } from "./move";

/** What is sewn on below is no deeper. */
const LESS: readonly [Mm, Mm] = [0, 300];

const PARAMS = {
  length: lengthOrName("Where the hem ends: a level, or a length below the waist.", garmentLengthSchema, {
    gives: "length",
    takesCloth: true,
    label: "Length",
    shown: "length",
    names: LENGTH_NAMES,
    tried: [200, 900],
  }),
  less: statedLength("Taken off for a cuff or band that is sewn on below.", {
    gives: "cuff",
    label: "Less, for a cuff sewn on below",
    shown: "less",
    within: LESS,
    tried: [20, 90],
  }),
};

/** Hem stays this far off the floor, in shoes this high. */
const CLEARANCE: Mm = 20;

/** The hem's level below the natural waist for a named length, with its sum. */
export function namedLength(name: LengthName, m: BodyMeasures, shoe: Mm, crotchLine: Mm): Quantity {
  const { waistToFloor, waistToAnkle, waistToKnee } = m;
  switch (name) {
    case "full":
      return quantity(
        waistToFloor.mm + shoe - CLEARANCE,
        say`waist to floor ${waistToFloor.mm} + shoe ${shoe} - clearance ${CLEARANCE}`,
        { waistToFloor },
      );
    case "ankle":
      return quantity(waistToAnkle.mm, say`waist to ankle ${waistToAnkle.mm}`, { waistToAnkle });
    case "knee":
      return quantity(waistToKnee.mm, say`waist to knee ${waistToKnee.mm}`, { waistToKnee });
    case "mid-calf":
      return quantity((waistToKnee.mm + waistToAnkle.mm) / 2, "half-way between knee and ankle", {
        waistToKnee,
        waistToAnkle,
      });
    case "calf":
      return quantity(waistToKnee.mm + 0.55 * (waistToAnkle.mm - waistToKnee.mm), say`knee + 0.55 of knee to ankle`, {
        waistToKnee,
        waistToAnkle,
      });
    case "shorts":
      return quantity(crotchLine + 80, say`crotch line ${crotchLine} + ${80}`);
  }
}

const isName = (value: unknown): value is LengthName => LENGTH_NAMES.includes(value as LengthName);

/** A garment's length below the natural waist: the move's own, else the style's, else `usual`. */
export function askedGarmentLength(
  own: z.infer<typeof garmentLengthSchema> | undefined,
  usual: LengthName | LengthInput,
  { plan }: StyleState,
  context: MoveContext,
): Quantity {
  const asked = [own, context.styleParams.length, usual].find((v) => v !== undefined && v !== "auto") as
    LengthName | LengthInput;
  return isName(asked)
    ? namedLength(asked, context.measures, context.shoe, plan.levels.crotch)
    : readParam("length", asked, context, "below the waist, as chosen");
}

/** The leg's own hem above what is sewn on below; a very short one keeps what a leg needs to be sewn, and so ends lower. */
function withoutCuff(whole: Quantity, less: Quantity, least: Mm): Quantity {
  const hem = whole.mm - less.mm;
  const sum = say`${whole.mm} - ${less.mm} for what is sewn on below`;
  if (hem >= least || whole.mm < least) return quantity(hem, sum, { whole, less });
  return quantity(least, say`${sum}, but not above ${least}, the shortest leg that can be sewn`, { whole, less }, hem);
}

/** Moves the hem. Below the knee the seams run on; above it both panels are cut at equal lengths along the seams. */
export const setLength = defineMove({
  id: "set-length",
  label: "Set the length",
  note: "Ends the leg at a level or at a length below the natural waist.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const whole = askedGarmentLength(params.length, "full", state, context);
    const less = paramOr("set-length", "less", params.less, context) ?? context.cuff ?? null;
    if (less && (less.mm < LESS[0] || less.mm > LESS[1]))
      throw new Refusal("less", say`What is sewn on below is ${range(...LESS)} deep here.`);
    const least = plan.levels.crotch + 60;
    const hemLevel = less ? withoutCuff(whole, less, least) : whole;
    if (hemLevel.mm < least) {
      throw new Refusal(
        "length",
        say`A hem ${hemLevel.mm} below the waist leaves no leg. The shortest is ${Math.ceil(least)}.`,
      );
    }
    if (hemLevel.mm > 2000)
      throw new Refusal("length", say`A hem more than ${2000} below the waist is refused. Check the unit.`);
    const longer = { ...plan, levels: { ...plan.levels, hem: hemLevel.mm } };
    const offFloor = context.measures.waistToFloor.mm + context.shoe - hemLevel.mm;
    return {
      state: { ...state, plan: longer },
      numbers: {
        hemLevel,
        length: whole,
        ...(less && { less }),
        offFloor: quantity(offFloor, "waist to floor + shoe - hem level", {
          waistToFloor: context.measures.waistToFloor,
        }),
        shoe: quantity(context.shoe, "usual heel height"),
      },
    };
  },
  says: ({ numbers: { offFloor } }) =>
    offFloor && offFloor.mm < 60
      ? "End it {hemLevel} below the waist, {offFloor} off the floor in {shoe} shoes."
      : "End it {hemLevel} below the waist.",
  // What is sewn on below belongs to the length that is set.
  handlesOn: (_plan, { length, less }, panels) =>
    length
      ? landmarkHandles(panels, "creaseHem", (at, root) =>
          levelHandle(`${root}-length`, root, at, "length", length.mm, less ? "length with its cuff" : "length"),
        )
      : [],
});
