import { pathAt, pathLength, pointAdd, pointScale, polygonArea, type Point } from "../geometry";
import { edgeOf, edgesWithRole, isOf, panelArea, panelOutline, type Edge, type Panel } from "../drafting";
import type { AllowanceSet } from "../finish";
import type { Mm } from "../units";
import { cutLineOf, type EdgeAllowance } from "./cutLine";
import { notchPlaces, type NotchPlace } from "./notches";
import type { Notch, Piece, PieceEdge } from "./piece";
import type { Seam } from "./seams";

/** What the pieces of a job need beyond its panels. */
export interface CutPlan {
  readonly allowances: AllowanceSet;
  /** Depth of the turned hem; null while the hem is undecided. */
  readonly hemDepth: Mm | null;
  /** The hem is sewn to a cuff, not turned. */
  readonly hemSewn: boolean;
  /** Length of the zip along the centre back below the sewn waist; null without one. */
  readonly zipLength: Mm | null;
  /** The zip is set into the side, whose seams then carry its allowance. */
  readonly zipAtSide: boolean;
  readonly job: { readonly name: string; readonly wearer: string; readonly date: string; readonly version: string };
}

/** The zip's wide allowance narrows to the crotch's over this length. */
const ZIP_TAPER: Mm = 60;

/** Every panel as a piece to cut, with its allowances applied once and its matching marks. */
export function cutPieces(panels: readonly Panel[], seams: readonly Seam[], plan: CutPlan): Piece[] {
  const marks = notchPlaces(panels, seams);
  return panels.map((panel) => {
    const withZip = hasZip(panel, plan.zipLength);
    const own = marks.filter((mark) => mark.panel === panel.id);
    return pieceOf(panel, withZip ? [...own, ...zipMark(panel, withZip)] : own, withZip, plan);
  });
}

/** The edge the zip is set into, and how far down it goes; null on panels without one. */
function hasZip(panel: Panel, zip: Mm | null): ZipOn | null {
  const edge = edgesWithRole(panel, "crotch")[0];
  const whole = isOf(panel.id, "back") && panel.landmarks.waistCentre && panel.landmarks.crotchPoint;
  return whole && edge && zip !== null ? { edge, zip } : null;
}

interface ZipOn {
  readonly edge: Edge;
  readonly zip: Mm;
}

const zipMark = (panel: Panel, { edge, zip }: ZipOn): NotchPlace[] => [
  { panel: panel.id, edge: edge.id, along: pathLength(edge.path) - zip, kind: "single", pairs: "crotch-back" },
];

function pieceOf(panel: Panel, marks: readonly NotchPlace[], zip: ZipOn | null, plan: CutPlan): Piece {
  const { allowances } = plan;
  const isBand = panel.id === "waistband";
  const applied: EdgeAllowance[] = panel.edges.map((edge) => {
    if (isBand) return flat(edge, allowances.band);
    if (edge === zip?.edge) return zipAllowance(edge, allowances, zip.zip);
    switch (edge.role) {
      case "hem":
        if (plan.hemSewn) return flat(edge, allowances.inseam);
        return { ...flat(edge, plan.hemDepth ?? 0), mirrored: !panel.ring };
      case "fold":
        return flat(edge, 0);
      case "side":
        return flat(edge, plan.zipAtSide ? Math.max(allowances.side, allowances.zip) : allowances.side);
      case "style":
        return flat(edge, allowances.side);
      case "inseam":
        return flat(edge, allowances.inseam);
      case "crotch":
        return flat(edge, allowances.crotch);
      default:
        return flat(edge, allowances.waist);
    }
  });
  const edges = applied.flatMap(({ edge, widest }): PieceEdge[] =>
    edge === zip?.edge
      ? zipStretches(edge, allowances, zip.zip)
      : [stretch(edge, edge.id, [0, pathLength(edge.path)], widest)],
  );
  return finish(panel, applied, edges, marks, cutOf(panel), plan);
}

/** One for each leg, unless the panel belongs to one leg or says otherwise. */
function cutOf(panel: Panel): Piece["cut"] {
  if (panel.cut) {
    const { count, onFold } = panel.cut;
    return { count, pairs: false, onFold, singleLayer: count === 1 && !onFold };
  }
  const pairs = panel.half === "both";
  return { count: pairs ? 2 : 1, pairs, onFold: false, singleLayer: !pairs };
}

const flat = (edge: Edge, width: Mm): EdgeAllowance => ({ edge, width: () => width, widest: width, mirrored: false });

const stretch = (
  edge: Edge,
  id: string,
  [from, to]: readonly [Mm, Mm],
  allowance: Mm,
  allowanceEnd?: Mm,
): PieceEdge => ({
  id,
  role: edge.role,
  name: edge.name,
  edge: edge.id,
  from,
  length: to - from,
  allowance,
  ...(allowanceEnd === undefined ? {} : { allowanceEnd }),
});

/** Wide along the zip, narrowing below it. The crotch edge runs from the crotch point up to the waist. */
function zipAllowance(edge: Edge, set: AllowanceSet, zip: Mm): EdgeAllowance {
  const zipFrom = pathLength(edge.path) - zip;
  const width = (along: Mm): Mm => {
    const below = Math.min(1, Math.max(0, (zipFrom - along) / ZIP_TAPER));
    return set.zip + (set.crotch - set.zip) * below;
  };
  return { edge, width, widest: Math.max(set.zip, set.crotch), mirrored: false };
}

function zipStretches(edge: Edge, set: AllowanceSet, zip: Mm): PieceEdge[] {
  const whole = pathLength(edge.path);
  const zipFrom = whole - zip;
  const taperFrom = Math.max(0, zipFrom - ZIP_TAPER);
  return [
    stretch(edge, "crotch", [0, taperFrom], set.crotch),
    stretch(edge, "crotch-taper", [taperFrom, zipFrom], set.crotch, set.zip),
    stretch(edge, "crotch-zip", [zipFrom, whole], set.zip),
  ];
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
  const cutLine = cutLineOf(panel, applied);
  const widthOf = new Map(applied.map((a) => [a.edge.id, a.width]));
  const notches = places.map(({ edge: id, along, kind, pairs }): Notch => {
    const edge = edgeOf(panel, id);
    const { point, tangent } = pathAt(edge.path, along);
    const normal: Point = [tangent[1] * outward, -tangent[0] * outward];
    const width = widthOf.get(edge.id)?.(along) ?? 0;
    return { at: point, outer: pointAdd(point, pointScale(normal, width)), kind, pairs };
  });
  const grainLine = panel.lines.find((l) => l.kind === "grain");
  if (!grainLine) throw new RangeError(`${panel.id} has no grain line`);
  return {
    id: panel.id,
    name: panel.name,
    panel,
    material: panel.material,
    cut,
    seamLine: panelOutline(panel),
    cutLine,
    edges,
    grain: [grainLine.points[0] as Point, grainLine.points[grainLine.points.length - 1] as Point],
    notches,
    label: labelOf(panel, cut, plan),
    area: panelArea(panel),
  };
}

/** How many to cut, in words: "cut 2, left and right", "cut 1 on the fold". */
function cutWords(cut: Piece["cut"]): string {
  if (cut.pairs) return `cut ${cut.count}, left and right`;
  return cut.onFold ? `cut ${cut.count} on the fold` : `cut ${cut.count}, single layer`;
}

function labelOf(panel: Panel, cut: Piece["cut"], { job }: CutPlan): string[] {
  return [
    panel.name,
    `${cutWords(cut)}, ${panel.material}`,
    job.name || "Unnamed job",
    job.wearer ? `for ${job.wearer}` : "wearer not named",
    [job.version, job.date].filter(Boolean).join(", "),
  ];
}
