import {
  along,
  edgeOf,
  panelById,
  partOf,
  refsLength,
  rimEdges,
  type EdgeRef,
  type Join,
  type Panel,
} from "../../pattern";
import { line, pathBetween, pathEnd, pathLength, pathStart, type Path, type Point } from "../../geometry";
import { choice } from "../../params";
import { say, type Mm, type Words } from "../../units";
import { defineFinish } from "../define";
import { foldedStrip, inOneSeam, unsettled, withParts } from "../garment";
import { flyRun, stitched, stitchLine } from "./flyRun";
import { FLY_WIDTH, INTERFACED, interfacing } from "./shared";

const straight = (points: readonly Point[]): Path => points.slice(1).map((p, i) => line(points[i] as Point, p));

/**
 * The fly traced off a front: its centre as it runs, as much of its waist as the fly is wide, and a free edge rounded in
 * below. Null where the fly reaches over more than one panel, or the front has no plain corner at the waist.
 */
function traced(front: Panel, ref: EdgeRef, wide: Mm, name: Words, interfaced: boolean): Panel | null {
  const centre = edgeOf(front, ref.edge).path;
  const [low, high] = ref.part ?? [0, pathLength(centre)];
  const [waist] = rimEdges(front, "waist");
  if (!waist || pathLength(waist.path) < wide + 5) return null;
  const top = pathBetween(waist.path, 0, wide);
  const beside = stitchLine(front, ref, wide, true);
  const free = straight([pathEnd(top), ...beside.slice(1, -1), pathStart(pathBetween(centre, low, high))]);
  const [first] = beside;
  const middle: Point = [((first?.[0] ?? 0) + pathStart(top)[0]) / 2, pathStart(top)[1]];
  return {
    id: "mock-fly",
    name,
    is: partOf("fly-facing", { root: "front", madeFor: front.id }),
    half: "both",
    cutting: {
      material: front.cutting.material,
      pieces: { count: 1, onFold: false },
      sewn: { style: "pocket" },
      also: interfacing(interfaced, 1),
    },
    edges: [
      {
        id: "waist",
        role: "waist",
        name: "caught in the waist",
        becomes: "caught",
        under: { panel: front.id, edge: waist.id },
        path: top,
      },
      { id: "free", role: "style", name: "free edge", path: free },
      { id: "centre", role: "crotch", name: "centre front", path: pathBetween(centre, low, high) },
    ],
    landmarks: {},
    lines: [
      {
        kind: "grain",
        points: [
          [middle[0], middle[1] + 0.2 * (high - low)],
          [middle[0], middle[1] + 0.7 * (high - low)],
        ],
      },
    ],
  };
}

/** A mock fly: a fly traced off the front is sewn on one front and topstitched, a shield lies under the other; the seam stays shut. */
export const mockFly = defineFinish({
  room: "fastening",
  kind: "mock-fly",
  words: "mock fly, pulled on",
  about: "It looks like a fly and does not open; the garment is pulled on.",
  params: {
    extension: FLY_WIDTH,
    over: choice("Which side lies over which.", {
      label: "It laps",
      options: [
        ["right", "right over left"],
        ["left", "left over right"],
      ],
    }),
    interfaced: INTERFACED,
  },
  facts: { opens: "none", isPulledOn: true },
  make(garment, { extension, over, interfaced }, { mockFly: long }) {
    const run = flyRun(garment, long);
    const [ref] = run;
    const front = ref && panelById(garment.panels, ref.panel);
    if (!ref || !front || run.length > 1)
      return unsettled(garment, say`The centre front is cut or lies on a fold, so there is no seam for a mock fly.`);
    const under = over === "right" ? "left" : "right";
    const fly = traced(front, ref, extension.mm, say`Mock fly, on the ${over} front`, interfaced);
    if (!fly) return unsettled(garment, say`The waist beside the centre front is too narrow for a mock fly this wide.`);
    const shield = foldedStrip(
      { id: "fly-shield", name: say`Fly shield, under the ${under} front`, part: "fly-shield" },
      [{ id: "sewn", name: "edge at the centre", length: refsLength(garment.panels, run), role: "style" }],
      extension.mm,
    );
    const join = (id: string, label: Words, panel: string, edge: string): Join => ({
      id,
      label,
      kind: "cut",
      by: "mock-fly",
      how: "equal",
      leg: "both",
      a: run,
      b: [{ ...along(panel, edge), reversed: edge === "centre" }],
    });
    return withParts(stitched(garment, run, extension.mm), {
      panels: [fly, { ...inOneSeam(shield), cutting: { ...shield.cutting, sewn: { all: "pocket" } } }],
      joins: [
        join("mock-fly", "Mock fly", "mock-fly", "centre"),
        join("fly-shield", "Fly shield", "fly-shield", "sewn"),
      ],
    });
  },
});
