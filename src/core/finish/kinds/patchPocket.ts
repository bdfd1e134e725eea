import { type Edge, type Panel, topWithDartsClosed, partOf } from "../../pattern";
import {
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathFlatten,
  pathLength,
  pathMap,
  pathStart,
  pointAdd,
  pointDistance,
  pointSubtract,
  type Path,
  type Point,
  solveRising,
} from "../../geometry";
import { type Mm, say, Refusal } from "../../units";
import { unsettled, withParts, type Garment } from "../garment";
import { upperEdges, legSuffix, middleOf, placeAt, pocketFronts, shortGrain, type PocketFront } from "./pocketBag";
import { choice, length, statedLength, type ReadOf } from "../../params";
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
  doubled: choice(
    "fold: cut double, the fold at the dart line; two: cut twice and bagged out; single: turned in all round.",
    {
      label: "It is",
      options: [
        ["fold", "doubled on a fold"],
        ["two", "cut twice"],
        ["single", "single, turned in"],
      ],
    },
  ),
  contrast: CONTRAST,
};

type Asked = ReadOf<typeof PARAMS, Quantity>;

/** Where along a path its distance from a place first reaches `wanted`; null where it never does. */
function reaches(path: Path, from: Point, wanted: Mm): Mm | null {
  const whole = pathLength(path);
  const away = (s: Mm): Mm => pointDistance(from, pathAt(path, s).point) - wanted;
  if (away(0) >= 0) return 0;
  if (away(whole) < 0) return null;
  return solveRising(away, 0, 0, whole);
}

/** The top of a front with its darts closed: the waist from the dart line to the side, and the side as deep as the patch. */
interface ClosedTop {
  readonly waist: Path;
  readonly side: Path;
}

/** The closed top of a front; one without darts has its dart line in the middle of its waist. */
function closedTop({ panel, waist, side, top }: PocketFront, depth: Mm): ClosedTop | null {
  if (top + depth > pathLength(side.path) * 0.8) return null;
  if (!panel.edges.some((e) => e.role === "dart")) {
    const own = pathBetween(side.path, top, top + depth);
    const by = pointSubtract(pathStart(own), pathEnd(waist.path));
    const half = pathBetween(waist.path, pathLength(waist.path) / 2, pathLength(waist.path));
    return { side: own, waist: pathMap(half, (p) => pointAdd(p, by)) };
  }
  const upper = new Set(upperEdges(panel));
  const worn = panel.edges.map((e) => (upper.has(e) ? { ...e, role: "waist" as const } : e));
  const shut = topWithDartsClosed({ ...panel, edges: worn }, depth);
  const closedSide = shut?.edges.find((e) => e.role === "side");
  const closedWaist = shut?.edges.find((e) => e.role === "waist");
  if (!closedSide || !closedWaist) return null;
  const before = [...upper].filter((e) => e !== waist).reduce((sum, e) => sum + pathLength(e.path), 0);
  return { side: closedSide.path, waist: pathBetween(closedWaist.path, before, pathLength(closedWaist.path)) };
}

/** Of the diagonal's way, so much lies across the waist; the rest lies down the side. */
const ACROSS = 0.55;
/** The patch keeps at least this much of its waist, and of its side below the opening. */
const LEAST_TOP: Mm = 12;
const LEAST_BELOW: Mm = 40;

/** Where the diagonal of an asked length crosses the upper outer corner: along the waist from the dart line, and down the side. */
function diagonal({ waist, side }: ClosedTop, opening: Mm): { readonly onWaist: Mm; readonly downSide: Mm } | Refusal {
  const [wide, deep] = [pathLength(waist), pathLength(side)];
  const onWaist = Math.max(LEAST_TOP, wide - ACROSS * opening);
  const from = pathAt(waist, onWaist).point;
  const downSide = reaches(side, from, opening);
  if (downSide !== null && downSide <= deep - LEAST_BELOW) return { onWaist, downSide };
  const longest = pointDistance(pathAt(waist, LEAST_TOP).point, pathAt(side, deep - LEAST_BELOW).point);
  return new Refusal(
    "opening",
    say`Across the upper corner of a patch ${deep} deep the opening can be at most ${longest} long.`,
  );
}

/** What a patch that is sewn on is turned in by all round. */
const TURNED_IN: Mm = 10;

/** An edge of the patch that is turned in. */
const turnedIn = (id: string, name: string, from: Point, to: Point): Edge => ({
  id,
  role: "style",
  name,
  beyond: TURNED_IN,
  becomes: "turned",
  path: [line(from, to)],
});

/**
 * The patch on the front's top with its darts closed, from the dart line to the side: its upper outer corner is cut off by
 * the opening, what is left of its top is caught in the waist. And where on the front it is sewn. A refusal where it
 * cannot be.
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
  const opened = diagonal(closed, pocket.opening.mm);
  if (opened instanceof Refusal) return opened;
  const start = pathStart(closed.waist);
  const [caught, own] = [
    pathBetween(closed.waist, 0, opened.onWaist),
    pathBetween(closed.side, opened.downSide, pathLength(closed.side)),
  ];
  const low = pathEnd(own);
  const bottom: Point = [start[0], low[1]];
  const inner: Edge =
    pocket.doubled === "fold"
      ? { id: "inner", role: "fold", name: "fold at the dart line", path: [line(bottom, start)] }
      : turnedIn("inner", "edge at the dart line", bottom, start);
  const lower = turnedIn("bottom", "lower edge", low, bottom);
  const each = panel.half === "both" ? 2 : 1;
  const patch: Panel = {
    id: `patch${legSuffix(panel)}`,
    name: "Patch pocket",
    is: partOf("patch", { madeFor: panel.id }),
    half: panel.half,
    cutting: {
      material,
      sewn: { style: "pocket" },
      ...(pocket.doubled === "fold" && { pieces: { count: each, onFold: true, pairs: each === 2 } }),
      // Cut twice, it faces itself.
      ...(pocket.doubled === "two" && { also: [{ material, count: each }] }),
    },
    edges: [
      {
        id: "waist",
        role: "waist",
        name: "caught in the waist",
        becomes: "caught",
        under: { panel: panel.id, edge: front.waist.id },
        path: caught,
      },
      turnedIn("opening", "slanting opening", pathEnd(caught), pathStart(own)),
      {
        id: "side",
        role: "side",
        name: "caught in the side seam",
        becomes: "caught",
        under: { panel: panel.id, edge: side.id },
        path: own,
      },
      lower,
      inner,
    ],
    landmarks: { openingTop: pathEnd(caught), openingEnd: pathStart(own) },
    lines: [shortGrain(middleOf(start, low, bottom, pathStart(own)), 0.4 * (bottom[1] - start[1]))],
  };
  return { patch, sewnOn: [lower, inner].flatMap((e) => pathFlatten(e.path)) };
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
  note: "Over the closed dart; a diagonal across its upper outer corner is where the hand goes in.",
  params: PARAMS,
  facts: { opensIn: "front" },
  make: (garment, pocket, { hipLevel }) => patches(garment, pocket, hipLevel),
});
