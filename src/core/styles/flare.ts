import { garmentLengthSchema, levelSchema } from "../params";
import { autoLengthSchema } from "../units";
import { z } from "zod";
import { defineStyle } from "./style";
import { BAND_AND_ZIP, flaredFromKnee } from "./sums";

export const flare = defineStyle((on) => ({
  id: "flare",
  label: "Flare",
  note: "Close to the knee, and out on all four edges from there to the hem.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    out: autoLengthSchema.optional().describe("How far each of the four edges flares from the start to the hem."),
    start: levelSchema.optional().describe("Where the flare starts."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  autos: flaredFromKnee(on.mm(50), on.mm(60)),
  finish: { ...BAND_AND_ZIP, waist: { kind: "facing", depth: on.length(50) } },
}));
