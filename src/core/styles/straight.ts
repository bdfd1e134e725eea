import { autoLengthSchema } from "../units";
import { z } from "zod";
import { garmentLengthSchema } from "../moves";
import type { Style } from "./style";
import { BAND_AND_ZIP, straightLeg } from "./sums";

const leg = straightLeg(0.8, 60);

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
  autos: { "shape-leg.knee": leg, "shape-leg.hem": leg },
  finish: BAND_AND_ZIP,
};
