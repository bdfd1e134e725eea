import { type Panel } from "../pattern";
import { drawSettledLegs } from "../drafting";
import type { StyleState } from "../moves";
import { remembered } from "../remember";

/** Redrawn legs stay as they were while what is cut from them is pulled and set. */
export const legsOf = remembered(drawSettledLegs);

/** The pattern with its legs drawn anew; what belongs to no leg stays. */
export const withLegs = (
  { panels }: StyleState,
  legs: { readonly front: Panel; readonly back: Panel },
): readonly Panel[] => [legs.front, legs.back, ...panels.filter((p) => p.is.component !== "legs")];
