import { choice, statedLength, usualOn } from "../../params";
import { defineFinish } from "../define";
import type { BodyMeasures } from "../../body";
import { quantity, say, type Mm, type Tape } from "../../units";
import { CONTRAST, FIT, INTERFACED } from "./shared";
import { withStrip } from "./waistStrip";

/** The outer edge of a band that is turned outside is turned in by this. */
const TURNED_IN: Mm = 10;

const USUAL: Mm = 40;
/** No band is made narrower than this by itself. */
const NARROWEST: Mm = 20;

/** How much the body widens over the depth of a band, with its hip so much lower than measured. */
export const widensOver = ({ hip, waist, waistToHip }: BodyMeasures, depth: Mm, lower: Mm = 0): Mm =>
  ((hip.mm - waist.mm) * depth) / Math.max(100, waistToHip.mm + lower);

/** More than this over the depth of a straight band cannot be pressed into it: it gapes. */
export const MOST_GAPE: Mm = 60;

/** Half centimetres or quarter inches. */
const DIVISION: Readonly<Record<Tape, Mm>> = { cm: 5, in: 6.35 };

/** The deepest band that lies on a body whose waist is so much smaller than its hip; null where the usual one does. */
function narrowerThanUsual(measures: BodyMeasures, tape: Tape): Mm | null {
  if (widensOver(measures, usualOn(USUAL, tape)) <= MOST_GAPE) return null;
  const deepest = MOST_GAPE / widensOver(measures, 1);
  return Math.max(NARROWEST, Math.floor(deepest / DIVISION[tape]) * DIVISION[tape]);
}

export const straightBand = defineFinish({
  room: "waist",
  kind: "straight-band",
  words: "straight band",
  about: "A folded strip sewn to the waist, with an underlap at the opening.",
  params: {
    depth: statedLength("Finished depth of the band.", {
      label: "Depth",
      usual: { mm: USUAL },
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
  usualFor: (measures, tape, { sits }) => {
    // Turned over the panels it is stitched down, and cannot gape.
    const depth = sits === "outside" ? null : narrowerThanUsual(measures, tape);
    return depth === null ? {} : { depth: quantity(depth, say`${depth}, so that it does not gape`) };
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
