import {
  centreOnFold,
  cutTop,
  edgesWithRole,
  isCutTo,
  isOf,
  isMain,
  rimOf,
  type Edge,
  type Panel,
  type TopCut,
} from "../../pattern";
import { say, Refusal, type Quantity } from "../../units";
import { unsettled, type Garment } from "../garment";
import { choice, statedLength } from "../../params";
import { defineFinish, type OpensAt } from "../define";
import { CONTRAST, INTERFACED, interfacing } from "./shared";

const ID = "contour-band";

type LegRoot = "front" | "back";

/**
 * A contour band: the top of front and back cut off, its darts closed, cut twice so that it faces itself. What is left
 * of the darts stays below, sewn in the panels. Its front lies on the fold where nothing opens there.
 */
function cutFrom(
  garment: Garment,
  {
    depth,
    contrast,
    interfaced,
  }: { readonly depth: Quantity; readonly contrast: boolean; readonly interfaced: boolean },
  opens: OpensAt,
): Garment {
  const legs = (["front", "back"] as const).flatMap((root) => {
    const whole = garment.panels.find((p) => isOf(p, root) && isMain(p) && edgesWithRole(p, "waist").length > 0);
    return whole ? [{ root, whole }] : [];
  });
  if (legs.length < 2) {
    return unsettled(
      garment,
      say`The waist is cut into parts, so a contour band cannot be cut from it. Choose a straight band.`,
    );
  }
  let cut = garment;
  try {
    for (const { root, whole } of legs) {
      const names = namesOf(whole, root);
      const banded = cutTop(cut, whole, names, depth, depth.mm, true, "centre");
      cut = root === "front" && opens !== "centre-front" ? centreOnFold(banded, names.upper.id) : banded;
    }
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return unsettled(garment, say`No contour band can be cut here: ${error.says}`);
  }
  return { ...cut, panels: cut.panels.map((panel) => asPart(panel, legs, contrast, interfaced)) };
}

/** What the band is called that is cut off a leg, and what is left of the leg. */
const namesOf = ({ id, name }: Panel, root: LegRoot): TopCut => ({
  by: ID,
  upper: { id: `band-${root}`, name: say`Band, ${root}` },
  lower: { id: `${id}-main`, name },
  seam: { id: `band-${root}`, label: say`Band, ${root}`, kind: "waist", edge: "band seam", sewnAs: "waist" },
});

/** The band as a part of its own, faced with itself and stiffened; the leg under it as what is left of the style's. */
function asPart(
  panel: Panel,
  legs: readonly { readonly root: LegRoot; readonly whole: Panel }[],
  contrast: boolean,
  interfaced: boolean,
): Panel {
  const leg = legs.find(({ whole }) => panel.is.cuts.some((cut) => cut.by === ID && cut.from === whole.id));
  if (!leg) return panel;
  if (isCutTo(panel, ID, "below")) return { ...panel, is: { ...panel.is, leftOf: leg.whole.id } };
  const count = panel.cutting.pieces?.count ?? 2;
  const material = contrast ? "contrast" : panel.cutting.material;
  return {
    ...panel,
    edges: panel.edges.map((e): Edge => {
      if (rimOf(e) === "waist") return { ...e, name: "upper edge", becomes: "faced" };
      return e.role === "crotch" ? { ...e, name: say`centre ${leg.root}` } : e;
    }),
    is: { ...panel.is, component: "part", part: "contour-band", madeFor: leg.whole.id },
    cutting: {
      ...panel.cutting,
      material,
      also: [{ material, count }, ...interfacing(interfaced, count)],
    },
  };
}

export const contourBand = defineFinish({
  room: "waist",
  kind: "contour-band",
  words: "contour band",
  about: "Cut from the top of the panels, its darts closed, faced with itself.",
  note: "The top of the panels, its darts closed; cut twice, it faces itself.",
  params: {
    depth: statedLength("Finished depth of the band.", {
      label: "Depth",
      usual: { mm: 50 },
      within: [30, 120],
      tried: [30, 90],
    }),
    sits: choice("cut: taken from the panels as they are; above: the panels are drawn that much higher first.", {
      label: "It is",
      options: [
        ["cut", "cut from the panels"],
        ["above", "drawn on above"],
      ],
    }),
    contrast: CONTRAST,
    interfaced: INTERFACED,
  },
  facts: {
    told: "Cut a contour band,",
    depth: ({ depth }) => depth.mm,
    raises: ({ sits, depth }) => (sits === "above" ? depth.mm : 0),
  },
  make: (garment, asked, { opens }) => cutFrom(garment, asked, opens),
});
