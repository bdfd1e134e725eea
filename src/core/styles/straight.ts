import { garmentLengthSchema } from "../params";
import { autoLengthSchema } from "../units";
import { z } from "zod";
import { defineStyle } from "./style";
import { BAND_AND_ZIP, straightLeg } from "./sums";

export const straight = defineStyle((on) => ({
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
  autos: straightLeg(0.8, on.mm(60)),
  finish: BAND_AND_ZIP,
}));
