import { flounce } from "../moves/flounce";
import { isLineOf } from "../moves/given";
import { ALLOWANCE_SETS } from "../finish";
import { edgesWithRole } from "../pattern";
import { say, inside } from "../units";
import { acrossGrain } from "../inspect";
import type { AdviceRule } from "./advice";

/** Cloth that gives this much across takes the shape of the body without darts. */
const STRETCHY = 0.1;

/** Soft or stretch cloth wants no darts, and little or no allowance. */
export const noDartsInStretch: AdviceRule = {
  id: "no-darts-in-stretch",
  label: "No darts in stretch cloth",
  note: "Soft or stretch cloth, so no darts and little or no allowance.",
  judge({ cloth, legs, ownBlock }) {
    if (cloth.stretch < STRETCHY || ownBlock || !legs.some((p) => edgesWithRole(p, "dart").length > 0)) return null;
    return {
      id: this.id,
      message: say`The cloth stretches, so the waist needs no darts.`,
      reason: say`Side and centre take the shaping, and the cloth gives the rest; a dart only makes a hard line in it.`,
      action: {
        label: say`Shape the waist without darts`,
        changes: [{ path: ["block", "rules", "waist", "shaping"], value: "none" }],
      },
    };
  },
};

/** Stretch cloth is sewn with narrow allowances. */
export const narrowAllowances: AdviceRule = {
  id: "stretch-allowances",
  label: "Narrow allowances in stretch cloth",
  note: "Soft or stretch cloth, so little allowance.",
  judge({ cloth, allowances }) {
    if (cloth.stretch < STRETCHY || ALLOWANCE_SETS[allowances.id].narrow) return null;
    return {
      id: this.id,
      message: say`Stretch cloth is sewn and trimmed in one, so its allowances can be narrow.`,
      reason: say`Wide allowances pull against the seam and show through.`,
      action: {
        label: say`Take the set for stretch cloth`,
        changes: [{ path: ["allowances", "set"], value: "stretch" }],
      },
    };
  },
};

/** What lies on the bias grows in wearing. */
export const biasHangs: AdviceRule = {
  id: "bias-hangs",
  label: "Let the bias hang",
  note: "Cut on the bias, so it hangs for a day before the hem is levelled.",
  judge({ pieces }) {
    const hangs = pieces.find((p) => p.lies === "bias" && p.material === "shell" && p.is.component !== "part");
    if (!hangs) return null;
    return {
      id: this.id,
      message: say`The ${inside(hangs.name)} lies on the bias: let the garment hang for a day before its hem is levelled.`,
      reason: say`Cloth on the bias grows by its own weight, and not everywhere alike.`,
      action: null,
    };
  },
};

/** Narrow cloth: spread less, join, or fold it across. */
export const narrowCloth: AdviceRule = {
  id: "narrow-cloth",
  label: "Cloth too narrow for a piece",
  note: "Narrow cloth, so less spread, a join, or a fold across.",
  judge({ cloth, pieces, moves }) {
    const { width } = cloth;
    if (width === null) return null;
    const wide = pieces.find((p) => p.material === "shell" && acrossGrain(p) > width);
    if (!wide) return null;
    const index = moves.findLastIndex((m) => m.on && isLineOf(m, flounce));
    return {
      id: this.id,
      message: say`The ${inside(wide.name)} is wider than the cloth.`,
      reason: say`Better a planned join, a smaller opening or a fold across than a flare that gets skimpy at the table.`,
      action:
        index < 0
          ? null
          : {
              label: say`Cut the flounce in four parts`,
              changes: [{ path: ["moves", index, "params", "parts"], value: 4 }],
            },
    };
  },
};
