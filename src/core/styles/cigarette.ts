import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { bentKnee, tapered } from "./sums";

export const cigarette = defineStyle((on) => ({
  id: "cigarette",
  label: "Cigarette",
  note: "A high waist and a leg that tapers to the ankle, measured with the knee bent.",
  school: "proportional",
  // The usual crotch depth and 50, read from a waist line 50 higher: the crotch stays where it is on the body.
  rules: { level: { high: on.length(50) } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    knee: autoLengthSchema.optional().describe("Finished girth of one leg at the knee."),
    length: garmentLengthSchema.optional().describe("Where the hem ends; the ankle unless chosen."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  defaults: { length: "ankle" },
  autos: tapered(bentKnee(on.mm(40)), ({ ankle, heel }) =>
    quantity(
      Math.max(ankle.mm + on.mm(60), heel.mm + on.mm(10)),
      say`the larger of ankle ${ankle.mm} + ${on.mm(60)} and heel ${heel.mm} + ${on.mm(10)}`,
      { ankle, heel },
    ),
  ),
  finish: {
    waist: { kind: "contour-band", depth: on.length(50), sits: "cut" },
    fastening: { kind: "zip-side", length: "auto" },
    pockets: [],
    inside: "overlocked",
    hem: { kind: "turned", depth: "auto" },
  },
}));
