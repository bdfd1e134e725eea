import { z } from "zod";
import { autoLengthSchema, garmentLengthSchema } from "../moves";
import { plain, quantity, type Quantity } from "../units";
import type { BodyMeasures } from "../body";
import type { Style } from "./style";

/** Palazzo: a straight leg, slashed up the crease and spread at the hem. */
function straightLeg({ thigh, knee }: BodyMeasures): Quantity {
  return quantity(
    Math.max(0.86 * thigh.mm, knee.mm + 100),
    `the larger of 0.86 x thigh ${plain(thigh.mm)} and knee ${plain(knee.mm)} + 100`,
    { thigh, knee },
  );
}

export const palazzo: Style = {
  id: "palazzo",
  label: "Palazzo",
  note: "A wide leg that falls from the hip: straight first, then slashed up the crease and spread.",
  school: "proportional",
  rules: { ease: { front: "10 mm", back: "10 mm" } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    hemSpread: autoLengthSchema.optional().describe("Sum of the openings of one panel at the hem."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "spread", on: true, params: {} },
  ],
  autos: {
    "shape-leg.knee": straightLeg,
    "shape-leg.hem": straightLeg,
    "spread.hemSpread": () => quantity(240, "the style's own: 240 a panel in two equal gaps"),
  },
  finish: {
    waist: { kind: "straight-band", depth: "40 mm", sits: "above", overlap: "30 mm" },
    fastening: { kind: "zip-centre-back", length: "auto" },
    hem: { kind: "turned", depth: "auto" },
  },
};
