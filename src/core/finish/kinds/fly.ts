import { along, refsLength, type Join, type Panel, partOf } from "../../pattern";
import { cubic, line, type Path } from "../../geometry";
import { choice, type ReadOf } from "../../params";
import { type Mm, type Quantity, say } from "../../units";
import { defineFinish } from "../define";
import { foldedStrip, withParts, type FinishContext, type Garment } from "../garment";
import { flyRun, ROUND, stitched } from "./flyRun";
import { FLY_WIDTH, ZIP } from "./shared";

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
};

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
        ...shield,
        cutting: { ...shield.cutting, sewn: { all: "pocket" }, also: [{ material: "interfacing", count: 1 }] },
      },
    ],
    notions: [{ id: "hook", label: say`Hook or button at the band`, count: 1, length: null }],
  });
  if (fly.grown === "on") return shielded;
  const edge = (id: string, name: string, path: Path): Panel["edges"][number] => ({ id, role: "style", name, path });
  const facing: Panel = {
    id: "fly-facing",
    name: "Fly facing",
    is: partOf("fly-facing", { root: "front" }),
    half: "both",
    cutting: {
      material: "shell",
      pieces: { count: 1, onFold: false },
      sewn: { style: "pocket" },
      also: [{ material: "interfacing", count: 1 }],
    },
    edges: [
      { ...edge("waist", "waist", [line([0, 0], [wide, 0])]), role: "waist" },
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
  const join: Join = {
    id: "fly",
    label: "Fly facing",
    kind: "cut",
    by: "fly",
    how: "equal",
    leg: "both",
    a: run,
    b: [{ ...along("fly-facing", "centre"), reversed: true }],
  };
  return withParts(shielded, { panels: [facing], joins: [join] });
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
