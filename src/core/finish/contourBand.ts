import { say, Refusal } from "../units";
import { panelById, type Join, type Panel } from "../drafting";
import { cutTop } from "../moves";
import { renamedPanels, unsettled, type Garment } from "./garment";
import type { OpensAt } from "./resolve";
import type { ResolvedWaist } from "./resolved";

/**
 * A contour band: the top of front and back cut off, its darts closed, cut twice so that it faces itself. What is left
 * of the darts stays below, sewn in the panels. Its front lies on the fold where nothing opens there.
 */
export function contourBand(
  garment: Garment,
  { depth, contrast }: Extract<ResolvedWaist, { kind: "contour-band" }>,
  opens: OpensAt,
): Garment {
  const legs = (["front", "back"] as const).map((root) =>
    garment.panels.find((p) => p.id === root && p.half === "both" && p.edges.some((e) => e.role === "waist")),
  );
  if (legs.some((leg) => !leg)) {
    return unsettled(
      garment,
      say`The waist is cut into parts, so a contour band cannot be cut from it. Choose a straight band.`,
    );
  }
  let cut = garment;
  try {
    for (const leg of legs as Panel[])
      cut = cutTop(cut, leg, depth, opens !== `centre-${leg.id}` && leg.id === "front");
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return unsettled(garment, say`No contour band can be cut here: ${error.says}`);
  }
  const names = new Map(
    (legs as Panel[]).flatMap(({ id }): [string, string][] => [
      [`${id}-yoke`, `band-${id}`],
      [`${id}-lower`, `${id}-main`],
    ]),
  );
  const named = renamedPanels(cut, names);
  const part = (panel: Panel): Panel => {
    const [, root] = /^band-(front|back)$/.exec(panel.id) ?? [];
    if (root) {
      const count = panel.cut?.count ?? 2;
      const material = contrast ? "contrast" : panel.material;
      return {
        ...panel,
        name: `Band, ${root}`,
        material,
        alsoCut: [
          { material, count },
          { material: "interfacing", count },
        ],
      };
    }
    return names.has(panel.id.replace(/-main$/, "-lower")) ? { ...panel, of: panel.id.replace(/-main$/, "") } : panel;
  };
  const join = (j: Join): Join => {
    const [, root] = /^(front|back)-yoke$/.exec(j.id) ?? [];
    return root ? { ...j, id: `band-${root}`, label: `Band, ${root}`, kind: "waist" } : j;
  };
  const panels = named.panels.map(part);
  // Throws where a part has gone missing: a band that is not there must never pass silently.
  for (const id of names.values()) panelById(panels, id);
  return { ...named, panels, joins: named.joins.map(join) };
}
