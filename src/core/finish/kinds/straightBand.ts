import { choice, statedLength } from "../../params";
import { defineFinish } from "../define";
import type { Mm } from "../../units";
import { CONTRAST, FIT, INTERFACED } from "./shared";
import { withStrip } from "./waistStrip";

/** The outer edge of a band that is turned outside is turned in by this. */
const TURNED_IN: Mm = 10;

export const straightBand = defineFinish({
  room: "waist",
  kind: "straight-band",
  words: "straight band",
  about: "A folded strip sewn to the waist, with an underlap at the opening.",
  params: {
    depth: statedLength("Finished depth of the band.", {
      label: "Depth",
      usual: { mm: 40 },
      within: [15, 150],
      tried: [20, 90],
    }),
    sits: choice(
      "above: it stands over the waist line; on: its depth is taken off the panels; outside: turned over them.",
      {
        label: "It sits",
        options: [
          ["above", "above the waist"],
          ["on", "on the waist"],
          ["outside", "turned outside"],
        ],
      },
    ),
    overlap: statedLength("Underlap of the band beyond the opening.", {
      label: "Underlap",
      usual: { mm: 30 },
      within: [0, 100],
    }),
    fit: FIT,
    contrast: CONTRAST,
    interfaced: INTERFACED,
  },
  facts: {
    told: "Finish with a straight band,",
    depth: ({ depth }) => depth.mm,
    raises: ({ sits, depth }) => (sits === "on" ? -depth.mm : 0),
  },
  make: (garment, { depth, overlap, fit, contrast, sits, interfaced }, context) =>
    withStrip(
      garment,
      {
        id: "waistband",
        name: "Waistband",
        part: "waistband",
        stiffened: interfaced && sits !== "outside",
        contrast,
        // Sewn on from the inside, turned over the panels and stitched down: one layer, its outer edge turned in.
        ...(sits === "outside" && { turnedOutside: TURNED_IN }),
        depth: depth.mm,
        overlap: overlap.mm,
        fit,
      },
      context,
    ),
});
