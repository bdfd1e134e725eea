import { type AlsoCut, type Panel } from "../pattern";
import type { Garment } from "./garment";
import type { ResolvedFinish } from "./resolved";

/** The lining of one panel, cut by the same outline. */
function lined(panel: Panel, how: "lined" | "bagged"): Panel {
  const count = panel.cutting.pieces?.count ?? (panel.half === "both" ? 2 : 1);
  // Where the leg ends in a flounce or a cuff there is no hem to speak of.
  const hasHem = panel.edges.some((e) => e.role === "hem");
  const note = !hasHem
    ? "as long as the leg"
    : how === "bagged"
      ? "sewn to the hem"
      : "25 mm shorter at the hem, laid in";
  const lining: AlsoCut = { material: "lining", count, note };
  return { ...panel, cutting: { ...panel.cutting, also: [...(panel.cutting.also ?? []), lining] } };
}

/** The garment with a lining for its legs, where they are lined: laid in, or bagged out with the hem. */
export function withLining(garment: Garment, { inside }: ResolvedFinish, isLeg: (panel: Panel) => boolean): Garment {
  if (inside !== "lined" && inside !== "bagged") return garment;
  return {
    ...garment,
    panels: garment.panels.map((p) => (isLeg(p) && p.is.component === "legs" && !p.worn?.ring ? lined(p, inside) : p)),
  };
}
