import { length } from "../params";
import { askedLength, defineMove } from "./define";
import type { PanelPlan } from "../drafting";
import { quantity, say, Refusal, range } from "../units";
import { landmarkHandles, levelHandle } from "./level";
import { dropOwn } from "./ownMaps";

const PARAMS = {
  by: length("How much lower the crotch line lies (negative: higher).", {
    label: "Lower by",
    shown: "by",
    negative: true,
    usual: { mm: 15 },
    tried: [-20, 120],
  }),
};

/** Lowers the crotch line; extensions stay, the inseams are reconciled anew. */
export const dropCrotch = defineMove({
  id: "drop-crotch",
  label: "Drop the crotch",
  note: "Lowers the crotch line by an amount; both inseams get shorter and are reconciled.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const by = askedLength("drop-crotch", PARAMS, "by", params, context);
    const { levels } = plan;
    const crotch = levels.crotch + by.mm;
    const [least, most] = [levels.hip + 15, Math.min(plan.turns[0]?.level ?? levels.hem, levels.hem) - 60];
    if (crotch < least || crotch > most) {
      throw new Refusal(
        "by",
        say`The crotch line can move ${range(least - levels.crotch, most - levels.crotch)} here, not ${by.mm}.`,
        crotch > most ? { most: most - levels.crotch } : { least: least - levels.crotch },
      );
    }
    // A slanted centre keeps its line: further down it meets the crotch line further out.
    const lowered = (panel: PanelPlan): PanelPlan => {
      const lean = panel.centre === "slanted" ? (panel.centreAtWaist - panel.centreAtCrotch) / levels.crotch : 0;
      const out = lean * by.mm;
      return { ...panel, centreAtCrotch: panel.centreAtCrotch - out, crotchX: panel.crotchX - out };
    };
    return {
      state: {
        ...state,
        plan: plan.own
          ? dropOwn(plan, by.mm)
          : { ...plan, levels: { ...levels, crotch }, front: lowered(plan.front), back: lowered(plan.back) },
      },
      numbers: { amount: quantity(Math.abs(by.mm), by.sum, { by }), by },
    };
  },
  says: ({ numbers: { by } }) =>
    by && by.mm < 0 ? "Raise the crotch line by {amount}." : "Drop the crotch line by {amount}.",
  handlesOn: (_plan, { by }, panels) =>
    by
      ? landmarkHandles(panels, "crotchPoint", (at, root) => ({
          ...levelHandle(`${root}-crotch`, root, at, "by", by.mm, "crotch"),
          least: -300,
        }))
      : [],
});
