import { z } from "zod";
import { ABOVE_HIP, withHipWideWaist, type LegPlan, type PanelPlan } from "../drafting";
import { plain, quantity } from "../units";
import { autoLengthSchema, paramOr } from "./auto";
import { landmarkHandles, levelHandle, refuseOwnBlock } from "./level";
import { MoveRefused, type Move } from "./move";

const schema = z.strictObject({
  by: autoLengthSchema.optional().describe("How far up the waist line moves (negative: down)."),
});

/** Least height of a panel between waist line and hip line. */
const LEAST_ABOVE_HIP = 40;

/** Moves the waist line up or down; its girth stays what was asked, hip, knee and length stay where they are. */
export const waistLevel: Move<z.infer<typeof schema>> = {
  id: "waist-level",
  label: "Move the waist line",
  note: "Raises or lowers the waist edge; every other level still counts from the natural waist.",
  schema,
  redraws: true,
  apply(state, params, context) {
    refuseOwnBlock(state, "by", this.label);
    const { plan } = state;
    const { levels } = plan;
    const by = paramOr("waist-level", "by", params.by, context) ?? quantity(0, "nothing asked");
    const waist = levels.waist - by.mm;
    if (levels.hip - waist < LEAST_ABOVE_HIP || by.mm > 200) {
      const lowest = levels.waist - levels.hip + LEAST_ABOVE_HIP;
      throw new MoveRefused(
        "by",
        `The waist line can move between ${plain(lowest)} and 200 mm here, not ${plain(by.mm)}.`,
        by.mm > 200 ? 200 : lowest,
      );
    }
    // Darts end clear of the hip line however low the waist comes.
    const room = levels.hip - waist - ABOVE_HIP;
    const shorter = (panel: PanelPlan): PanelPlan => ({
      ...panel,
      darts: { ...panel.darts, length: Math.max(25, Math.min(panel.darts.length, room)) },
    });
    const moved: LegPlan = {
      ...plan,
      levels: { ...levels, waist },
      front: shorter(plan.front),
      back: shorter(plan.back),
    };
    return {
      state: { ...state, plan: withHipWideWaist(moved) },
      template:
        by.mm < 0
          ? "Lower the waist line by {amount}; all levels still count from the natural waist."
          : "Raise the waist line by {amount}; all levels still count from the natural waist.",
      numbers: { amount: quantity(Math.abs(by.mm), by.formula, { by }), by },
      shown: [],
      handles: [],
    };
  },
  handlesOn: (_plan, { by }, panels) =>
    by
      ? landmarkHandles(panels, "waistSide", (at, root) => ({
          ...levelHandle(`${root}-waist`, root, at, "by", by.mm, "waist", true),
          least: -300,
        }))
      : [],
};
