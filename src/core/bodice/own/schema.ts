import { z } from "zod";
import { placesSchema, tracedPanelSchema, type OutlineKind } from "../../tracing";
import { lengthInputSchema } from "../../units";

/** Places at the corners of half a bodice, that say what its lines are. */
export const BODICE_PLACES = ["neckCentre", "neckEnd", "shoulderEnd", "underarm", "waistSide", "waistCentre"] as const;
export type BodicePlace = (typeof BODICE_PLACES)[number];

/** The front has the bust point besides, which need not lie on a line. */
export const BODICE_FRONT_PLACES = [...BODICE_PLACES, "bustPoint"] as const;
export type BodiceFrontPlace = (typeof BODICE_FRONT_PLACES)[number];

export const BODICE_EDGES = ["neck", "shoulder", "armhole", "side", "waist", "centre"] as const;
export type BodiceEdgeId = (typeof BODICE_EDGES)[number];

/** The outline of half a bodice, from the neck at the centre over the shoulder and down the side. */
export const BODICE_OUTLINE: OutlineKind<BodiceEdgeId, BodiceFrontPlace> = {
  corners: BODICE_EDGES.map(
    (edge, i) => [edge, BODICE_PLACES[i] as BodicePlace, BODICE_PLACES[(i + 1) % 6] as BodicePlace] as const,
  ),
  onEdges: [],
  words: {
    neckCentre: "neck at the centre",
    neckEnd: "neck end of the shoulder",
    shoulderEnd: "arm end of the shoulder",
    underarm: "underarm",
    waistSide: "waist at the side",
    waistCentre: "waist at the centre",
    bustPoint: "bust point",
  },
  walk: "Walk from the neck at the centre over the shoulder, round the armhole, down the side, and back along the waist.",
};

/**
 * A bodice that already fits, brought in: half its front and half its back with the places that say what is what. It
 * does not change with the card. `allowance` is what the outline still holds: one width at every edge but the centre
 * front, which lies on the fold, or edge by edge.
 */
export const ownBodiceSchema = z.strictObject({
  name: z.string().max(120).optional(),
  panels: z.strictObject({ front: tracedPanelSchema, back: tracedPanelSchema }),
  landmarks: z.strictObject({ front: placesSchema(BODICE_FRONT_PLACES), back: placesSchema(BODICE_PLACES) }),
  allowance: z
    .union([
      lengthInputSchema,
      z.strictObject({
        neck: lengthInputSchema.optional(),
        shoulder: lengthInputSchema.optional(),
        armhole: lengthInputSchema.optional(),
        side: lengthInputSchema.optional(),
        waist: lengthInputSchema.optional(),
        centre: lengthInputSchema.optional(),
      }),
    ])
    .optional()
    .describe("What the outline holds beyond its seam lines."),
});
export type OwnBodice = z.infer<typeof ownBodiceSchema>;
