import { z } from "zod";
import { withHipWideWaist, type LegPlan, type PanelPlan } from "../drafting";
import { lengthInputSchema, plain, quantity, type Mm } from "../units";
import { autoLengthSchema, paramOr } from "./auto";
import { landmarkHandles, levelHandle } from "./level";
import { widenOwn } from "./ownMaps";
import { MoveRefused, type Move } from "./move";

const schema = z.strictObject({
  side: autoLengthSchema.optional().describe("Out at the side on the hip line, squared down from there; per panel."),
  inseamShare: z
    .number()
    .min(0)
    .max(1)
    .optional()
    .describe("Share of what the side gained at the hem that the inseam gains too (a third by default)."),
  inseam: lengthInputSchema.optional().describe("Out at the inseam, instead of a share."),
});

const USUAL_SHARE = 1 / 3;

/** Out at the side on the hip line and squared down; the inseam gains a share of what the hem gained at the side. */
export const widenLeg: Move<z.infer<typeof schema>> = {
  id: "widen-leg",
  label: "Widen the leg",
  note: "Moves the side out and squares it down; the inseam gains a third of what the hem gained, or as chosen.",
  schema,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const out = paramOr("widen-leg", "side", params.side, context) ?? quantity(25, "the usual 25 a panel");
    if (out.mm < -60 || out.mm > 200) {
      throw new MoveRefused("side", `A side ${plain(out.mm)} mm further out is refused. Choose -6 to 20 cm.`);
    }
    const share = params.inseamShare ?? USUAL_SHARE;
    const own = params.inseam === undefined ? null : paramOr("widen-leg", "inseam", params.inseam, context);
    const gained = (panel: PanelPlan): Mm => panel.hipX + out.mm - panel.hem.side;
    // Front and back gain alike at the inseam, by the front's hem.
    const inner = own?.mm ?? share * Math.max(0, gained(plan.front));
    const widened = (panel: PanelPlan): PanelPlan => {
      const side = panel.hipX + out.mm;
      return {
        ...panel,
        hipX: side,
        knee: { side, inseam: panel.knee.inseam - inner },
        hem: { side, inseam: panel.hem.inseam - inner },
      };
    };
    const drafted: LegPlan = {
      ...plan,
      hang: "side",
      hemAsked: null,
      front: widened(plan.front),
      back: widened(plan.back),
    };
    return {
      state: { ...state, plan: plan.own ? widenOwn(plan, out.mm, inner) : withHipWideWaist(drafted) },
      template:
        "Move the side out {side} on the hip line and square it down; the hem gains {gain} there, and the inseam {inner}.",
      numbers: {
        side: out,
        gain: quantity(gained(plan.front), "front hem at the side, after less before"),
        inner: own ?? quantity(inner, `${plain(share)} of what the front hem gained at the side`),
      },
      shown: [],
      handles: [],
    };
  },
  handlesOn: (_plan, { side }, panels) =>
    side
      ? landmarkHandles(panels, "hipSide", (at, root) => ({
          ...levelHandle(`${root}-widen`, root, at, "side", side.mm, "out at the side"),
          axis: [Math.sign(at[0]) || 1, 0],
          least: -60,
        }))
      : [],
};
