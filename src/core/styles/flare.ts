import { z } from "zod";
import { autoLengthSchema, garmentLengthSchema, levelSchema } from "../moves";
import { plain, quantity } from "../units";
import type { Style } from "./style";

export const flare: Style = {
  id: "flare",
  label: "Flare",
  note: "Close to the knee, and out on all four edges from there to the hem.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg."),
    out: autoLengthSchema.optional().describe("How far each of the four edges flares from the start to the hem."),
    start: levelSchema.optional().describe("Where the flare starts."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
  }),
  moves: [
    { id: "m1", move: "shape-leg", on: true, params: {} },
    { id: "m2", move: "set-length", on: true, params: {} },
  ],
  feeds: { "shape-leg.hem": "hemGirth" },
  autos: {
    "shape-leg.knee": ({ kneeBent }) => {
      const ease = kneeBent.net ? 50 : 0;
      return quantity(kneeBent.mm + ease, `knee, bent, ${plain(kneeBent.mm)} + ${plain(ease)}`, { kneeBent });
    },
    "shape-leg.out": () => quantity(60, "the style's own: 60 on each edge"),
  },
  finish: {
    waist: { kind: "straight-band", depth: "40 mm", sits: "above", overlap: "30 mm" },
    fastening: { kind: "zip-centre-back", length: "auto" },
    hem: { kind: "turned", depth: "auto" },
  },
};
