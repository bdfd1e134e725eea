import { type Panel } from "../../pattern";
import { length, number, statedLength, type ReadOf } from "../../params";
import { quantity, type Quantity, say, type Words, count } from "../../units";
import { defineFinish } from "../define";
import { foldedStrip, withParts, type FinishContext, type Garment, type Notion } from "../garment";

const PARAMS = {
  width: statedLength("Finished width of the belt.", { label: "Width", usual: { mm: 40 }, within: [15, 120] }),
  length: length("Length of the belt; the waist and 30 cm unless chosen.", { label: "Length", within: [400, 2500] }),
  loops: number("How many loops hold it.", { label: "Loops", least: 0, most: 12, step: 1, usual: 5, whole: true }),
  loopWidth: statedLength("Finished width of a loop.", {
    label: "Width of a loop",
    usual: { mm: 12 },
    within: [8, 200],
  }),
};

/** A belt folded from one strip, and the strip its loops are cut from. */
function withBelt(garment: Garment, belt: ReadOf<typeof PARAMS, Quantity>, { measures }: FinishContext): Garment {
  const length =
    belt.length === "auto"
      ? quantity(measures.waist.mm + 300, say`waist ${measures.waist.mm} + ${300} to close`, { waist: measures.waist })
      : belt.length;
  const strip = (part: "belt" | "belt-loops", name: Words, long: number, deep: number): Panel => {
    const sewn = { id: "sewn", name: "long edge", length: long, role: "style" } as const;
    const panel = foldedStrip({ id: part, name, part }, [sewn], deep);
    // Its long edges are turned in and stitched to each other, its ends turned in.
    const edges = panel.edges.map((e) => ({ ...e, becomes: "turned" as const }));
    return { ...panel, edges, cutting: { ...panel.cutting, sewn: { all: "band" } } };
  };
  // A loop goes over the belt with a little room and is turned in at both ends.
  const loop = belt.width.mm + 35;
  const panels = [
    strip("belt", "Belt", length.mm, belt.width.mm),
    ...(belt.loops > 0
      ? [
          strip(
            "belt-loops",
            say`Belt loops, ${count(belt.loops)} from one strip`,
            belt.loops * loop,
            belt.loopWidth.mm,
          ),
        ]
      : []),
  ];
  const notions: readonly Notion[] = [
    { id: "buckle", of: "belt", label: say`Buckle, or the belt is tied`, count: 1, length: null },
  ];
  return withParts(garment, { panels, notions });
}

export const belt = defineFinish({
  room: "belt",
  kind: "belt",
  words: "belt in loops",
  about: "A belt in loops.",
  params: PARAMS,
  facts: {},
  make: withBelt,
});
