import { panelOutline, type Panel } from "../pattern";
import { polygonSections, type Point } from "../geometry";
import type { LegPlan } from "../drafting";
import type { Mm } from "../units";

/** How wide a panel is from its crease to the side and to the inseam, at a level of the leg. */
export interface CreaseHalves {
  readonly panel: string;
  readonly level: "crotch" | "knee" | "hem";
  readonly side: Mm;
  readonly inseam: Mm;
}

/** x of the crease at a level, between its ends on the crotch line and at the hem. */
function creaseAt([fromX, fromY]: Point, [toX, toY]: Point, y: Mm): Mm {
  return toY - fromY < 1 ? toX : fromX + ((toX - fromX) * (y - fromY)) / (toY - fromY);
}

/** The halves of one panel on the crotch line, at the knee and at the hem; nothing for a panel without a whole crease. */
export function creaseHalvesOf(panel: Panel, { levels }: LegPlan): readonly CreaseHalves[] {
  const { creaseHem, creaseCrotch, crotchPoint, hemSide, hemInseam } = panel.landmarks;
  if (!creaseHem || !creaseCrotch || !crotchPoint || !hemSide || !hemInseam) return [];
  const outward = Math.sign(hemSide[0] - hemInseam[0]);
  const edgesAt = (y: Mm): readonly [side: Mm, inseam: Mm] | null => {
    const sections = polygonSections(panelOutline(panel), y);
    const [first, last] = [sections[0], sections.at(-1)];
    if (!first || !last) return null;
    return outward > 0 ? [last[1], first[0]] : [first[0], last[1]];
  };
  const half = (level: CreaseHalves["level"], y: Mm, side: Mm, inseam: Mm): CreaseHalves => {
    const crease = creaseAt(creaseCrotch, creaseHem, y);
    return { panel: panel.id, level, side: Math.abs(side - crease), inseam: Math.abs(inseam - crease) };
  };
  const [crotch, knee] = [edgesAt(levels.crotch), edgesAt(levels.knee)];
  const kneeIsThere = levels.knee < Math.min(hemSide[1], hemInseam[1]);
  return [
    ...(crotch ? [half("crotch", levels.crotch, crotch[0], crotchPoint[0])] : []),
    ...(knee && kneeIsThere ? [half("knee", levels.knee, knee[0], knee[1])] : []),
    half("hem", creaseHem[1], hemSide[0], hemInseam[0]),
  ];
}
