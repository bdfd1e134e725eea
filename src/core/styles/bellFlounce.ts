import { garmentLengthSchema, levelSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { BAND_AND_ZIP, flaredFromKnee } from "./sums";

export const bellFlounce = defineStyle((on) => ({
  id: "bell-flounce",
  label: "Bell with flounce",
  note: "Close to the knee, cut off a little below it, and a full circle from there to the floor.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    start: levelSchema.optional().describe("Where the leg ends and the flounce begins."),
    kind: z.enum(["circle", "gathered"]).optional().describe("Part of a circle, or a straight strip gathered on."),
    share: z.number().min(0.2).max(2).optional().describe("Share of a circle."),
    fullness: z.number().min(1).max(5).optional().describe("Gathered: length of the strip to the seam."),
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg; beats share and fullness."),
    depth: autoLengthSchema.optional().describe("How deep the flounce hangs; left out, to the length."),
    points: z.int().min(0).max(24).optional().describe("Points on the outer edge of one leg."),
    length: garmentLengthSchema.optional().describe("Where the flounce ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "flounce", on: true, params: {} },
  ],
  // The start belongs to the flounce; the leg itself turns at the knee.
  feeds: { "shape-leg.start": "none" },
  autos: {
    ...flaredFromKnee(on.mm(50), on.mm(40)),
    "flounce.start": ({ waistToKnee }) =>
      quantity(waistToKnee.mm + on.mm(80), say`knee ${waistToKnee.mm} + ${on.mm(80)}`, { waistToKnee }),
  },
  finish: {
    ...BAND_AND_ZIP,
    waist: { kind: "contour-band", depth: on.length(50), sits: "cut" },
    hem: { kind: "rolled" },
  },
}));
