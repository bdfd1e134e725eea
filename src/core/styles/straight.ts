import { z } from "zod";
import type { BodyMeasures } from "../body";
import { autoLengthSchema, garmentLengthSchema } from "../moves";
import { plain, quantity, type Quantity } from "../units";
import type { Style } from "./style";

/** A leg of one width from knee to hem, as wide as thigh and knee ask for. */
function straightLeg({ thigh, knee }: BodyMeasures): Quantity {
  const ease = knee.net ? 60 : 0;
  return quantity(
    Math.max(0.8 * thigh.mm, knee.mm + ease),
    `the larger of 0.80 x thigh ${plain(thigh.mm)} and knee ${plain(knee.mm)} + ${plain(ease)}`,
    { thigh, knee },
  );
}

export const straight: Style = {
  id: "straight",
  label: "Straight",
  note: "One width from knee to hem: the plainest trousers, and the leg other styles start from.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished girth of one leg, at knee and hem."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
  ],
  feeds: { "shape-leg.knee": "hemGirth", "shape-leg.hem": "hemGirth" },
  autos: { "shape-leg.knee": straightLeg, "shape-leg.hem": straightLeg },
  finish: {
    waist: { kind: "straight-band", depth: "40 mm", sits: "above", overlap: "30 mm" },
    fastening: { kind: "zip-centre-back", length: "auto" },
    hem: { kind: "turned", depth: "auto" },
  },
};
