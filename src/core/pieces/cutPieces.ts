import { pathAt, pathLength, pointAdd, pointScale, polygonArea, type Point } from "../geometry";
import { edgeOf, panelArea, panelOutline, type Edge, type Panel } from "../drafting";
import type { AllowanceSet } from "../finish";
import type { Mm } from "../units";
import { cutLineOf, type EdgeAllowance } from "./cutLine";
import type { Notch, Piece, PieceEdge } from "./piece";

/** What the pieces of a job need beyond its panels. */
export interface CutPlan {
  readonly allowances: AllowanceSet;
  /** Depth of the turned hem; null while the hem is undecided. */
  readonly hemDepth: Mm | null;
  /** Length of the zip along the centre back below the sewn waist; null without one. */
  readonly zipLength: Mm | null;
  readonly job: { readonly name: string; readonly wearer: string; readonly date: string; readonly version: string };
}

/** The zip's wide allowance narrows to the crotch's over this length. */
const ZIP_TAPER: Mm = 60;

/** Front, back and band as pieces to cut, with their allowances applied once. */
export function cutPieces(front: Panel, back: Panel, band: Panel | null, plan: CutPlan): Piece[] {
  return [legPiece(front, plan), legPiece(back, plan), ...(band ? [bandPiece(band, front, back, plan)] : [])];
}

function legPiece(panel: Panel, plan: CutPlan): Piece {
  const { allowances, zipLength } = plan;
  const withZip = panel.id === "back" && zipLength !== null;
  const applied: EdgeAllowance[] = panel.edges.map((edge) => {
    switch (edge.role) {
      case "hem":
        return { ...flat(edge, plan.hemDepth ?? 0), mirrored: true };
      case "side":
        return flat(edge, allowances.side);
      case "inseam":
        return flat(edge, allowances.inseam);
      case "crotch":
        return withZip ? zipAllowance(edge, allowances, zipLength) : flat(edge, allowances.crotch);
      default:
        return flat(edge, allowances.waist);
    }
  });
  const edges = applied.flatMap(({ edge, widest }): PieceEdge[] =>
    edge.role === "crotch" && withZip
      ? zipStretches(edge, allowances, zipLength)
      : [stretch(edge, edge.id, [0, pathLength(edge.path)], widest)],
  );
  return finish(
    panel,
    applied,
    edges,
    legNotches(panel, zipLength),
    { count: 2, pairs: true, onFold: false, singleLayer: false },
    plan,
  );
}

function bandPiece(band: Panel, front: Panel, back: Panel, plan: CutPlan): Piece {
  const applied = band.edges.map((edge) => flat(edge, plan.allowances.band));
  const edges = applied.map(({ edge, widest }) => stretch(edge, edge.id, [0, pathLength(edge.path)], widest));
  return finish(
    band,
    applied,
    edges,
    bandNotches(band, front, back),
    { count: 1, pairs: false, onFold: false, singleLayer: true },
    plan,
  );
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

interface NotchPlace {
  readonly edge: Edge;
  readonly along: Mm;
  readonly kind: Notch["kind"];
  readonly pairs: string;
}

/** Matching marks, by arc length from the end both edges share, so that they meet when the seam is sewn. */
function legNotches(panel: Panel, zipLength: Mm | null): NotchPlace[] {
  const kind = panel.id === "front" ? "single" : "double";
  const side = edgeOf(panel, "side");
  const inseam = edgeOf(panel, "inseam");
  const crotch = edgeOf(panel, "crotch");
  const sideLength = pathLength(side.path);
  const inseamLength = pathLength(inseam.path);
  const crotchLength = pathLength(crotch.path);
  // Side and inseam are measured from the hem, which front and back share exactly.
  const places: NotchPlace[] = [
    { edge: side, along: sideLength - Math.min(sideLength * 0.45, 480), kind: "single", pairs: "side" },
    { edge: side, along: sideLength * 0.22, kind: "single", pairs: "side" },
    { edge: inseam, along: Math.min(inseamLength * 0.5, 380), kind: "single", pairs: "inseam" },
    { edge: crotch, along: crotchLength * 0.4, kind, pairs: `crotch-${panel.id}` },
  ];
  if (panel.id === "back" && zipLength !== null) {
    places.push({ edge: crotch, along: crotchLength - zipLength, kind: "single", pairs: "crotch-back" });
  }
  for (const edge of panel.edges.filter((e) => e.role === "dart")) {
    places.push(
      { edge, along: 0, kind: "single", pairs: "dart" },
      { edge, along: pathLength(edge.path), kind: "single", pairs: "dart" },
    );
  }
  return places;
}

/** On the band: the side seams and the centre front, measured from each centre back. */
function bandNotches(band: Panel, front: Panel, back: Panel): NotchPlace[] {
  const waistOf = (panel: Panel): Mm =>
    panel.edges.filter((e) => e.role === "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
  const right = edgeOf(band, "sewn-right");
  const left = edgeOf(band, "sewn-left");
  const backWaist = waistOf(back);
  return [
    { edge: right, along: 0, kind: "double", pairs: "waist-right" },
    { edge: right, along: backWaist, kind: "single", pairs: "waist-right" },
    { edge: right, along: backWaist + waistOf(front), kind: "single", pairs: "waist-right" },
    { edge: left, along: waistOf(front), kind: "single", pairs: "waist-left" },
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
  const notches = places.map(({ edge, along, kind, pairs }): Notch => {
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

function labelOf(panel: Panel, cut: Piece["cut"], { job }: CutPlan): string[] {
  const count = cut.pairs ? `cut ${cut.count}, left and right` : `cut ${cut.count}, single layer`;
  return [
    panel.name,
    `${count}, ${panel.material}`,
    job.name || "Unnamed job",
    job.wearer ? `for ${job.wearer}` : "wearer not named",
    [job.version, job.date].filter(Boolean).join(", "),
  ];
}
