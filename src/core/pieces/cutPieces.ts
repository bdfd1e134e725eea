import { edgeOf, isBodice, panelArea, panelById, panelOutline, type Edge, type Fate, type Panel } from "../pattern";
import {
  pathAt,
  pathLength,
  nearestOnOutline,
  pathNearest,
  pointBetween,
  pointDistance,
  polygonArea,
  rayMeets,
  type Point,
} from "../geometry";
import { type Mm, say, count, joined, typed, type Words } from "../units";
import { cutLineOf, type EdgeAllowance } from "./cutLine";
import { ZIP_TAPER, type CutPlan, type OpeningCut, type OpensOn } from "./cutPlan";
import { edgeAllowances, edgeKey, sewnEdges } from "./edgeAllowances";
import { fateOf } from "./fates";
import { grainWords, grainOf, withGrain } from "./grain";
import { notchPlaces, type NotchPlace } from "./notches";
import { offsetEdge } from "./offset";
import type { Notch, Piece, PieceEdge } from "./piece";
import type { Seam } from "./seams";
import { endWords, signsOf } from "./signs";

/** Every panel as a piece to cut, with its allowances applied once and its matching marks. */
export function cutPieces(panels: readonly Panel[], seams: readonly Seam[], plan: CutPlan): Piece[] {
  const opened = openedEdges(panels, seams, plan.opening);
  const ends = [...opened].flatMap(([key, { length }]): NotchPlace[] => {
    const [panel, edge] = key.split(".") as [string, string];
    const whole = pathLength(edgeOf(panelById(panels, panel), edge).path);
    if (whole - length < 1) return [];
    return [{ panel, edge, along: whole - length, kind: "single", pairs: `crotch-${plan.opening?.root ?? "back"}` }];
  });
  const marks = notchPlaces(panels, seams, [...plan.marks, ...ends, ...panels.flatMap(ownNotches)]);
  const allowed = edgeAllowances(panels, seams, opened, plan);
  const sewn = sewnEdges(seams);
  return panels.map((panel) => {
    const own = marks.filter((mark) => mark.panel === panel.id);
    const applied = panel.edges.map((edge) => allowed.get(edgeKey(panel, edge)) as EdgeAllowance);
    return pieceOf(panel, applied, own, plan, (edge) => fateOf(panel, edge, sewn.has(edgeKey(panel, edge)), plan));
  });
}

/** A notch of a block brought in lies on the outline within this, or the outline was redrawn there. */
const ON_OUTLINE: Mm = 1;

/** The notches a block brought in had, where its outline is still the same. */
function ownNotches(panel: Panel): NotchPlace[] {
  return panel.lines
    .filter((l) => l.kind === "notch")
    .flatMap(({ points: [p] }) => {
      const near = panel.edges
        .map((edge) => ({ edge, ...pathNearest(edge.path, p as Point) }))
        .reduce((a, b) => (b.distance < a.distance ? b : a));
      if (near.distance > ON_OUTLINE) return [];
      return [{ panel: panel.id, edge: near.edge.id, along: near.along, kind: "single", pairs: "own" } as const];
    });
}

/** Which centre edges the opening runs along, from the waist down, by "panel.edge". Centre edges run up to the waist. */
function openedEdges(
  panels: readonly Panel[],
  seams: readonly Seam[],
  opening: OpeningCut | null,
): ReadonlyMap<string, OpensOn> {
  const found = new Map<string, OpensOn>();
  if (!opening) return found;
  for (const seam of seams.filter((s) => s.kind === "centre" && s.root === opening.root)) {
    for (const walk of [seam.walkA, seam.walkB]) {
      let rest = opening.length;
      for (const ref of [...walk].reverse()) {
        const panel = panelById(panels, ref.panel);
        const whole = pathLength(edgeOf(panel, ref.edge).path);
        // Above the waist the opening runs through to the neck.
        const length = isBodice(panel) ? whole : Math.min(rest, whole);
        if (length > 0) found.set(`${ref.panel}.${ref.edge}`, { length, width: opening.width });
        rest -= length;
      }
    }
  }
  return found;
}

function pieceOf(
  panel: Panel,
  applied: readonly EdgeAllowance[],
  marks: readonly NotchPlace[],
  plan: CutPlan,
  fate: (edge: Edge) => Fate | null,
): Piece {
  const stretchesOf = ({ edge, widest, width, surplus, isFree, opens }: EdgeAllowance): Stretch[] => {
    const whole = pathLength(edge.path);
    if (surplus > 0) return [{ ...stretch(edge, edge.id, [0, whole], widest - surplus), surplus }];
    const ends = [width(0), width(whole)] as const;
    if (opens && Math.abs(ends[0] - ends[1]) > 1e-9)
      return openingStretches(edge, plan.allowances.widths.crotch, opens);
    if (Math.abs(ends[0] - ends[1]) > 1e-9)
      return [{ ...stretch(edge, edge.id, [0, whole], ends[0], ends[1]), ends: endWords(panel, edge) }];
    return [{ ...stretch(edge, edge.id, [0, whole], widest), ...(isFree && { isFree }) }];
  };
  const edges = applied.flatMap((a) => stretchesOf(a).map((s): PieceEdge => ({ ...s, fate: fate(a.edge) })));
  return finish(panel, applied, edges, marks, cutOf(panel), plan);
}

/** One for each leg, unless the panel belongs to one leg or says otherwise. */
function cutOf(panel: Panel): Piece["cut"] {
  if (panel.cutting.pieces) {
    const { count, onFold, pairs = false } = panel.cutting.pieces;
    return { count, pairs, onFold, singleLayer: count === 1 && !onFold };
  }
  const pairs = panel.half === "both";
  return { count: pairs ? 2 : 1, pairs, onFold: false, singleLayer: !pairs };
}

/** A stretch of an edge with one allowance, before it is said what becomes of it. */
type Stretch = Omit<PieceEdge, "fate">;

const stretch = (edge: Edge, id: string, [from, to]: readonly [Mm, Mm], allowance: Mm, allowanceEnd?: Mm): Stretch => ({
  id,
  role: edge.role,
  name: edge.name,
  edge: edge.id,
  from,
  length: to - from,
  allowance,
  ...(allowanceEnd === undefined ? {} : { allowanceEnd }),
});

function openingStretches(edge: Edge, usual: Mm, opens: OpensOn): Stretch[] {
  const whole = pathLength(edge.path);
  const from = whole - opens.length;
  const taperFrom = Math.max(0, from - ZIP_TAPER);
  return [
    stretch(edge, "crotch", [0, taperFrom], usual),
    stretch(edge, "crotch-taper", [taperFrom, from], usual, opens.width),
    stretch(edge, "crotch-zip", [from, whole], opens.width),
  ].filter((s) => s.length > 1e-6);
}

function finish(
  panel: Panel,
  applied: readonly EdgeAllowance[],
  edges: readonly PieceEdge[],
  places: readonly NotchPlace[],
  cut: Piece["cut"],
  plan: CutPlan,
): Piece {
  const outward = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const cutLine = cutLineOf(panel, applied, plan.allowances.corners === "squared");
  const widthOf = new Map(applied.map((a) => [a.edge.id, a.width]));
  const notches = places.map(({ edge: id, along, kind, pairs }): Notch => {
    const edge = edgeOf(panel, id);
    const { point, tangent } = pathAt(edge.path, along);
    const normal: Point = [tangent[1] * outward, -tangent[0] * outward];
    return { at: point, outer: onCutLine(point, normal, widthOf.get(edge.id)?.(along) ?? 0, cutLine), kind, pairs };
  });
  const grainLine = panel.lines.find((l) => l.kind === "grain");
  if (!grainLine) throw new RangeError(`${panel.id} has no grain line`);
  const id = panel.is.leftOf ?? panel.id;
  // The fold lies on the thread, and what is cut on it with it.
  const lies = cut.onFold ? null : (plan.lies[id] ?? null);
  const grain = grainOf(panel, cut.onFold, grainLine.points, lies);
  return {
    id,
    name: panel.name,
    is: panel.is,
    panel: lies ? withGrain(panel, grain) : panel,
    material: panel.cutting.material,
    alsoCut: panel.cutting.also ?? [],
    cut,
    seamLine: panelOutline(panel),
    cutLine,
    edges,
    lies,
    grain,
    trims: applied.flatMap(({ edge, width, surplus }) =>
      surplus > 0 ? [offsetEdge(edge.path, (along) => width(along) - surplus, outward)] : [],
    ),
    signs: signsOf(panel, applied),
    notches,
    drills: drillsOf(panel),
    label: labelOf(panel, cut, lies, plan),
    area: panelArea(panel),
  };
}

/** A ray that runs on longer than this many widths has passed beside the corner it left from. */
const PASSED = 2.5;

/** Where a mark meets the cut line: square outward, or at its nearest place where that way leads past a corner. */
function onCutLine(at: Point, normal: Point, width: Mm, cutLine: readonly Point[]): Point {
  const meet = rayMeets(at, normal, cutLine);
  return meet && pointDistance(at, meet) <= PASSED * width + 1 ? meet : nearestOnOutline(at, cutLine);
}

/** Drilled this far short of a dart's tip, so that the hole is hidden in the dart. */
const DRILL_SHORT: Mm = 10;

function drillsOf(panel: Panel): Point[] {
  const stated = panel.lines.flatMap((l) => (l.kind === "drill" ? l.points : []));
  const tips = panel.lines
    .filter((l) => l.kind === "dart")
    .flatMap(({ points }) => {
      const [from, tip, to] = points;
      if (!from || !tip || !to) return [];
      const mouth = pointBetween(from, to, 0.5);
      const long = pointDistance(mouth, tip);
      return long > 2 * DRILL_SHORT ? [pointBetween(tip, mouth, DRILL_SHORT / long)] : [];
    });
  return [...stated, ...tips];
}

/** How many to cut, in words: "cut 2, left and right", "cut 1 on the fold". */
function cutWords(cut: Piece["cut"]): Words {
  if (cut.pairs && cut.onFold) return say`cut ${count(cut.count)}, left and right, each on the fold`;
  if (cut.pairs && cut.count === 4) return "cut 4, two left and two right";
  if (cut.pairs) return say`cut ${count(cut.count)}, left and right`;
  return cut.onFold ? say`cut ${count(cut.count)} on the fold` : say`cut ${count(cut.count)}, single layer`;
}

/** What the same outline is cut from besides, in one line: "and 2 interfacing, 2 lining". */
function alsoWords({ cutting: { also = [] } }: Panel): Words[] {
  return also.length === 0
    ? []
    : [
        say`and ${joined(
          also.map((a) => say`${count(a.count)} ${a.material}${a.note ? say`, ${a.note}` : ""}`),
          "; ",
        )}`,
      ];
}

/** What stands on a label where nobody is named. */
export const UNNAMED = { job: "Unnamed job", wearer: "wearer not named" } as const;

function labelOf(panel: Panel, cut: Piece["cut"], lies: Piece["lies"], { job }: CutPlan): Words[] {
  return [
    panel.name,
    say`${cutWords(cut)}, ${panel.cutting.material}${lies ? say`, ${grainWords(lies)}` : ""}`,
    ...alsoWords(panel),
    job.name ? say`${typed(job.name)}` : UNNAMED.job,
    job.wearer ? say`for ${typed(job.wearer)}` : UNNAMED.wearer,
    say`${typed([job.version, job.date].filter(Boolean).join(", "))}`,
  ];
}
