import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { BAND_AND_ZIP } from "./sums";

export const palazzo = defineStyle((on) => ({
  id: "palazzo",
  label: "Palazzo",
  note: "A wide leg that falls straight from hip and crotch point, then is slashed up the crease and spread.",
  school: "proportional",
  rules: { ease: { front: on.length(10), back: on.length(10) } },
  params: z.strictObject({
    fall: z
      .enum(["straight", "turned"])
      .optional()
      .describe(
        "How the leg comes down before it is slashed: straight from hip and crotch point, or through the knee.",
      ),
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    hemSpread: autoLengthSchema.optional().describe("Sum of the openings of one panel at the hem."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "spread", on: true, params: {} },
  ],
  defaults: { fall: "straight" },
  autos: {
    "shape-leg.out": () => quantity(on.mm(-38), say`the style's own: in ${on.mm(38)} on each edge`),
    "spread.hemSpread": () => quantity(on.mm(240), say`the style's own: ${on.mm(240)} a panel in two equal gaps`),
  },
  finish: { ...BAND_AND_ZIP, pockets: [{ kind: "slant" }] },
}));
