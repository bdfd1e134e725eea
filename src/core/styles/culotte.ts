import { garmentLengthSchema } from "../params";
import { autoLengthSchema } from "../units";
import { z } from "zod";
import { defineStyle } from "./style";

export const culotte = defineStyle(() => ({
  id: "culotte",
  label: "Culotte",
  note: "Straight down from hip and crotch point to half-way between knee and ankle, roomy, hip-wide at the waist.",
  school: "eased-metric",
  // Whatever the school, this leg falls straight down.
  rules: { leg: { fall: "down" } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg, when it should not fall straight."),
    length: garmentLengthSchema.optional().describe("Where the hem ends; between knee and ankle unless chosen."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  defaults: { length: "mid-calf" },
  autos: {},
  finish: {
    waist: "undecided",
    fastening: "undecided",
    pockets: "undecided",
    inside: "undecided",
    hem: { kind: "turned", depth: "auto" },
  },
}));
