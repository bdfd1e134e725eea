import { say } from "../../units";
import { defineFinish } from "../define";
import { isOf } from "../../pattern";
import { pointAdd } from "../../geometry";
import { elasticNotions, EYELET } from "../elastic";
import { unsettled, withParts, type Garment } from "../garment";
import { CHANNEL } from "./shared";

/** Eyelets on the fronts of a casing that is cut on, in the middle of its channel. */
function withEyelets(garment: Garment, drawstring: boolean): Garment {
  if (!drawstring) return garment;
  return {
    ...garment,
    panels: garment.panels.map((panel) => {
      const cased = panel.worn?.casings?.waist;
      const centre = panel.landmarks.waistCentre;
      const side = panel.landmarks.waistSide;
      if (!cased || !centre || !side || !isOf(panel, "front")) return panel;
      const inward = Math.sign(side[0] - centre[0]);
      // On the outside of the channel, which stands above the waist line.
      const up = cased.added - cased.folded > 1 ? cased.channel / 2 : -cased.channel / 2;
      const place = pointAdd(centre, [inward * EYELET, -up]);
      return { ...panel, lines: [...panel.lines, { kind: "drill" as const, points: [place] }] };
    }),
  };
}

export const cutOnCasing = defineFinish({
  room: "waist",
  kind: "cut-on-casing",
  words: "casing cut on",
  about: "The waist is finished by the casing cut on to the panels.",
  params: CHANNEL,
  facts: { told: "Its waist is the casing", isCutOn: true },
  make(garment, asked, context) {
    const cased = garment.panels.find((p) => p.worn?.casings?.waist);
    const drawn = withParts(garment, {
      notions: elasticNotions(asked, cased?.worn?.casings?.waist?.channel ?? 0, context),
    });
    return cased
      ? withEyelets(drawn, asked.drawstring && asked.eyelets)
      : unsettled(
          drawn,
          say`The waist has no casing cut on to it yet: add the move that cuts one on, or choose a band.`,
        );
  },
});
