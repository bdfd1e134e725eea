import {
  against,
  along,
  panelOutline,
  type Edge,
  type EdgeRef,
  type Join,
  type PanelLine,
  type Panel,
  cutPanel,
  partOf,
  type PartKind,
  type Material,
} from "../../pattern";
import {
  solveRising,
  cubic,
  line,
  pathAt,
  pathBetween,
  pathLength,
  pathReverse,
  pointAdd,
  pointBetween,
  pointCross,
  pointDistance,
  pointScale,
  pointSubtract,
  pointUnit,
  polygonSelfCrossing,
  type Path,
  type Point,
} from "../../geometry";
import { type Mm, say, type Sentence, type Words } from "../../units";
import { unsettled, withParts, type Garment, type Mark } from "../garment";
import { bagEdge, legSuffix, middleOf, placeAt, pocketFronts, shortGrain, type PocketFront } from "./pocketBag";
import { choice, length, statedLength, type ReadOf } from "../../params";
import type { Quantity } from "../../units";
import { defineFinish } from "../define";
import { CONTRAST } from "./shared";

const PARAMS = {
  across: length("From the side seam to the opening, along the waist.", {
    label: "Across the waist",
    within: [25, 120],
    tried: [30, 90],
  }),
  measured: choice("How its length is measured: down the side seam, or along the slant.", {
    label: "Its length is taken",
    options: [
      ["side", "down the side"],
      ["slant", "along the slant"],
    ],
  }),
  down: statedLength("From the waist to the opening's end, down the side seam or along the slant.", {
    label: "Length of the opening",
    usual: { mm: 170 },
    within: [60, 260],
    tried: [100, 220],
  }),
  width: statedLength("Width of the bag.", { label: "Width of the bag", usual: { mm: 165 }, within: [80, 260] }),
  below: statedLength("Depth of the bag below the opening.", {
    label: "Bag below the opening",
    usual: { mm: 75 },
    within: [20, 200],
  }),
  edge: choice("Shape of the opening.", {
    label: "Opening is",
    options: [
      ["straight", "straight"],
      ["curved", "curved"],
      ["scalloped", "scalloped"],
    ],
  }),
  contrast: { ...CONTRAST, about: "The hip piece that shows is cut from a second cloth." },
};

type Slant = ReadOf<typeof PARAMS, Quantity>;

const ID = "slant-pocket";

/** The bag is caught in the side seam this far below the opening. */
const MOST_CAUGHT: Mm = 40;
/** Of the bag's depth below the opening, so much of it is caught, so that its bottom rounds off below. */
const CAUGHT_SHARE = 0.55;
/** Width of the facing that stiffens the opening. */
const FACING: Mm = 35;
/** How much wider it is behind scallops, to reach past their bows. */
const BOWS: Mm = 10;
/** The facing is caught in the side seam this far below the opening. */
const CORNER: Mm = 22;

/** The line of the opening from the waist to the side. */
function openingPath(a: Point, b: Point, shape: Slant["edge"], inward: 1 | -1): Path {
  if (shape === "straight") return [line(a, b)];
  const chord: Point = [b[0] - a[0], b[1] - a[1]];
  // Hollowed toward the centre front and down.
  const hollow: Point = pointScale([inward * Math.abs(chord[1]), Math.abs(chord[0])], 1 / pointDistance(a, b));
  if (shape === "curved") {
    const bow = pointScale(hollow, 0.16 * pointDistance(a, b));
    return [cubic(a, pointAdd(pointBetween(a, b, 0.3), bow), pointAdd(pointBetween(a, b, 0.7), bow), b)];
  }
  const count = Math.max(3, Math.round(pointDistance(a, b) / 40));
  const bow = pointScale(hollow, 9);
  return Array.from({ length: count }, (_, i) => {
    const [p, q] = [pointBetween(a, b, i / count), pointBetween(a, b, (i + 1) / count)];
    return cubic(p, pointAdd(pointBetween(p, q, 0.15), bow), pointAdd(pointBetween(p, q, 0.85), bow), q);
  });
}

/** How far down the side an opening of this length along the slant ends. */
function endOfSlant(side: Edge, top: Mm, mouth: Point, length: Mm): Mm {
  const whole = pathLength(side.path);
  return solveRising((down) => pointDistance(mouth, placeAt(side, down)), length, top, whole);
}

/** What the last stretch of waist before the side begins at. */
function inTheWay(panel: Panel, waist: Edge): string {
  const before = panel.edges[(panel.edges.indexOf(waist) + panel.edges.length - 1) % panel.edges.length];
  if (before?.role !== "dart") return "The centre";
  return panel.lines.some((l) => l.kind === "pleat") ? "A pleat" : "A dart";
}

/** Where a pocket lies on its front: along waist and side, and the places between which it opens. */
interface Place {
  /** From where the waist begins to where the pocket does. */
  readonly along: Mm;
  readonly under: Mm;
  readonly down: Mm;
  /** So far the hip piece is caught in the side below the opening. */
  readonly caught: Mm;
  /** From the waist down to where the opening begins, under a casing that is cut on. */
  readonly run: Point;
  readonly mouth: Point;
  readonly end: Point;
  readonly opening: Path;
}

/** Where the pocket lies; a sentence where it finds no place. */
function placeOf({ panel, waist, side, inward, top }: PocketFront, pocket: Slant): Place | Sentence {
  const room = pathLength(waist.path);
  const across = pocket.across === "auto" ? Math.min(60, 0.66 * room) : pocket.across.mm;
  const run: Point = pointSubtract(placeAt(side, top), placeAt(side, 0));
  const mouth = pointAdd(placeAt(waist, Math.max(0, room - across)), run);
  // Under a casing that is cut on, the pocket begins where the casing ends.
  const down = pocket.measured === "slant" ? endOfSlant(side, top, mouth, pocket.down.mm) : top + pocket.down.mm;
  const caught = Math.min(MOST_CAUGHT, CAUGHT_SHARE * pocket.below.mm);
  const under = Math.min(room - across - 2, pocket.width.mm - across);
  // Behind scallops the facing has to reach past their bows.
  const least = pocket.edge === "scalloped" ? 26 : 10;
  if (under < least)
    return say`${inTheWay(panel, waist)} stands in the way of the slant pocket: from the side it can open at most ${Math.max(0, room - 2 - least)} across.`;
  if (down + caught > pathLength(side.path) * 0.7) return say`The side seam is too short for the slant pocket.`;
  const [a, end] = [placeAt(waist, room - across), placeAt(side, down)];
  const opening = [...(top > 0 ? [line(a, mouth)] : []), ...openingPath(mouth, end, pocket.edge, inward)];
  return { along: room - across, under, down, caught, run, mouth, end, opening };
}

/** The ids of a pocket's panels. */
const idsOf = (panel: Panel) => {
  const tail = legSuffix(panel);
  return {
    hip: `pocket-hip${tail}`,
    bag: `pocket-bag${tail}`,
    facing: `pocket-facing${tail}`,
    seam: `pocket-opening${tail}`,
    rest: panel.is.leftOf === null ? `${panel.id}-main` : panel.id,
  };
};

const openingEdge = ({ opening }: Place): Edge => ({
  id: "opening",
  role: "style",
  name: "pocket opening",
  path: opening,
});

/** What of the front's waist and side lies over the pocket and catches it. */
function caughtEdges({ panel, waist, side }: PocketFront, { along: from, under, down, caught }: Place) {
  const { rest } = idsOf(panel);
  const sideUnder: Edge = {
    ...side,
    id: "side-under",
    name: "side seam, under",
    becomes: "caught",
    under: { panel: rest, edge: side.id },
    path: pathBetween(side.path, down, down + caught),
  };
  const waistUnder: Edge = {
    ...waist,
    id: "waist-under",
    name: "waist, under",
    becomes: "caught",
    under: { panel: rest, edge: waist.id },
    path: pathBetween(waist.path, from - under, from),
  };
  return { sideUnder, waistUnder };
}

/** A part of the pocket on its front's leg. */
const part = (
  { id, half }: Panel,
  of: { readonly id: string; readonly name: string; readonly kind: PartKind; readonly material: Material },
  edges: readonly Edge[],
  grain: PanelLine,
): Panel => ({
  id: of.id,
  is: partOf(of.kind, { madeFor: id }),
  name: half === "both" ? of.name : say`${of.name}, ${half}`,
  half,
  cutting: { material: of.material, sewn: { style: "pocket" } },
  edges,
  landmarks: {},
  lines: [grain],
});

/** The facing of the opening, its lower corner cut off square so that no spike runs down the side; null without room for it. */
function facingOf(front: PocketFront, place: Place, pocket: Slant): Panel | null {
  const { panel, waist, side, inward, top } = front;
  const { along: from, under, down, caught, run, mouth, end } = place;
  const wide = FACING + (pocket.edge === "scalloped" ? BOWS : 0);
  const slant = pointUnit(pointSubtract(end, mouth));
  // Toward the centre and down, square to the opening.
  const off = pointScale([inward * Math.abs(slant[1]), Math.abs(slant[0])], wide);
  const atWaist = pathAt(waist.path, from).tangent;
  const reach = Math.min(wide / Math.max(0.3, Math.abs(pointCross(slant, atWaist))), under * 0.9);
  const f = placeAt(waist, from - reach);
  const lowest = down + Math.min(CORNER, caught);
  const corner = pointAdd(end, off);
  const { sideUnder, waistUnder } = caughtEdges(front, place);
  const free: Path = [
    ...(top > 0 ? [line(f, pointAdd(f, run))] : []),
    ...openingPath(pointAdd(f, run), corner, pocket.edge === "curved" ? "curved" : "straight", inward),
    line(corner, placeAt(side, lowest)),
  ];
  const facing = part(
    panel,
    {
      id: idsOf(panel).facing,
      name: "Pocket, facing",
      kind: "pocket-facing",
      material: panel.cutting.material,
    },
    [
      { ...waistUnder, id: "waist", path: pathBetween(waist.path, from - reach, from) },
      openingEdge(place),
      { ...sideUnder, id: "side", path: pathBetween(side.path, down, lowest) },
      { id: "free", role: "style", name: "free edge", path: pathReverse(free) },
    ],
    shortGrain(middleOf(mouth, end, f, corner), Math.min(80, down * 0.4)),
  );
  return polygonSelfCrossing(panelOutline(facing)) ? null : facing;
}

/** One pocket: the front loses its corner, a hip piece completes it and reaches behind, a bag faces the hip piece. */
function pocketOn(garment: Garment, front: PocketFront, pocket: Slant): Garment {
  const { panel, waist, side, inward } = front;
  const place = placeOf(front, pocket);
  if ("text" in place) return unsettled(garment, place);
  const { along: from, under, down, caught, mouth, end } = place;
  const facing = facingOf(front, place, pocket);
  if (!facing)
    return unsettled(
      garment,
      say`The opening of the slant pocket leaves no room for its facing: make it wider across.`,
    );
  const ids = idsOf(panel);
  const cut = cutPanel(garment, panel.id, {
    by: ID,
    from: { edge: waist.id, along: from },
    to: { edge: side.id, along: down },
    path: place.opening,
    between: { id: ids.hip, name: "Pocket, hip piece", part: "off" },
    rest: { id: ids.rest, name: panel.name, part: "main" },
    seam: { id: ids.seam, label: "Pocket opening" },
    edge: { id: "opening", name: "pocket opening" },
  });
  const { sideUnder, waistUnder } = caughtEdges(front, place);
  const [c, d] = [placeAt(waist, from - under), placeAt(side, down + caught)];
  const bottom = end[1] + pocket.below.mm;
  const bag: Edge = {
    id: "bag",
    role: "style",
    name: "bag",
    path: bagEdge(d, c, end, inward, pocket.width.mm, bottom),
  };
  const grain = shortGrain(middleOf(end, c, placeAt(side, down * 0.5)), 0.45 * (bottom - end[1] + down));
  const bagPanel: Panel = {
    ...part(
      panel,
      { id: ids.bag, name: "Pocket, bag", kind: "pocket-bag", material: "pocketing" },
      [waistUnder, openingEdge(place), sideUnder, bag],
      grain,
    ),
    landmarks: { openingTop: mouth, openingEnd: end },
  };
  const panels = cut.panels.map((p): Panel => {
    if (p.id === ids.rest) return { ...p, is: { ...p.is, leftOf: panel.is.leftOf ?? panel.id } };
    if (p.id !== ids.hip) return p;
    const material = pocket.contrast ? "contrast" : panel.cutting.material;
    const own = p.edges.filter((e) => e.by !== ID);
    return part(
      panel,
      { id: ids.hip, name: "Pocket, hip piece", kind: "pocket-hip", material },
      [...own, sideUnder, bag, waistUnder],
      grain,
    );
  });
  return withParts(
    { ...cut, panels, joins: cut.joins.filter((j) => j.id !== ids.seam) },
    {
      panels: [bagPanel, facing],
      joins: seamsOf(panel),
      marks: [
        { panel: ids.hip, edge: "side-under", along: 0, kind: "single", pairs: ids.seam },
        ...backMarks(garment, panel, down, ids.seam),
        { panel: ids.hip, edge: "waist-under", along: under, kind: "single", pairs: ids.seam },
      ],
    },
  );
}

/** How a pocket's panels are sewn together. */
function seamsOf(panel: Panel): readonly Join[] {
  const { hip, bag, facing, rest } = idsOf(panel);
  const seam = (id: string, label: Words, a: EdgeRef, b: EdgeRef): Join => ({
    id: `${id}${legSuffix(panel)}`,
    label,
    kind: "cut",
    by: ID,
    how: "equal",
    leg: panel.half,
    a: [a],
    b: [b],
  });
  return [
    seam("pocket-opening", "Pocket opening", against(rest, "opening"), against(bag, "opening")),
    seam("pocket-facing", "Pocket opening and its facing", against(rest, "opening"), against(facing, "opening")),
    seam("pocket-bag", "Pocket bag", along(hip, "bag"), along(bag, "bag")),
  ];
}

/** The opening's end on what the front's side is sewn to: the order may join the sides before the pocket is closed. */
function backMarks(garment: Garment, front: Panel, down: Mm, pairs: string): readonly Mark[] {
  return garment.joins
    .filter((join) => join.kind === "side" && join.a[0]?.panel === front.id)
    .flatMap(({ b }): Mark[] => {
      const [ref] = b;
      return ref ? [{ panel: ref.panel, edge: ref.edge, along: down, kind: "single", pairs }] : [];
    });
}

export const slantPocket = defineFinish({
  room: "pocket",
  kind: "slant",
  words: "slant",
  about: "Opens from the waist to the side seam; facing, hip piece and bag.",
  params: PARAMS,
  facts: { opensIn: "side" },
  make(garment, pocket) {
    const fronts = pocketFronts(garment);
    if (fronts.length === 0)
      return unsettled(garment, say`No front has a whole corner of waist and side for slant pockets.`);
    return fronts.reduce((made, front) => pocketOn(made, front, pocket), garment);
  },
});
