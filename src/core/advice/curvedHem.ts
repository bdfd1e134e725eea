import { turnUpExcess } from "../inspect";
import { say, making } from "../units";
import type { AdviceRule } from "./advice";

/** A wide hem is cut on a curve, so it wants a narrow turn-up. */
export const curvedHem: AdviceRule = {
  id: "narrow-curved-hem",
  label: "Narrow turn-up on a curved hem",
  note: "Wide or circular hem, so a narrow hem.",
  judge({ legs, hemDepth, finishSource }) {
    if (hemDepth === null) return null;
    const excess = Math.max(...legs.map((panel) => Math.abs(turnUpExcess(panel, hemDepth))));
    if (excess <= 6) return null;
    return {
      id: this.id,
      message: say`A turn-up of ${hemDepth} leaves ${making(excess)} to ease in on a panel.`,
      reason: say`The hem is cut on a curve; the deeper it is turned, the more cloth has to be eased in.`,
      action: {
        label: say`Turn it up only as far as lies flat`,
        changes: [{ path: ["finish"], value: { ...finishSource, hem: { kind: "turned", depth: "auto" } } }],
      },
    };
  },
};
