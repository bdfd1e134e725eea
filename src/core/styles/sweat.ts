import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { quantity, say, autoLengthSchema } from "../units";
import { defineStyle } from "./style";
import { CASED } from "./sums";

export const sweat = defineStyle((on) => ({
  id: "sweat",
  label: "Sweat",
  note: "Loose trousers grown from the block: out at the hip and squared down, the crotch lower, casings cut on at waist and hem.",
  school: "proportional",
  rules: { waist: { shaping: "hipWide" } },
  params: z.strictObject({
    side: autoLengthSchema.optional().describe("Out at the side on the hip line, per panel."),
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg; left out, the inseam gains a third."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "widen-leg", on: true, params: {} },
    { id: "m2", move: "drop-crotch", on: true, params: {} },
    { id: "m3", move: "set-length", on: true, params: {} },
    { id: "m4", move: "casing", on: true, params: {} },
    { id: "m5", move: "casing", on: true, params: { at: "hem", sits: "on" } },
  ],
  defaults: { length: "ankle" },
  autos: {
    "widen-leg.side": () => quantity(on.mm(25), say`the style's own: ${on.mm(25)} a panel`),
    "drop-crotch.by": () => quantity(on.mm(15), say`the style's own: ${on.mm(15)} lower`),
  },
  finish: { ...CASED, pockets: [{ kind: "in-seam" }] },
}));
