import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { autoLengthSchema, quantity, say } from "../units";
import { defineStyle } from "./style";

/** A bust quarter's ease, and how much of bust over waist is left as ease, so that the sides fall nearly straight. */
const BUST_EASE = 20;
const SHAPED_BY = 8;

export const cowlTop = defineStyle((on) => ({
  id: "cowl-top",
  label: "Cowl top",
  note: "A top without darts that goes on over the head, its front swung open to a neck that hangs in folds.",
  school: "proportional",
  rules: {},
  params: z.strictObject({
    opening: autoLengthSchema.optional().describe("How far the slashed chest line opens at the centre."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
    school: z.enum(["measured", "quarters", "own"]).optional().describe("How the bodice is drafted."),
  }),
  moves: [
    { id: "m1", move: "bodice", on: true, params: {} },
    { id: "m2", move: "bodice-edges", on: true, params: {} },
    { id: "m3", move: "cowl", on: true, params: {} },
    { id: "m4", move: "end-as-top", on: true, params: {} },
  ],
  defaults: { school: "quarters" },
  autos: {
    "bodice.bustEase": () => quantity(on.mm(BUST_EASE), "for a top that goes on over the head"),
    "bodice.waistEase": ({ bust, waist }) =>
      quantity(
        Math.max(0, (bust.mm - waist.mm) / 4 + on.mm(BUST_EASE) - SHAPED_BY),
        say`(bust ${bust.mm} - waist ${waist.mm}) / 4 + ${on.mm(BUST_EASE)} - ${SHAPED_BY}: the sides fall nearly straight`,
        { bust, waist },
      ),
    "bodice.frontDarts": () => quantity(0, "a cowl has no darts"),
    "bodice.backDarts": () => quantity(0, "a cowl has no darts"),
    "bodice-edges.neckBack": () => quantity(on.mm(20), "so that it passes over the head"),
    "bodice-edges.neckOut": () => quantity(on.mm(30), "so that it passes over the head"),
    "bodice-edges.underarmUp": () => quantity(on.mm(7), "for a bodice without sleeves"),
  },
  finish: {
    waist: { kind: "from-shoulders" },
    fastening: { kind: "none" },
    pockets: [],
    inside: "overlocked",
    hem: { kind: "turned", depth: "auto" },
    trims: [{ kind: "edge-facing", depth: on.length(30) }],
  },
}));
