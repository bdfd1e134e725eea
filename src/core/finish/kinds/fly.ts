import { against, along, refsLength, type Edge, type EdgeRef, type Join, type Panel, partOf } from "../../pattern";
import { cubic, line, type Path } from "../../geometry";
import { choice, type ReadOf } from "../../params";
import { type Mm, type Quantity, say, type Words } from "../../units";
import { defineFinish } from "../define";
import { becoming, foldedStrip, inOneSeam, withParts, type FinishContext, type Garment } from "../garment";
import { flyRun, ROUND, stitched } from "./flyRun";
import { upperEdges } from "./pocketBag";
import { FLY_WIDTH, INTERFACED, interfacing, ZIP } from "./shared";

/** The fly reaches this far below the zip, so that the zip's end is covered. */
const BELOW_ZIP: Mm = 15;

const PARAMS = {
  length: { ...ZIP, within: [60, 300] as const },
  extension: FLY_WIDTH,
  grown: choice("on: cut with the fronts; separate: a facing sewn to them.", {
    label: "Its facing is",
    options: [
      ["separate", "a part of its own"],
      ["on", "cut with the fronts"],
    ],
  }),
  interfaced: INTERFACED,
};

const join = (id: string, label: Words, run: readonly EdgeRef[], to: EdgeRef): Join => ({
  id,
  label,
  kind: "cut",
  by: "fly",
  how: "equal",
  leg: "both",
  a: run,
  b: [to],
});

/** Beside a fly that is cut on, the shield is stitched on with the zip, on the front's wide allowance. */
const caughtWithZip = (shield: Panel): Panel => becoming(shield, "sewn", "caught");

/** The waist beside the centre that the fly's top is caught with. */
function waistUnder({ panels }: Garment, run: readonly EdgeRef[]): Pick<Edge, "under"> {
  const front = panels.find((p) => p.id === run[0]?.panel);
  const waist = front && upperEdges(front)[0];
  return front && waist ? { under: { panel: front.id, edge: waist.id } } : {};
}

/** A fly facing in its own frame: straight at the centre, square at the waist, its free edge rounded in below. */
function facingPath(long: Mm, wide: Mm): Path {
  const turn = long - Math.min(ROUND, long / 2);
  return [
    line([wide, 0], [wide, turn]),
    cubic([wide, turn], [wide, turn + 0.55 * (long - turn)], [0.55 * wide, long], [0, long]),
  ];
}

/**
 * A fly with its zip: grown on to both fronts as an extension of their cut line, or with a facing of its own on one
 * front; a folded shield under the other. As long as the zip and a little more.
 */
function withFly(garment: Garment, fly: ReadOf<typeof PARAMS, Quantity>, { zip }: FinishContext): Garment {
  const wide = fly.extension.mm;
  const run = flyRun(garment, zip + BELOW_ZIP);
  // Without a zip the closure is asked for as a whole.
  if (zip === 0 || run.length === 0) return garment;
  const isGrown = fly.grown === "on";
  // On a very short centre the fly ends where the seam does.
  const long = refsLength(garment.panels, run);
  const shield = foldedStrip(
    { id: "fly-shield", name: "Fly shield", part: "fly-shield" },
    [{ id: "sewn", name: "edge at the zip", length: long, role: "style" }],
    wide + 7,
  );
  const shielded = withParts(stitched(garment, run, wide), {
    panels: [
      {
        ...inOneSeam(isGrown ? caughtWithZip(shield) : shield),
        cutting: { ...shield.cutting, sewn: { all: "pocket" }, also: interfacing(fly.interfaced, 1) },
      },
    ],
    joins: isGrown ? [] : [join("fly-shield", "Fly shield", run, along("fly-shield", "sewn"))],
    notions: [{ id: "hook", label: say`Hook or button at the band`, count: 1, length: null }],
  });
  if (isGrown) return shielded;
  const edge = (id: string, name: Words, path: Path): Panel["edges"][number] => ({ id, role: "style", name, path });
  const facing: Panel = {
    id: "fly-facing",
    name: "Fly facing",
    is: partOf("fly-facing", { root: "front" }),
    half: "both",
    cutting: {
      material: "shell",
      pieces: { count: 1, onFold: false },
      sewn: { style: "pocket" },
      also: interfacing(fly.interfaced, 1),
    },
    edges: [
      {
        ...edge("waist", "caught in the waist", [line([0, 0], [wide, 0])]),
        role: "waist",
        becomes: "caught",
        ...waistUnder(garment, run),
      },
      edge("free", "free edge", facingPath(long, wide)),
      edge("centre", "centre front", [line([0, long], [0, 0])]),
    ],
    landmarks: {},
    lines: [
      {
        kind: "grain",
        points: [
          [wide * 0.45, long * 0.2],
          [wide * 0.45, long * 0.65],
        ],
      },
    ],
  };
  return withParts(shielded, {
    panels: [facing],
    joins: [join("fly", "Fly facing", run, against("fly-facing", "centre"))],
  });
}

export const fly = defineFinish({
  room: "fastening",
  kind: "fly",
  words: "fly, centre front",
  about: "A zip in the centre front, covered, with a shield under it.",
  params: PARAMS,
  facts: {
    opens: "centre-front",
    zip: (asked) => asked.length,
    grows: ({ grown, extension }) => (grown === "on" ? extension.mm : null),
  },
  make: withFly,
});
