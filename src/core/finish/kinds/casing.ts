import { choice, statedLength } from "../../params";
import { defineFinish } from "../define";
import { elasticNotions } from "../elastic";
import { CHANNEL, RING_SEAM, ROWS, rowsOf } from "./shared";
import { withStrip } from "./waistStrip";

export const casing = defineFinish({
  room: "waist",
  kind: "casing",
  words: "separate casing",
  about: "A separate folded strip that holds the elastic.",
  params: {
    depth: statedLength("Finished depth of the casing.", {
      label: "Depth",
      usual: { mm: 40 },
      within: [15, 120],
      tried: [20, 70],
    }),
    sits: choice("on: its depth is taken off the panels.", {
      label: "It sits",
      options: [
        ["above", "above the waist"],
        ["on", "on the waist"],
      ],
    }),
    ringSeam: RING_SEAM,
    rows: ROWS,
    ...CHANNEL,
  },
  facts: {
    told: "Finish with a separate casing,",
    depth: ({ depth }) => depth.mm,
    raises: ({ sits, depth }) => (sits === "on" ? -depth.mm : 0),
  },
  make: (garment, asked, context) =>
    withStrip(
      garment,
      {
        id: "waistband",
        name: "Casing",
        part: "waistband",
        depth: asked.depth.mm,
        overlap: 0,
        fit: "edge",
        ringSeam: asked.ringSeam,
        lines: rowsOf(asked.rows, asked.depth.mm, asked.depth.mm),
        ...(asked.drawstring && asked.eyelets && { eyelets: asked.depth.mm / 2 }),
        notions: elasticNotions(asked, asked.depth.mm, context),
      },
      context,
    ),
});
