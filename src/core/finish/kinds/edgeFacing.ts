import {
  along,
  edgesWithRole,
  isBodice,
  isSewnOn,
  middleGrain,
  panelOutline,
  partOf,
  type Edge,
  type Join,
  type Panel,
} from "../../pattern";
import {
  bracket,
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathFlatten,
  pathLength,
  pathStart,
  pathStartTangent,
  pointDistance,
  polygonArea,
  polygonSelfCrossing,
  squareCurve,
  type Path,
  type Point,
} from "../../geometry";
import { choice, statedLength } from "../../params";
import { say, type Mm, type Words } from "../../units";
import { defineFinish } from "../define";
import { unsettled, withParts, type Garment } from "../garment";
import { INTERFACED, interfacing } from "./shared";

const ID = "edge-facing";
type Faced = "neck" | "armhole";

/** An inner edge is drawn through this many places: within a quarter of a millimetre of parallel. */
const PLACES = 32;

/** An edge moved into its panel by a width, from its end back to its start. */
function moved(path: Path, inward: 1 | -1, depth: Mm): Path {
  const whole = pathLength(path);
  const moved = Array.from({ length: PLACES + 1 }, (_, i): Point => {
    const { point, tangent } = pathAt(path, (whole * (PLACES - i)) / PLACES);
    return [point[0] - tangent[1] * inward * depth, point[1] + tangent[0] * inward * depth];
  });
  return moved.slice(1).map((p, i) => line(moved[i] as Point, p));
}

/** The edges of an outline on either side of one, as it runs. */
function beside(panel: Panel, edge: Edge): readonly [before: Edge, after: Edge] {
  const n = panel.edges.length;
  const at = panel.edges.indexOf(edge);
  return [panel.edges[(at + n - 1) % n] as Edge, panel.edges[(at + 1) % n] as Edge];
}

/** The facing of one edge of a panel of the bodice, parallel to it; null where it does not lie flat at this depth. */
function facingOf(panel: Panel, faced: Edge, which: Faced, depth: Mm, interfaced: boolean): Panel | null {
  const [before, after] = beside(panel, faced);
  const long = pathLength(before.path);
  if (depth > Math.min(long, pathLength(after.path))) return null;
  const inward = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const stretch = (edge: Edge, from: Mm, to: Mm): Edge => ({
    ...edge,
    path: pathBetween(edge.path, from, to),
  });
  const inner = moved(faced.path, inward, depth);
  const [first, last] = [inner[0], inner.at(-1)];
  if (!first || !last) return null;
  const edges: Edge[] = [
    stretch(before, long - depth, long),
    faced,
    stretch(after, 0, depth),
    { id: "inner", role: "style", name: "inner edge", path: inner },
  ];
  return asFacing(panel, which, NAMES[which], { isFolded: before.role === "fold", interfaced }, closed(edges));
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

const NAMES: Readonly<Record<Faced, string>> = { neck: "Neck facing", armhole: "Armhole facing" };

/** A panel's edge that is to be faced, and its facing. */
interface Made {
  readonly panel: Panel;
  readonly edge: Edge;
  readonly facing: Panel;
}

/** Neck, shoulder and armhole of one panel, where they lie beside one another as they were drafted. */
function wholeTop(panel: Panel): readonly [neck: Edge, shoulder: Edge, armhole: Edge] | null {
  const [neck, ...others] = edgesWithRole(panel, "neck");
  if (!neck || others.length > 0) return null;
  const shoulder = beside(panel, neck)[1];
  const armhole = beside(panel, shoulder)[1];
  return shoulder.role === "shoulder" && armhole.role === "armhole" ? [neck, shoulder, armhole] : null;
}

/** A combined facing ends at least this far above a bust dart, and reaches at least so far down the side. */
const ABOVE_DART: Mm = 5;
const LEAST_AT_SIDE: Mm = 15;
/** Its inner edge keeps this share of its depth from the armhole. */
const CLEAR = 0.75;

/** One facing for neck and armhole, where two would lie over each other on the shoulder; null where it does not lie flat. */
function combinedOf(panel: Panel, depth: Mm, atSide: Mm, interfaced: boolean): Panel | null {
  const top = wholeTop(panel);
  if (!top) return null;
  const [neck, shoulder, armhole] = top;
  const [centre, side] = [beside(panel, neck)[0], beside(panel, armhole)[1]];
  const long = pathLength(centre.path);
  if (depth > long || atSide < LEAST_AT_SIDE) return null;
  const down: Path = pathBetween(side.path, 0, atSide);
  const upBy = (mm: Mm): Path => pathBetween(centre.path, long - mm, long);
  const across = (up: Path): Path => [
    squareCurve(pathEnd(down), pathEndTangent(down), pathStart(up), pathStartTangent(up)),
  ];
  // At the centre it reaches down until it keeps clear of the armhole all the way.
  const hole = pathFlatten(armhole.path);
  const clear = (mm: Mm): boolean => {
    const inner = pathFlatten(across(upBy(mm)));
    return hole.every((p) => inner.every((q) => pointDistance(p, q) >= CLEAR * Math.min(atSide, depth)));
  };
  const lowest = Math.min(long, Math.max(depth, pathEnd(down)[1] - pathEnd(centre.path)[1]));
  const atCentre = clear(depth) ? depth : bracket((mm) => !clear(mm), depth, lowest)[1];
  const up = upBy(atCentre);
  const inner: Edge = { id: "inner", role: "style", name: "inner edge", path: across(up) };
  const isFolded = centre.role === "fold";
  return asFacing(panel, "edge", "Neck and armhole facing", { isFolded, interfaced }, [
    { ...centre, path: up },
    neck,
    shoulder,
    armhole,
    { ...side, path: down },
    inner,
  ]);
}

/** True for the part above a line that cut the bodice across. */
const isUpper = ({ is }: Panel): boolean => is.cuts.at(-1)?.part === "above";

/** A facing of these edges, fused; null where its outline crosses itself. */
function asFacing(
  panel: Panel,
  id: string,
  name: Words,
  { isFolded, interfaced }: { readonly isFolded: boolean; readonly interfaced: boolean },
  edges: readonly Edge[],
): Panel | null {
  const facing: Panel = {
    id: `${id}-facing-${panel.is.root ?? "side"}${isUpper(panel) ? "-upper" : ""}`,
    name: say`${name}, ${panel.is.root ?? "side"}${isUpper(panel) ? ", upper part" : ""}`,
    is: partOf("facing", { root: panel.is.root, madeFor: panel.id }),
    half: "both",
    cutting: {
      material: "shell",
      ...(isFolded && { pieces: { count: 1, onFold: true } }),
      also: interfacing(interfaced, isFolded ? 1 : 2),
    },
    edges,
    landmarks: {},
    lines: [],
  };
  const outline = panelOutline(facing);
  return polygonSelfCrossing(outline) ? null : { ...facing, lines: [middleGrain(outline)] };
}

/** What is sewn to neck or armholes already needs no facing: a front that folds back has its own, a sleeve is set in. */
const openEdges = (garment: Garment, which: Faced): readonly (readonly [Panel, Edge])[] =>
  garment.panels
    .filter((p) => isBodice(p))
    .flatMap((p) => edgesWithRole(p, which).map((e) => [p, e] as const))
    .filter(([panel, edge]) => !isSewnOn(garment, panel.id, edge.id));

const joined = (id: string, kind: Join["kind"], label: Words, a: Join["a"], b: Join["b"]): Join => ({
  id,
  label,
  kind,
  by: ID,
  how: "equal",
  leg: "both",
  a,
  b,
});

const seamTo = (made: Made, kind: Faced): Join => ({
  ...joined(
    `${made.facing.id}-${kind}`,
    kind,
    say`${made.facing.name}, ${kind}`,
    [along(made.facing.id, made.edge.id)],
    [along(made.panel.id, made.edge.id)],
  ),
  ...(made.panel.is.root && { root: made.panel.is.root }),
});

/** The garment with these facings sewn in, each along its edges; says so where one of them does not lie flat. */
function withFacings(
  garment: Garment,
  parts: readonly (Omit<Made, "facing"> & { readonly facing: Panel | null })[],
  edges: readonly Faced[],
  depth: Mm,
): Garment {
  if (parts.some((p) => p.facing === null))
    return unsettled(
      garment,
      say`A facing ${depth} deep does not lie flat along the ${edges[0] ?? "neck"}. Make it narrower.`,
    );
  const made = parts as readonly Made[];
  const facings = [...new Set(made.map((m) => m.facing))];
  const sewn = made.map((m) => seamTo(m, m.edge.role === "neck" ? "neck" : "armhole"));
  return withParts(garment, { panels: facings, joins: sewn });
}

/** Facings of neck and armhole that would lie over each other on this shoulder are one. */
const meetOn = (panel: Panel, depth: Mm): boolean =>
  edgesWithRole(panel, "shoulder").every((edge) => 2 * depth > pathLength(edge.path));

function faced(garment: Garment, edges: readonly Faced[], depth: Mm, interfaced: boolean): Garment {
  const bodice = garment.panels.filter((p) => isBodice(p));
  if (bodice.length === 0) return unsettled(garment, say`There is no neck and no armhole to face.`);
  const whole = bodice.filter((p) =>
    wholeTop(p)?.every((e) => e.role === "shoulder" || !isSewnOn(garment, p.id, e.id)),
  );
  if (edges.length === 2 && whole.length > 0 && whole.every((p) => meetOn(p, depth))) {
    // A bust dart may open in the side before the facing is as deep as it should be: front and back end above that.
    const sides = whole.map((panel) => {
      const [, , armhole] = wholeTop(panel) as NonNullable<ReturnType<typeof wholeTop>>;
      return pathLength(beside(panel, armhole)[1].path) - ABOVE_DART;
    });
    const atSide = Math.min(depth, ...sides);
    const parts = whole.flatMap((panel) => {
      const facing = combinedOf(panel, depth, atSide, interfaced);
      const [neck, , armhole] = wholeTop(panel) as NonNullable<ReturnType<typeof wholeTop>>;
      return [neck, armhole].map((edge) => ({ panel, edge, facing }));
    });
    const rest = withFacings(garment, parts, edges, depth);
    return rest.undecided.length === garment.undecided.length ? facedApart(rest, edges, depth, interfaced) : rest;
  }
  return facedApart(garment, edges, depth, interfaced);
}

const facedApart = (garment: Garment, edges: readonly Faced[], depth: Mm, interfaced: boolean): Garment =>
  edges.reduce((now, which) => {
    const open = openEdges(now, which);
    const parts = open.map(([panel, edge]) => ({
      panel,
      edge,
      facing: facingOf(panel, edge, which, depth, interfaced),
    }));
    return withFacings(now, parts, [which], depth);
  }, garment);

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
    interfaced: INTERFACED,
  },
  facts: {},
  make: (garment, { edges, depth, interfaced }) =>
    faced(garment, edges === "both" ? ["neck", "armhole"] : [edges], depth.mm, interfaced),
});
