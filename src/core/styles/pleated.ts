import { garmentLengthSchema, levelSchema } from "../params";
import { autoLengthSchema } from "../units";
import { z } from "zod";
import { defineStyle } from "./style";
import { ankleAnd, BAND_AND_ZIP, bentKnee, tapered } from "./sums";

export const pleated = defineStyle((on) => ({
  id: "pleated",
  label: "Pleated",
  note: "Two pleats in each front that run out at the knee, and a leg that narrows to the ankle.",
  school: "proportional",
  rules: { ease: { front: on.length(10), back: on.length(10) } },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    depth: autoLengthSchema.optional().describe("Depth of one pleat."),
    count: z.int().min(1).max(4).optional().describe("Pleats in each front."),
    run: z
      .union([z.literal("parallel"), levelSchema])
      .optional()
      .describe("Where the pleats run out."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
    { id: "m3", move: "pleats", on: true, params: {} },
  ],
  // The depth is a pleat's, of no other line.
  feeds: { "shape-leg.hem": "hemGirth", "flounce.depth": "none", "casing.depth": "none" },
  defaults: { count: 2, depth: on.length(30), run: "knee" },
  autos: tapered(bentKnee(on.mm(90)), ankleAnd(on.mm(150))),
  finish: { ...BAND_AND_ZIP, fastening: { kind: "fly", length: "auto" }, pockets: [{ kind: "slant" }] },
}));
