import { along, type Edge, type Join, type Panel, partOf, type EdgeRef } from "../../pattern";
import { line, pathBetween, pathEnd, pathLength, pathStart, type Point } from "../../geometry";
import { say, type Mm } from "../../units";
import { unsettled, withParts, type Garment, type Mark } from "../garment";
import { bagEdge, middleOf, placeAt, pocketFronts, shortGrain } from "./pocketBag";
import { statedLength, type ReadOf } from "../../params";
import type { Quantity } from "../../units";
import { defineFinish } from "../define";

const PARAMS = {
  from: statedLength("From the waist down to the opening.", {
    label: "Below the waist",
    usual: { mm: 50 },
    within: [15, 150],
  }),
  opening: statedLength("Length of the opening.", { label: "Opening", usual: { mm: 150 }, within: [60, 260] }),
  width: statedLength("Width of the bag.", { label: "Width of the bag", usual: { mm: 160 }, within: [80, 260] }),
  below: statedLength("Depth of the bag below the opening.", {
    label: "Bag below the opening",
    usual: { mm: 100 },
    within: [20, 200],
  }),
};

type Asked = ReadOf<typeof PARAMS, Quantity>;

/** An end of the opening, marked on an edge. */
const endMark = ({ panel, edge }: Pick<EdgeRef, "panel" | "edge">, at: Mm): Mark => ({
  panel,
  edge,
  along: at,
  kind: "single",
  pairs: "pocket-bag",
});

const BAG_SEAM: Join = {
  id: "pocket-bag",
  label: "Pocket bag",
  kind: "cut",
  by: "in-seam",
  how: "equal",
  leg: "both",
  a: [along("pocket-bag", "bag")],
  b: [along("pocket-bag", "bag")],
};

/** In-seam pockets: two bag pieces a side, drawn on the front's own side seam and caught in the waist. */
function inSeam(garment: Garment, pocket: Asked): Garment {
  const fronts = pocketFronts(garment);
  const [front] = fronts;
  if (!front) return unsettled(garment, say`No front has a whole corner of waist and side for in-seam pockets.`);
  // A casing cut on is folded down: the bag is caught where the channel ends.
  const { waist, side, inward, top } = front;
  const end = top + pocket.from.mm + pocket.opening.mm;
  // Below the opening the bag is caught a little, and rounds off below that.
  const caught = Math.min(25, 0.55 * pocket.below.mm);
  const bagSide = pathBetween(side.path, top, end + caught);
  if (end + caught > pathLength(side.path) * 0.8)
    return unsettled(garment, say`The side seam is too short for the pocket.`);
  const width = Math.min(pocket.width.mm, pathLength(waist.path) - 4);
  const from = pathEnd(bagSide);
  const to: Point = [pathStart(bagSide)[0] + inward * width, pathStart(bagSide)[1]];
  const opening = placeAt(side, end);
  const bottom = opening[1] + pocket.below.mm;
  const edges: readonly Edge[] = [
    {
      id: "waist",
      role: "waist",
      name: "caught in the waist",
      becomes: "caught",
      under: { panel: front.panel.id, edge: waist.id },
      path: [line(to, pathStart(bagSide))],
    },
    {
      id: "side",
      role: "side",
      name: "caught in the side seam",
      becomes: "caught",
      under: { panel: front.panel.id, edge: side.id },
      path: bagSide,
    },
    {
      id: "bag",
      role: "style",
      name: "bag",
      path: bagEdge(from, to, opening, inward, Math.max(width, pocket.width.mm), bottom),
    },
  ];
  const bag: Panel = {
    id: "pocket-bag",
    name: "Pocket bag",
    is: partOf("pocket-bag", { madeFor: front.panel.id }),
    half: "both",
    cutting: {
      material: "pocketing",
      pieces: { count: 4, onFold: false, pairs: true },
      sewn: { style: "pocket" },
    },
    edges,
    landmarks: { openingTop: placeAt(side, top + pocket.from.mm), openingEnd: opening },
    lines: [shortGrain(middleOf(to, from, [opening[0] + inward * width * 0.5, bottom]), 0.4 * (bottom - to[1]))],
  };
  const opens = [pocket.from.mm, pocket.from.mm + pocket.opening.mm] as const;
  const onSides = garment.joins.filter((j) => j.kind === "side").flatMap((j) => [j.a[0], j.b[0]]);
  const marks = [
    ...onSides.flatMap((ref) => (ref ? opens.map((at) => endMark(ref, top + at)) : [])),
    ...opens.map((at) => endMark({ panel: "pocket-bag", edge: "side" }, at)),
  ];
  return withParts(garment, { panels: [bag], joins: [BAG_SEAM], marks });
}

export const inSeamPocket = defineFinish({
  room: "pocket",
  kind: "in-seam",
  words: "in-seam",
  about: "Opens in the side seam; the bag is caught in the waist.",
  params: PARAMS,
  facts: { opensIn: "side" },
  make: inSeam,
});
