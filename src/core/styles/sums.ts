import type { BodyMeasures } from "../body";
import { quantity, ratio, type Mm, type Quantity, say } from "../units";
import type { Style } from "./style";

/** What a number of a style comes to on a wearer's measures while nobody states it. */
type Sum = (measures: BodyMeasures) => Quantity;

/** A side comes in gently where the knee is at least so much of the hip, less so much of the way between them. */
const [OF_HIP, OF_WAY] = [0.8, 1.25] as const;
/** A hem lies flat where it is narrower than the knee by no more than this share of the way between them. */
const STEEPEST_TAPER = 0.48;

/** A knee is no closer than lets the side run in gently from a full hip that lies not far above it. */
const gentle =
  (kneeOf: Sum): Sum =>
  (measures) => {
    const knee = kneeOf(measures);
    const { hip, waistToHip, waistToKnee } = measures;
    const way = waistToKnee.mm - waistToHip.mm;
    const least = OF_HIP * hip.mm - OF_WAY * way;
    return knee.mm >= least
      ? knee
      : quantity(
          least,
          say`${ratio(OF_HIP)} x hip ${hip.mm} - ${ratio(OF_WAY)} x ${way} from hip to knee, so that the side runs in gently`,
          {
            hip,
            waistToHip,
            waistToKnee,
          },
        );
  };

/** The knee with ease. */
export const easedKnee = (add: Mm): Sum =>
  gentle(({ knee }) => {
    const ease = knee.net ? add : 0;
    return quantity(knee.mm + ease, say`knee ${knee.mm} + ${ease}`, { knee });
  });

/** The bent knee with ease, unless it is carded with its own. */
export const bentKnee = (add: Mm): Sum =>
  gentle(({ kneeBent }) => {
    const ease = kneeBent.net ? add : 0;
    return quantity(kneeBent.mm + ease, say`knee, bent, ${kneeBent.mm} + ${ease}`, { kneeBent });
  });

/** Knee and hem of one width, as wide as a share of the thigh and the knee with its ease ask for. */
export function straightLeg(share: number, kneeEase: Mm): Style["autos"] {
  const width = gentle(({ thigh, knee }) => {
    const ease = knee.net ? kneeEase : 0;
    return quantity(
      Math.max(share * thigh.mm, knee.mm + ease),
      say`the larger of ${share.toFixed(2)} x thigh ${thigh.mm} and knee ${knee.mm} + ${ease}`,
      { thigh, knee },
    );
  });
  return ofOneWidth(width);
}

/** Knee and hem of one width. */
export const ofOneWidth = (width: Sum): Style["autos"] => ({ "shape-leg.knee": width, "shape-leg.hem": width });

/** The ankle with ease. */
export const ankleAnd =
  (add: Mm): Sum =>
  ({ ankle }) =>
    quantity(ankle.mm + add, say`ankle ${ankle.mm} + ${add}`, { ankle });

/**
 * A leg that narrows from knee to ankle, or so far above it: by no more than lets its hem lie flat where the seams are sewn.
 */
export function tapered(kneeOf: Sum, hemOf: Sum, above: Mm = 0): Style["autos"] {
  return {
    "shape-leg.knee": kneeOf,
    "shape-leg.hem": (measures) => {
      const { waistToKnee, waistToAnkle } = measures;
      const [knee, hem] = [kneeOf(measures), hemOf(measures)];
      const way = waistToAnkle.mm - above - waistToKnee.mm;
      const least = knee.mm - STEEPEST_TAPER * way;
      return hem.mm >= least
        ? hem
        : quantity(
            least,
            say`leg at the knee ${knee.mm} - ${ratio(STEEPEST_TAPER)} x ${way} from knee to hem, so that the hem lies flat`,
            {
              knee,
              waistToKnee,
              waistToAnkle,
            },
          );
    },
  };
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
