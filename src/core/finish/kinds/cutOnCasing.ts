import { say } from "../../units";
import { defineFinish } from "../define";
import { elasticNotions } from "../elastic";
import { unsettled, withParts } from "../garment";
import { CHANNEL } from "./shared";

export const cutOnCasing = defineFinish({
  room: "waist",
  kind: "cut-on-casing",
  words: "casing cut on",
  about: "The waist is finished by the casing cut on to the panels.",
  params: CHANNEL,
  facts: { told: "Its waist is the casing", isCutOn: true },
  make(garment, asked, context) {
    const drawn = withParts(garment, { notions: elasticNotions(asked, context) });
    return garment.panels.some((p) => p.worn?.casings?.waist)
      ? drawn
      : unsettled(
          drawn,
          say`The waist has no casing cut on to it yet: add the move that cuts one on, or choose a band.`,
        );
  },
});
