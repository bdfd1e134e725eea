import {
  along,
  edgeOf,
  panelById,
  panelOutline,
  refsLength,
  type EdgeRef,
  type Join,
  type Panel,
  partOf,
} from "../pattern";
import {
  cubic,
  line,
  pathAt,
  pathBetween,
  pathFlatten,
  pathLength,
  polygonArea,
  type Path,
  type Point,
} from "../geometry";
import { type Mm, say } from "../units";
import { foldedStrip, unsettled, withParts, type FinishContext, type Garment } from "./garment";
import type { ResolvedFastening } from "./resolved";

/** The fly reaches this far below the zip, so that the zip's end is covered. */
const BELOW_ZIP: Mm = 15;
/** The lower end of a fly is rounded over this height. */
const ROUND: Mm = 55;

/** The stretches of the centre front seam that a fly covers, from the waist down; empty where the centre is on a fold. */
function flyRun({ panels, joins }: Garment, long: Mm): readonly EdgeRef[] {
  const centre = joins.find((j) => j.kind === "centre" && j.root === "front" && j.leg !== "left");
  let rest = long;
  return [...(centre?.a ?? [])].reverse().flatMap((ref): EdgeRef[] => {
    const whole = pathLength(edgeOf(panelById(panels, ref.panel), ref.edge).path);
    const length = Math.min(rest, whole);
    rest -= length;
    // Centre edges run up to the waist.
    return length > 0 ? [{ ...ref, reversed: true, part: [whole - length, whole] }] : [];
  });
}

/** The fly's free edge on a panel, beside its stretch of the centre; rounded in to the centre on the lowest. */
function stitchLine(panel: Panel, ref: EdgeRef, wide: Mm, lowest: boolean): readonly Point[] {
  const { path } = edgeOf(panel, ref.edge);
  const [low, high] = ref.part ?? [0, pathLength(path)];
  const inside = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const beside = (at: Mm, by: Mm): Point => {
    const { point, tangent } = pathAt(path, at);
    return [point[0] - inside * tangent[1] * by, point[1] + inside * tangent[0] * by];
  };
  const turn = lowest ? Math.min(high, low + Math.min(ROUND, (high - low) / 2)) : low;
  const steps = Math.max(1, pathFlatten(pathBetween(path, turn, high)).length - 1);
  const straight = Array.from({ length: steps + 1 }, (_, i) => beside(high - ((high - turn) * i) / steps, wide));
  if (!lowest) return straight;
  const rounded = Array.from({ length: 10 }, (_, i) => {
    const angle = ((i + 1) / 10) * (Math.PI / 2);
    return beside(turn - (turn - low) * Math.sin(angle), wide * Math.cos(angle));
  });
  return [...straight, ...rounded];
}

/** Where the fly's free edge is topstitched, drawn on the fronts. */
function stitched(garment: Garment, run: readonly EdgeRef[], wide: Mm): Garment {
  const lowest = run.at(-1);
  return {
    ...garment,
    panels: garment.panels.map((panel) => {
      const ref = run.find((r) => r.panel === panel.id);
      if (!ref) return panel;
      const points = stitchLine(panel, ref, wide, ref === lowest);
      return { ...panel, lines: [...panel.lines, { kind: "placement" as const, points }] };
    }),
  };
}

/** A mock fly: the fronts are cut with an extension that is folded back and topstitched; the seam stays shut. */
export function withMockFly(garment: Garment, long: Mm, wide: Mm): Garment {
  const run = flyRun(garment, long);
  if (run.length === 0)
    return unsettled(garment, say`The centre front is cut or lies on a fold, so there is no seam for a mock fly.`);
  return stitched(garment, run, wide);
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
export function withFly(
  garment: Garment,
  fly: Extract<ResolvedFastening, { kind: "fly" }>,
  { zip }: FinishContext,
): Garment {
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
