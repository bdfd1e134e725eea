import type { BodyMeasures } from "../body";
import { quantity, type Mm, type Quantity, say } from "../units";
import type { Style } from "./style";

/** A leg of one width from knee to hem, as wide as a share of the thigh and the knee with its ease ask for. */
export function straightLeg(share: number, kneeEase: Mm): (measures: BodyMeasures) => Quantity {
  return ({ thigh, knee }) => {
    const ease = knee.net ? kneeEase : 0;
    return quantity(
      Math.max(share * thigh.mm, knee.mm + ease),
      say`the larger of ${share.toFixed(2)} x thigh ${thigh.mm} and knee ${knee.mm} + ${ease}`,
      { thigh, knee },
    );
  };
}

/** The bent knee with ease, unless it is carded with its own. */
export function bentKnee(add: Mm): (measures: BodyMeasures) => Quantity {
  return ({ kneeBent }) => {
    const ease = kneeBent.net ? add : 0;
    return quantity(kneeBent.mm + ease, say`knee, bent, ${kneeBent.mm} + ${ease}`, { kneeBent });
  };
}

/** The ankle with ease. */
export function ankleAnd(add: Mm): (measures: BodyMeasures) => Quantity {
  return ({ ankle }) => quantity(ankle.mm + add, say`ankle ${ankle.mm} + ${add}`, { ankle });
}

/** Close to the bent knee and out on each edge from there. */
export function flaredFromKnee(kneeEase: Mm, out: Mm): Style["autos"] {
  return {
    "shape-leg.knee": bentKnee(kneeEase),
    "shape-leg.out": () => quantity(out, say`the style's own: ${out} on each edge`),
  };
}

/** A straight band 40 deep above the waist, a zip at the centre back, a turned hem, no pockets. */
export const BAND_AND_ZIP: Style["finish"] = {
  waist: { kind: "straight-band" },
  fastening: { kind: "zip-centre-back", length: "auto" },
  pockets: [],
  inside: "overlocked",
  hem: { kind: "turned", depth: "auto" },
};

/** A casing cut on to the panels with elastic in it, pulled on, no pockets. */
export const CASED: Style["finish"] = {
  waist: { kind: "cut-on-casing", elastic: "waist-less" },
  fastening: { kind: "none" },
  pockets: [],
  inside: "overlocked",
  hem: { kind: "turned", depth: "auto" },
};
