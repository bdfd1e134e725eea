import { statedLength } from "../../params";
import { defineFinish } from "../define";
import { elasticNotions } from "../elastic";
import { CHANNEL, FIT } from "./shared";
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
    fit: FIT,
    ...CHANNEL,
  },
  facts: {
    told: "Finish with a frilled ring,",
    depth: ({ frill, channel }) => frill.mm + channel.mm,
  },
  make(garment, asked, context) {
    const { frill, fit } = asked;
    const depth = frill.mm + asked.channel.mm;
    return withStrip(
      garment,
      {
        id: "waistband",
        name: "Frilled band",
        part: "waistband",
        depth,
        overlap: 0,
        fit,
        ...(frill.mm > 0 && { lines: [depth - frill.mm, depth + frill.mm] }),
        notions: elasticNotions(asked, context),
      },
      context,
    );
  },
});
