import { type Edge, type Panel, topWithDartsClosed, partOf } from "../../pattern";
import {
  line,
  pathBetween,
  pathEnd,
  pathFlatten,
  pathLength,
  pathStart,
  pointAdd,
  pointDistance,
  pointSubtract,
  type Point,
  bisect,
} from "../../geometry";
import { type Mm, say, Refusal } from "../../units";
import { unsettled, withParts, type Garment } from "../garment";
import { upperEdges, legSuffix, middleOf, placeAt, pocketFronts, shortGrain, type PocketFront } from "./pocketBag";
import { length, statedLength, type ReadOf } from "../../params";
import type { Quantity } from "../../units";
import { defineFinish } from "../define";
import { CONTRAST } from "./shared";

const PARAMS = {
  opening: statedLength("Length of the slanting opening; the hand goes in there.", {
    label: "Slanting opening",
    usual: { mm: 150 },
    within: [60, 260],
  }),
  depth: length("From the waist to its lower edge; to the hip line unless chosen.", {
    label: "Depth from the waist",
    within: [80, 400],
  }),
  contrast: CONTRAST,
};

type Asked = ReadOf<typeof PARAMS, Quantity>;

/** Where along an edge its distance from a place first reaches `wanted`; null where it never does. */
function reaches(edge: Edge, from: Point, wanted: Mm): Mm | null {
  const whole = pathLength(edge.path);
  const away = (s: Mm): Mm => pointDistance(from, placeAt(edge, s)) - wanted;
  if (away(0) >= 0) return 0;
  if (away(whole) < 0) return null;
  return bisect(away, 0, 0, whole);
}

/**
 * The side of a front, as deep as the patch, and the patch's upper corner on the dart line, with the darts closed. A
 * front without darts has its corner in the middle of its waist.
 */
function closedTop(
  { panel, waist, side, top }: PocketFront,
  depth: Mm,
): { readonly side: Edge; readonly start: Point } | null {
  if (top + depth > pathLength(side.path) * 0.8) return null;
  if (!panel.edges.some((e) => e.role === "dart")) {
    const own = { ...side, path: pathBetween(side.path, top, top + depth) };
    const by = pointSubtract(placeAt(waist, pathLength(waist.path) / 2), pathEnd(waist.path));
    return { side: own, start: pointAdd(pathStart(own.path), by) };
  }
  const upper = new Set(upperEdges(panel));
  const worn = panel.edges.map((e) => (upper.has(e) ? { ...e, role: "waist" as const } : e));
  const shut = topWithDartsClosed({ ...panel, edges: worn }, depth);
  const closedSide = shut?.edges.find((e) => e.role === "side");
  const closedWaist = shut?.edges.find((e) => e.role === "waist");
  if (!closedSide || !closedWaist) return null;
  const before = [...upper].filter((e) => e !== waist);
  return {
    side: closedSide,
    start: placeAt(
      closedWaist,
      before.reduce((sum, e) => sum + pathLength(e.path), 0),
    ),
  };
}

/**
 * The patch on the front's top with its darts closed: from the dart line at the waist a slanting opening to the side,
 * down the side, and back across to the dart line; and where on the front it is sewn. A refusal where it cannot be.
 */
function patchOn(
  front: PocketFront,
  pocket: Asked,
  hip: Mm,
): { readonly patch: Panel; readonly sewnOn: readonly Point[] } | Refusal {
  const { panel, side, top } = front;
  const material = pocket.contrast ? "contrast" : panel.cutting.material;
  const depth = pocket.depth === "auto" ? Math.max(120, hip - placeAt(side, top)[1]) : pocket.depth.mm;
  const closed = closedTop(front, depth);
  if (!closed)
    return new Refusal(
      "depth",
      say`The waist is cut into parts or the side too short, so the patch has no closed dart to lie over.`,
    );
  const { side: closedSide, start } = closed;
  const opened = reaches(closedSide, start, pocket.opening.mm);
  const whole = pathLength(closedSide.path);
  if (opened === null || opened > whole - 40) {
    const longest = pointDistance(start, placeAt(closedSide, whole - 40));
    return new Refusal(
      "opening",
      say`From the dart line to the side, ${whole} deep, the opening of the patch can be at most ${longest} long.`,
    );
  }
  const own = pathBetween(closedSide.path, opened, whole);
  const low = pathEnd(own);
  const bottom: Point = [start[0], low[1]];
  const free: readonly Edge[] = [
    { id: "bottom", role: "style", name: "lower edge", path: [line(low, bottom)] },
    { id: "inner", role: "style", name: "edge at the dart line", path: [line(bottom, start)] },
  ];
  const patch: Panel = {
    id: `patch${legSuffix(panel)}`,
    name: "Patch pocket",
    is: partOf("patch", { madeFor: panel.id }),
    half: panel.half,
    cutting: {
      material,
      sewn: { style: "pocket" },
      // Doubled: it faces itself.
      also: [{ material, count: panel.half === "both" ? 2 : 1 }],
    },
    edges: [
      { id: "opening", role: "style", name: "slanting opening", path: [line(start, pathStart(own))] },
      { id: "side", role: "side", name: "side seam", path: own },
      ...free,
    ],
    landmarks: { openingTop: start, openingEnd: pathStart(own) },
    lines: [shortGrain(middleOf(start, low, bottom, pathStart(own)), 0.4 * (bottom[1] - start[1]))],
  };
  return { patch, sewnOn: free.flatMap((e) => pathFlatten(e.path)) };
}

/** Patch pockets over the closed darts of the fronts, with the place they are sewn on marked. */
function patches(garment: Garment, pocket: Asked, hip: Mm): Garment {
  const fronts = pocketFronts(garment);
  if (fronts.length === 0)
    return unsettled(garment, say`No front has a whole corner of waist and side for patch pockets.`);
  return fronts.reduce((made, front) => {
    const placed = patchOn(front, pocket, hip);
    if (placed instanceof Refusal) return unsettled(made, placed.says);
    return withParts(
      {
        ...made,
        panels: made.panels.map((p) =>
          p.id === front.panel.id
            ? { ...p, lines: [...p.lines, { kind: "placement" as const, points: placed.sewnOn }] }
            : p,
        ),
      },
      { panels: [placed.patch] },
    );
  }, garment);
}

export const patchPocket = defineFinish({
  room: "pocket",
  kind: "patch",
  words: "patch",
  about: "Sewn on to the front over the closed dart, from the dart line to the side.",
  note: "Over the closed dart, doubled.",
  params: PARAMS,
  facts: { opensIn: "front" },
  make: (garment, pocket, { hipLevel }) => patches(garment, pocket, hipLevel),
});
