import {
  along,
  edgeOf,
  findEdge,
  isBodice,
  isSewnOn,
  middleGrain,
  panelOutline,
  partOf,
  type Edge,
  type EdgeRole,
  type Join,
  type Panel,
} from "../../pattern";
import {
  line,
  pathAt,
  pathBetween,
  pathLength,
  polygonArea,
  polygonSelfCrossing,
  type Path,
  type Point,
} from "../../geometry";
import { choice, statedLength } from "../../params";
import { say, type Mm } from "../../units";
import { defineFinish } from "../define";
import { unsettled, withParts, type Garment } from "../garment";

const ID = "edge-facing";
type Faced = "neck" | "armhole";

/** The edges that a facing follows, and what ends it: at its start and at its end along the outline. */
const BESIDE: Readonly<Record<Faced, { readonly start: string; readonly end: string }>> = {
  neck: { start: "centre", end: "shoulder" },
  armhole: { start: "shoulder", end: "side" },
};

/** An inner edge is drawn through this many places: within a quarter of a millimetre of parallel. */
const PLACES = 32;

/** An edge moved into its panel by a width, from its end back to its start. */
function inside(path: Path, inward: 1 | -1, depth: Mm): Path {
  const whole = pathLength(path);
  const moved = Array.from({ length: PLACES + 1 }, (_, i): Point => {
    const { point, tangent } = pathAt(path, (whole * (PLACES - i)) / PLACES);
    return [point[0] - tangent[1] * inward * depth, point[1] + tangent[0] * inward * depth];
  });
  return moved.slice(1).map((p, i) => line(moved[i] as Point, p));
}

/** The facing of one edge of half a bodice, parallel to it; null where it does not lie flat at this depth. */
function facingOf(panel: Panel, which: Faced, depth: Mm): Panel | null {
  const faced = findEdge(panel, which);
  const { start, end } = BESIDE[which];
  const [before, after] = [findEdge(panel, start), findEdge(panel, end)];
  const root = panel.is.root;
  if (!faced || !before || !after || !root || root === "side") return null;
  const [long, other] = [pathLength(before.path), pathLength(after.path)];
  if (depth > Math.min(long, other)) return null;
  const inward = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const stretch = (edge: Edge, from: Mm, to: Mm, role: EdgeRole = edge.role): Edge => ({
    ...edge,
    role,
    path: pathBetween(edge.path, from, to),
  });
  const inner = inside(faced.path, inward, depth);
  const [first, last] = [inner[0], inner.at(-1)];
  if (!first || !last) return null;
  const edges: Edge[] = [
    stretch(before, long - depth, long),
    faced,
    stretch(after, 0, depth),
    { id: "inner", role: "style", name: "inner edge", path: inner },
  ];
  const isFolded = before.role === "fold";
  const facing: Panel = {
    id: `${which}-facing-${root}`,
    name: `${which === "neck" ? "Neck" : "Armhole"} facing, ${root}`,
    is: partOf("facing", { root, madeFor: panel.id }),
    half: "both",
    cutting: {
      material: "shell",
      ...(isFolded && { pieces: { count: 1, onFold: true } }),
      also: [{ material: "interfacing", count: isFolded ? 1 : 2 }],
    },
    edges: closed(edges),
    landmarks: {},
    lines: [],
  };
  const outline = panelOutline(facing);
  return polygonSelfCrossing(outline) ? null : { ...facing, lines: [middleGrain(outline)] };
}

/** The offset ends on the seams beside the edge but for a rounding: drawn to just there. */
function closed(edges: readonly Edge[]): readonly Edge[] {
  const [before, , after, inner] = edges as readonly [Edge, Edge, Edge, Edge];
  const from = (after.path.at(-1) as Path[number]).points.at(-1) as Point;
  const to = (before.path[0] as Path[number]).points[0];
  const middle = inner.path.slice(1, -1);
  const [head, tail] = [middle[0], middle.at(-1)];
  if (!head || !tail) return edges;
  const path: Path = [line(from, head.points[0]), ...middle, line(tail.points.at(-1) as Point, to)];
  return edges.map((edge) => (edge === inner ? { ...inner, path } : edge));
}

function faced(garment: Garment, edges: readonly Faced[], depth: Mm): Garment {
  const halves = garment.panels.filter((p) => isBodice(p) && findEdge(p, "neck"));
  if (halves.length === 0) return unsettled(garment, say`There is no neck and no armhole to face.`);
  const shoulder = Math.min(...halves.map((p) => pathLength(edgeOf(p, "shoulder").path)));
  if (edges.length === 2 && 2 * depth > shoulder)
    return unsettled(
      garment,
      say`Facings ${depth} deep meet on a shoulder of ${shoulder}. Make them narrower, or face neck or armholes alone.`,
    );
  return edges.reduce((now, which) => {
    // A front that folds back has its facing already.
    const open = halves.filter((panel) => !isSewnOn(now, panel.id, which));
    const parts = open.map((panel) => ({ panel, facing: facingOf(panel, which, depth) }));
    if (parts.some((p) => p.facing === null))
      return unsettled(now, say`A facing ${depth} deep does not lie flat along the ${which}. Make it narrower.`);
    const made = parts as readonly { readonly panel: Panel; readonly facing: Panel }[];
    const join = (id: string, kind: Join["kind"], label: string, a: Join["a"], b: Join["b"]): Join => ({
      id,
      label,
      kind,
      by: ID,
      how: "equal",
      leg: "both",
      a,
      b,
    });
    const sewn = made.map(({ panel, facing }): Join => ({
      ...join(`${facing.id}-seam`, which, `${facing.name}, seam`, [along(facing.id, which)], [along(panel.id, which)]),
      ...(panel.is.root && { root: panel.is.root }),
    }));
    const [one, two] = made;
    const ends = one && two ? (which === "neck" ? ["shoulder"] : ["shoulder", "side"]) : [];
    const own = ends.map((end) =>
      join(
        `${which}-facing-${end}`,
        "cut",
        `${which === "neck" ? "Neck" : "Armhole"} facing, ${end}`,
        [along((one?.facing as Panel).id, end)],
        [along((two?.facing as Panel).id, end)],
      ),
    );
    return withParts(now, { panels: made.map((m) => m.facing), joins: [...sewn, ...own] });
  }, garment);
}

export const edgeFacing = defineFinish({
  room: "trim",
  kind: ID,
  words: "neck and armhole facings",
  about: "Neck and armholes of a bodice are turned by facings cut parallel to them, fused.",
  params: {
    edges: choice("What is faced.", {
      label: "Faced",
      options: [
        ["both", "neck and armholes"],
        ["neck", "the neck"],
        ["armhole", "the armholes"],
      ],
    }),
    depth: statedLength("Depth of the facings.", {
      label: "Depth",
      usual: { mm: 30 },
      within: [15, 120],
      tried: [20, 60],
    }),
  },
  facts: {},
  make: (garment, { edges, depth }) => faced(garment, edges === "both" ? ["neck", "armhole"] : [edges], depth.mm),
});
