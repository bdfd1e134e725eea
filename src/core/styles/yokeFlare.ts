import { garmentLengthSchema, levelSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { flaredFromKnee } from "./sums";

export const yokeFlare = defineStyle((on) => ({
  id: "yoke-flare",
  label: "Yoke and flare",
  note: "A yoke with its darts closed instead of a band, close to the calf, and flared from there.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    out: autoLengthSchema.optional().describe("How far each of the four edges flares."),
    start: levelSchema.optional().describe("Where the leg is narrowest."),
    centre: autoLengthSchema.optional().describe("Depth of the yoke at the centre back."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "yoke", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  autos: {
    ...flaredFromKnee(on.mm(30), on.mm(50)),
    "shape-leg.start": ({ waistToKnee }) =>
      quantity(waistToKnee.mm + on.mm(120), say`knee ${waistToKnee.mm} + ${on.mm(120)}`, { waistToKnee }),
  },
  finish: {
    waist: { kind: "facing", depth: on.length(50) },
    fastening: { kind: "fly", length: "auto" },
    pockets: [],
    inside: "overlocked",
    hem: { kind: "turned", depth: "auto" },
  },
}));
