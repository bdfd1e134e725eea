import { choice, statedLength } from "../../params";
import { defineFinish } from "../define";
import { elasticNotions } from "../elastic";
import { CHANNEL, FIT, RING_SEAM, ROWS, rowsOf } from "./shared";
import { withStrip } from "./waistStrip";

export const ringBand = defineFinish({
  room: "waist",
  kind: "ring-band",
  words: "frilled ring",
  about: "A ring folded from one strip: a frill that stands above a channel.",
  note: "One strip, twice as deep as frill and channel together, closed into a ring.",
  params: {
    frill: statedLength("How far the frill stands above the channel.", {
      label: "Frill",
      usual: { mm: 45 },
      within: [0, 120],
      tried: [0, 70],
    }),
    channel: statedLength("Depth of the channel.", {
      label: "Channel",
      usual: { mm: 35 },
      within: [15, 100],
      tried: [15, 60],
    }),
    sits: choice(
      "above: the channel stands over the waist line; on: it is taken off the panels. The frill stands above.",
      {
        label: "Its channel sits",
        options: [
          ["above", "above the waist"],
          ["on", "on the waist"],
        ],
      },
    ),
    ringSeam: RING_SEAM,
    rows: ROWS,
    fit: FIT,
    ...CHANNEL,
  },
  facts: {
    told: "Finish with a frilled ring,",
    depth: ({ frill, channel }) => frill.mm + channel.mm,
    raises: ({ sits, channel }) => (sits === "on" ? -channel.mm : 0),
  },
  make(garment, asked, context) {
    const { frill, channel, fit, ringSeam, rows, drawstring, eyelets } = asked;
    const depth = frill.mm + channel.mm;
    return withStrip(
      garment,
      {
        id: "waistband",
        name: "Frilled band",
        part: "waistband",
        depth,
        overlap: 0,
        fit,
        ringSeam,
        lines: [...(frill.mm > 0 ? [depth - frill.mm, depth + frill.mm] : []), ...rowsOf(rows, channel.mm, depth)],
        ...(drawstring && eyelets && { eyelets: channel.mm / 2 }),
        notions: elasticNotions(asked, channel.mm, context),
      },
      context,
    );
  },
});
