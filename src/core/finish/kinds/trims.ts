import { along, refsLength, type Join, type Panel, type Material } from "../../pattern";
import { number, statedLength } from "../../params";
import { say } from "../../units";
import { defineFinish } from "../define";
import { foldedStrip, unsettled, withParts } from "../garment";
import { CONTRAST } from "./shared";

/** A panel cut once more, from lining. */
const lining = (panel: Panel): { material: Material; count: number } => ({
  material: "lining",
  count: panel.cutting.pieces?.count ?? 2,
});

export const flounceLining = defineFinish({
  room: "trim",
  kind: "flounce-lining",
  words: "lined flounce",
  about: "The flounce is lined, so that it stands.",
  params: {},
  facts: {},
  make(garment) {
    if (!garment.panels.some((p) => p.worn?.ring)) return unsettled(garment, say`There is no flounce to line.`);
    return {
      ...garment,
      panels: garment.panels.map((p) =>
        p.worn?.ring ? { ...p, cutting: { ...p.cutting, also: [...(p.cutting.also ?? []), lining(p)] } } : p,
      ),
    };
  },
});

export const pleatedStrip = defineFinish({
  room: "trim",
  kind: "pleated-strip",
  words: "pleated strip in the sides",
  about: "A folded strip, pleated into each side seam.",
  params: {
    width: statedLength("Finished width of the strip.", {
      label: "Finished width",
      usual: { mm: 32 },
      within: [10, 120],
    }),
    fullness: number("Length of the strip against the seam's.", {
      label: "Times the seam",
      least: 1,
      most: 4,
      step: 0.25,
      usual: 2,
    }),
    contrast: CONTRAST,
  },
  facts: {},
  make(garment, trim) {
    const side = garment.joins.find((j) => j.kind === "side");
    if (!side) return unsettled(garment, say`There is no side seam to set a pleated strip into.`);
    const sewn = refsLength(garment.panels, side.a);
    const strip = foldedStrip(
      { id: "trim", name: "Pleated strip", part: "trim" },
      [{ id: "sewn", name: "pleated edge", length: sewn * trim.fullness, role: "style" }],
      trim.width.mm,
    );
    const panel: Panel = {
      ...strip,
      cutting: { material: trim.contrast ? "contrast" : "shell", sewn: { all: "side" } },
    };
    const join: Join = {
      id: "trim",
      label: "Pleated strip in the side seam",
      kind: "cut",
      by: "pleated-strip",
      how: "pleated",
      leg: side.leg,
      a: side.a,
      b: [along("trim", "sewn")],
    };
    return withParts(garment, { panels: [panel], joins: [join] });
  },
});
