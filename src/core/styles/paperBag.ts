import { z } from "zod";
import { garmentLengthSchema } from "../moves";
import { quantity, say, autoLengthSchema } from "../units";
import type { Style } from "./style";
import { ankleAnd, bentKnee, CASED } from "./sums";

export const paperBag: Style = {
  id: "paper-bag",
  label: "Paper-bag",
  note: "Hip-wide, drawn up by elastic under a frill, and tapered to the ankle.",
  school: "proportional",
  rules: { waist: { shaping: "hipWide" }, ease: { front: "15 mm", back: "15 mm" } },
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
    "shape-leg.knee": bentKnee(100),
    "shape-leg.hem": ankleAnd(140),
    "casing.frill": () => quantity(45, say`the style's own: ${45}`),
    "casing.depth": () => quantity(35, say`the style's own: ${35}`),
  },
  finish: { ...CASED, pockets: [{ kind: "patch" }], belt: { width: "40 mm" } },
};
