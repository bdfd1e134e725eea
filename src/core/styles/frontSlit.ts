import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { easedKnee, ofOneWidth } from "./sums";

export const frontSlit = defineStyle((on) => ({
  id: "front-slit",
  label: "Front slit",
  note: "Straight, hip-wide, with one front split down the crease and buttoned from waist to hem.",
  school: "proportional",
  rules: { waist: { shaping: "hipWide" } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished girth of one leg, at knee and hem."),
    width: autoLengthSchema.optional().describe("Added on each side of the slit."),
    spacing: autoLengthSchema.optional().describe("From button to button."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "split", on: true, params: { panel: "front", leg: "left" } },
    { id: "m4", move: "placket", on: true, params: {} },
  ],
  feeds: { "shape-leg.knee": "hemGirth", "shape-leg.hem": "hemGirth" },
  autos: ofOneWidth(easedKnee(on.mm(40))),
  finish: {
    waist: { kind: "casing", depth: on.length(50), elastic: "waist-less" },
    fastening: { kind: "none" },
    pockets: [],
    inside: "overlocked",
    hem: { kind: "turned", depth: "auto" },
  },
}));
