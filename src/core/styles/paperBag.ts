import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { ankleAnd, bentKnee, CASED, tapered } from "./sums";

export const paperBag = defineStyle((on) => ({
  id: "paper-bag",
  label: "Paper-bag",
  note: "Hip-wide, drawn up by elastic under a frill, and tapered to the ankle.",
  school: "proportional",
  rules: { waist: { shaping: "hipWide" }, ease: { front: on.length(15), back: on.length(15) } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    frill: autoLengthSchema.optional().describe("How far the frill stands above the channel."),
    depth: autoLengthSchema.optional().describe("Depth of the channel."),
    length: garmentLengthSchema.optional().describe("Where the hem ends; the ankle unless chosen."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "casing", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  defaults: { length: "ankle" },
  autos: {
    ...tapered(bentKnee(on.mm(100)), ankleAnd(on.mm(140))),
    "casing.frill": () => quantity(on.mm(45), say`the style's own: ${on.mm(45)}`),
    "casing.depth": () => quantity(on.mm(35), say`the style's own: ${on.mm(35)}`),
  },
  finish: { ...CASED, pockets: [{ kind: "patch" }], belt: { width: on.length(40) } },
}));
