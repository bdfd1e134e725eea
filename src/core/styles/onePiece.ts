import { garmentLengthSchema } from "../params";
import { z } from "zod";
import { autoLengthSchema, quantity, say } from "../units";
import { defineStyle, type MoveEntry } from "./style";
import { flaredFromKnee } from "./sums";

const LEGS = ["wide", "culotte", "flare", "palazzo", "side-panel"] as const;

const straightLeg = { fall: "straight" } as const;

/** A bodice, a leg that falls as it is told, what widens it further, and the seam between them. */
const made = (
  leg: MoveEntry["params"],
  wider: readonly MoveEntry[],
  joined: MoveEntry["params"] = {},
  length: MoveEntry["params"] = {},
  front: readonly MoveEntry[] = [],
): readonly MoveEntry[] => [
  { id: "m1", move: "bodice", on: true, params: {} },
  { id: "m2", move: "bodice-edges", on: true, params: {} },
  { id: "m3", move: "shape-leg", on: true, params: leg },
  { id: "m4", move: "set-length", on: true, params: length },
  ...front,
  { id: "m5", move: "join-bodice", on: true, params: joined },
  ...wider,
];

export const onePiece = defineStyle((on) => ({
  id: "one-piece",
  label: "One-piece",
  note: "Wide trousers sewn to a fitted bodice, their waist pleated in, with a zip down the centre back.",
  school: "proportional",
  rules: {
    ease: { front: on.length(40), back: on.length(40) },
    crotchDepth: { add: on.length(30) },
    waist: { shaping: "hipWide" },
    leg: { fall: "down" },
  },
  params: z.strictObject({
    hemGirth: autoLengthSchema.optional().describe("Finished hem of one leg, when it should not fall straight."),
    length: garmentLengthSchema.optional().describe("Where the hem ends."),
    leg: z.enum(LEGS).optional().describe("What the trousers are: each its own list of moves."),
    hemSpread: autoLengthSchema.optional().describe("Sum of the openings of one panel at the hem, of a palazzo."),
    fullness: z.number().min(1).max(4).optional().describe("Length of a side panel's top to the seam it is set into."),
    how: z.enum(["pleat", "gather"]).optional().describe("How the trousers' waist is brought to the bodice's."),
    school: z.enum(["measured", "quarters", "own"]).optional().describe("How the bodice is drafted."),
  }),
  moves: made(straightLeg, []),
  recipes: {
    by: "leg",
    label: "Trousers",
    words: {
      wide: "wide, waist pleated in",
      culotte: "culotte, waist gathered in",
      flare: "flared, the front folded back",
      palazzo: "palazzo, slashed and spread",
      "side-panel": "with pleated side panels",
    },
    moves: {
      wide: made(straightLeg, []),
      culotte: made(straightLeg, [], { how: "gather" }, { length: "mid-calf" }),
      flare: made({}, [], {}, {}, [{ id: "m7", move: "fold-back", on: true, params: {} }]),
      palazzo: made(straightLeg, [{ id: "m6", move: "spread", on: true, params: {} }]),
      "side-panel": made(straightLeg, [{ id: "m6", move: "side-panel", on: true, params: {} }]),
    },
    autos: { flare: flaredFromKnee(on.mm(50), on.mm(40)) },
  },
  feeds: { "shape-leg.hem": "hemGirth" },
  defaults: { leg: "wide" },
  autos: {
    "spread.hemSpread": () => quantity(on.mm(160), say`the style's own: ${on.mm(160)} a panel in two equal gaps`),
    "bodice-edges.neckFront": () => quantity(on.mm(30), "for a bodice without a collar"),
    "bodice-edges.neckBack": () => quantity(on.mm(15), "for a bodice without a collar"),
    "bodice-edges.neckOut": () => quantity(on.mm(15), "for a bodice without a collar"),
    "bodice-edges.shoulderIn": () => quantity(on.mm(20), "for a bodice without sleeves"),
    "bodice-edges.underarmUp": () => quantity(on.mm(7), "for a bodice without sleeves"),
  },
  finish: {
    waist: { kind: "joined" },
    fastening: { kind: "zip-centre-back", length: "auto" },
    pockets: [{ kind: "in-seam" }],
    inside: "overlocked",
    hem: { kind: "turned", depth: "auto" },
    trims: [{ kind: "edge-facing", depth: on.length(30) }],
  },
}));
