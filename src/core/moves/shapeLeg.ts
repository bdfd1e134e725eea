import { z } from "zod";
import { legGirthAt, panelWidths, passingOf, type LegPlan } from "../drafting";
import type { Mm } from "../units";
import { quantity } from "../units";
import { autoLengthSchema, paramOr } from "./auto";
import { MoveRefused, type Move } from "./move";

const schema = z.strictObject({
  knee: autoLengthSchema.optional().describe("Finished girth of one leg at the knee line."),
  hem: autoLengthSchema.optional().describe("Finished girth of one leg at the hem."),
  backExtra: autoLengthSchema.optional().describe("How much wider the back is than the front."),
});

function reshaped(plan: LegPlan, panel: "front" | "back", knee: Mm, hem: Mm): LegPlan["front"] {
  const now = plan[panel];
  return { ...now, knee: passingOf(plan.hang, knee, now.knee), hem: passingOf(plan.hang, hem, now.hem) };
}

/** New widths at knee and hem, equal about the crease; side and inseam are redrawn and reconciled. */
export const shapeLeg: Move<z.infer<typeof schema>> = {
  id: "shape-leg",
  label: "Shape the leg",
  note: "Redraws side and inseam through new widths at knee and hem, shared about the crease.",
  schema,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const knee =
      paramOr("shape-leg", "knee", params.knee, context) ?? quantity(legGirthAt(plan, "knee"), "as the block");
    const hem = paramOr("shape-leg", "hem", params.hem, context) ?? quantity(legGirthAt(plan, "hem"), "as the block");
    const extra =
      paramOr("shape-leg", "backExtra", params.backExtra, context) ??
      quantity(plan.backExtra, "the block's own: back wider than front");
    for (const [param, girth] of [
      ["knee", knee],
      ["hem", hem],
    ] as const) {
      if (girth.mm < 80 + Math.abs(extra.mm) || girth.mm > 2500) {
        throw new MoveRefused(
          param,
          `A leg of ${(girth.mm / 10).toFixed(1)} cm at the ${param} cannot be cut. Choose 12 to 250 cm.`,
        );
      }
    }
    const atKnee = panelWidths(knee.mm, extra.mm);
    const atHem = panelWidths(hem.mm, extra.mm);
    const shaped: LegPlan = {
      ...plan,
      backExtra: extra.mm,
      front: reshaped(plan, "front", atKnee.front, atHem.front),
      back: reshaped(plan, "back", atKnee.back, atHem.back),
    };
    const straight = Math.abs(knee.mm - hem.mm) < 0.05;
    return {
      state: { ...state, plan: shaped },
      template: straight
        ? "Let the leg fall straight, {knee} round at knee and hem, shared about the crease."
        : "Shape the leg to {knee} round at the knee and {hem} at the hem, shared about the crease.",
      numbers: { knee, hem, backExtra: extra },
      shown: [],
      handles: [],
    };
  },
};
