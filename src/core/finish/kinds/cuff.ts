import { along, hemWalk, refsLength, type Join, type Panel } from "../../pattern";
import type { BodyMeasures } from "../../body";
import { flag, length, statedLength } from "../../params";
import { quantity, type Mm, type Quantity, say } from "../../units";
import { defineFinish } from "../define";
import { ELASTIC_JOIN, STRETCHES } from "../elastic";
import { foldedStrip, inOneSeam, ringJoin, unsettled, withParts, type Garment, type Notion } from "../garment";

/** Left `auto`, a cuff holds the ankle at 0.92 of its girth, but is never so narrow that the heel does not pass it stretched. */
export function cuffGirth(asked: Quantity | "auto", { ankle, heel }: BodyMeasures): Mm {
  return asked === "auto" ? Math.max(0.92 * ankle.mm, (heel.mm + 5) / STRETCHES) : asked.mm;
}

/** An ankle cuff: one strip a leg, folded once, `girth` round and `depth` deep when finished, the leg's hem gathered in. */
function withCuff(garment: Garment, girth: Mm, depth: Mm, elastic: boolean): Garment {
  const walk = hemWalk(garment, "right");
  if (walk.length === 0) return unsettled(garment, say`There is no hem left to gather into a cuff.`);
  const strip = foldedStrip(
    { id: "cuff", name: "Cuff", part: "cuff" },
    [{ id: "sewn", name: "sewn edge", length: elastic ? refsLength(garment.panels, walk) : girth, role: "style" }],
    depth,
  );
  const panel: Panel = { ...inOneSeam(strip), cutting: { material: elastic ? "shell" : "rib", sewn: { all: "band" } } };
  const join: Join = {
    id: "cuff",
    label: "Cuff",
    kind: "cut",
    by: "cuff",
    how: elastic ? "equal" : "gathered",
    leg: "both",
    a: walk,
    b: [along("cuff", "sewn")],
  };
  const notions: readonly Notion[] = elastic
    ? [
        {
          id: "elastic-cuff",
          drawnIn: true,
          label: say`Elastic, cuffs`,
          count: 2,
          length: quantity(girth + ELASTIC_JOIN, say`cuff ${girth} + ${ELASTIC_JOIN} to join it`),
          note: say`Quarter cuff and hem; cut from cloth the cuff is as wide as the hem, and the elastic holds it.`,
          caution: say`Elastic that is too tight marks the skin: try it round the ankle before it is joined.`,
        },
      ]
    : [];
  return withParts(garment, { panels: [panel], joins: [ringJoin(panel, "cuff"), join], notions });
}

export const cuff = defineFinish({
  room: "hem",
  kind: "cuff",
  words: "into a cuff",
  about: "The hem is gathered into a cuff, whose depth comes off the length.",
  params: {
    depth: statedLength("Finished depth of the cuff.", {
      label: "Depth of the cuff",
      usual: { mm: 60 },
      within: [15, 150],
      tried: [25, 90],
    }),
    girth: length("Finished girth, relaxed; auto holds the ankle and lets the heel pass.", {
      label: "Girth, relaxed",
      auto: "by ankle and heel",
      within: [100, 700],
    }),
    elastic: flag("Elastic runs in the cuff, where it is cut from cloth that does not stretch.", {
      label: "With elastic",
      yes: "with elastic",
      no: "without elastic",
      usual: false,
    }),
  },
  facts: { hangs: ({ depth }) => depth },
  make: (garment, { depth, girth, elastic }, { measures, cuffDepth }) =>
    withCuff(garment, cuffGirth(girth, measures), cuffDepth ?? depth.mm, elastic),
});
