import { garmentLengthSchema } from "../params";
import { autoLengthSchema } from "../units";
import { z } from "zod";
import { defineStyle } from "./style";
import { BAND_AND_ZIP, straightLeg } from "./sums";

export const sideFullness = defineStyle((on) => ({
  id: "side-fullness",
  label: "Side fullness",
  note: "Plain in front and behind, with one full panel let in at each side from above the hip to the hem.",
  school: "proportional",
  rules: { ease: { front: on.length(20), back: on.length(20) } },
  params: z.strictObject({
    fullness: z.number().min(1).max(4).optional().describe("Length of the panel's top to the seam it is set into."),
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg with the panel; beats the fullness."),
    above: autoLengthSchema.optional().describe("How far above the hip line the panel starts."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "side-panel", on: true, params: {} },
  ],
  autos: straightLeg(0.8, on.mm(60)),
  finish: BAND_AND_ZIP,
}));
