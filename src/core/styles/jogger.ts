import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { CASED, easedKnee, tapered } from "./sums";

export const jogger = defineStyle((on) => ({
  id: "jogger",
  label: "Jogger",
  note: "Hip-wide on a drawn-up casing, narrowed to the ankle and gathered into a cuff.",
  school: "proportional",
  rules: { waist: { shaping: "hipWide" }, ease: { front: on.length(15), back: on.length(15) } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Hem of one leg before it is gathered into the cuff."),
    cuff: autoLengthSchema.optional().describe("Depth of the cuff, which comes off the length."),
    length: garmentLengthSchema.optional().describe("Where the cuff ends; the ankle unless chosen."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "casing", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth", "set-length.less": "cuff" },
  defaults: { length: "ankle" },
  autos: {
    // The foot has to pass the leg as well as the cuff.
    ...tapered(
      easedKnee(on.mm(80)),
      ({ ankle, heel }) =>
        quantity(
          Math.max(1.35 * ankle.mm, heel.mm + on.mm(10)),
          say`the larger of 1.35 x ankle ${ankle.mm} and heel ${heel.mm} + ${on.mm(10)}`,
          { ankle, heel },
        ),
      on.mm(60),
    ),
    "casing.depth": () => quantity(on.mm(40), say`the style's own: ${on.mm(40)}`),
  },
  finish: {
    ...CASED,
    waist: { kind: "cut-on-casing", elastic: "waist-less", drawstring: true },
    pockets: [{ kind: "slant" }],
    hem: { kind: "cuff", depth: on.length(60) },
  },
}));
