import {
  along,
  isOf,
  pathIsStraight,
  rimEdges,
  rimOf,
  type Join,
  type Panel,
  centreFolded,
  topWithDartsClosed,
  findEdge,
  partOf,
} from "../../pattern";
import { type Mm, say } from "../../units";
import { unsettled, withParts, type Garment } from "../garment";
import { statedLength } from "../../params";
import { defineFinish, type OpensAt } from "../define";
import { INTERFACED, interfacing } from "./shared";

const ID = "facing";

/**
 * A shaped facing of the waist, `depth` deep, its darts closed: front and back, each as long along the waist as the
 * sewn waist it turns. The centre lies on the fold where nothing opens there. A waist that is cut into parts gets none,
 * and that is said.
 */
function faced(garment: Garment, depth: Mm, interfaced: boolean, opens: OpensAt): Garment {
  const made = (["back", "front"] as const).flatMap((root) => {
    const source = garment.panels.find(
      (p) => isOf(p, root) && p.half === "both" && topWithDartsClosed(p, depth) !== null,
    );
    const top = source && topWithDartsClosed(source, depth);
    if (!source || !top) return [];
    const id = `facing-${root}`;
    const own: Panel = {
      ...top,
      cutting: { material: top.cutting.material },
      id,
      name: say`Facing, ${root}`,
      is: partOf("facing", { root, madeFor: source.id }),
    };
    const centre = findEdge(own, "crotch");
    const folds = centre !== undefined && pathIsStraight(centre.path) && opens !== `centre-${root}`;
    const panel = folds ? centreFolded(own) : own;
    return [{ root, source, panel: alsoCut(panel, interfacing(interfaced, folds ? 1 : 2)) }];
  });
  const sewn = made.map(({ root, source, panel }): Join => ({
    id: `waist-facing-${root}`,
    label: say`Waist and its facing, ${root}`,
    kind: "waist",
    by: ID,
    how: "equal",
    leg: "both",
    a: [along(panel.id, "waist")],
    b: rimEdges(source, "waist").map((edge) => along(source.id, edge.id)),
  }));
  if (made.length < 2) {
    const yokes = garment.panels.filter((p) => rimEdges(p, "waist").length > 0);
    if (yokes.length > 0 && yokes.every((p) => p.is.cuts.at(-1)?.part === "above"))
      return facedWithThemselves(garment, yokes, interfaced);
    return unsettled(
      garment,
      say`The waist is cut into parts, pleated, or has a placket, so its facing has to be drawn on the sewn waist, or choose a band.`,
    );
  }
  return withParts(garment, { panels: made.map((m) => m.panel), joins: sewn });
}

/** The panel cut again from other cloth. */
const alsoCut = (panel: Panel, also: Panel["cutting"]["also"]): Panel => ({
  ...panel,
  cutting: { ...panel.cutting, also },
});

/** A yoke is its own facing: the same outline cut again. */
function facedWithThemselves(garment: Garment, yokes: readonly Panel[], interfaced: boolean): Garment {
  return {
    ...garment,
    panels: garment.panels.map((panel) => {
      if (!yokes.includes(panel)) return panel;
      const count = panel.cutting.pieces?.count ?? 2;
      const faced = panel.edges.map((e) => (rimOf(e) === "waist" ? { ...e, becomes: "faced" as const } : e));
      return alsoCut({ ...panel, edges: faced }, [
        { material: panel.cutting.material, count },
        ...interfacing(interfaced, count),
      ]);
    }),
  };
}

export const waistFacing = defineFinish({
  room: "waist",
  kind: "facing",
  words: "shaped facing",
  about: "No band: the waist is turned by a shaped facing, its darts closed.",
  params: {
    depth: statedLength("Depth of the facing.", {
      label: "Depth",
      usual: { mm: 50 },
      within: [15, 150],
      tried: [20, 90],
    }),
    interfaced: INTERFACED,
  },
  facts: { told: "Turn the waist with a shaped facing,", depth: ({ depth }) => depth.mm },
  make: (garment, { depth, interfaced }, { opens }) => faced(garment, depth.mm, interfaced, opens),
});
