import { EDGE_ROLES, type AllowanceKind, type Edge, type EdgeRef, type Panel } from "../pattern";
import { pathAt, pathLength, pathNearest } from "../geometry";
import type { Running } from "../finish";
import type { Mm } from "../units";
import type { EdgeAllowance } from "./cutLine";
import { ZIP_TAPER, type CutPlan, type OpensOn } from "./cutPlan";
import { isFreeEdge } from "./fates";
import type { Seam } from "./seams";

export const edgeKey = (panel: Panel, edge: Edge): string => `${panel.id}.${edge.id}`;

/** The kind of allowance an edge takes by what it is. */
function kindOf(panel: Panel, edge: Edge, zipAtSide: boolean): AllowanceKind {
  if (edge.sewnAs) return edge.sewnAs;
  if (panel.cutting.sewn?.all) return panel.cutting.sewn.all;
  const { allowance } = EDGE_ROLES[edge.role];
  if (allowance === "side") return zipAtSide ? "zip" : "side";
  if (allowance === "style") return panel.cutting.sewn?.style ?? "style";
  // A hem that is no rim of the garment's, as a facing's, is sewn to one and cut like a waist.
  return allowance === "hem" || allowance === "none" ? "waist" : allowance;
}

/** The width that a maker has set apart for one edge. */
const singleOf = (panel: Panel, edge: Edge, { allowances: { edges } }: CutPlan): Running | undefined =>
  edges[edgeKey(panel, edge)] ?? edges[`${panel.is.leftOf ?? panel.id}.${edge.id}`];

/** What is cut beyond one edge by what it is, before its seam has a say. */
function allowanceOf(
  panel: Panel,
  edge: Edge,
  opens: OpensOn | undefined,
  isFree: boolean,
  plan: CutPlan,
): EdgeAllowance {
  const { widths } = plan.allowances;
  const single = singleOf(panel, edge, plan);
  if (EDGE_ROLES[edge.role].allowance === "none") return flat(edge, 0);
  if (single) return running(edge, single);
  if (edge.beyond !== undefined) return flat(edge, edge.beyond, edge.beyond === 0);
  if (isFree) return flat(edge, plan.freeEdge, true);
  if (opens) return openingAllowance(edge, widths.crotch, opens);
  // A facing ends at the opening as wide as the panel it faces.
  const isCentre = edge.role === "crotch" || edge.role === "centre";
  if (panel.is.component === "part" && isCentre && plan.opening?.root === panel.is.root)
    return flat(edge, plan.opening.width);
  if (edge.role === "hem" && panel.is.part !== "hem-facing") {
    return { ...flat(edge, plan.hem?.allowance ?? 0), mirrored: plan.hem?.mirrored === true && !panel.worn?.ring };
  }
  const kind = kindOf(panel, edge, plan.zipAtSide);
  return flat(edge, kind === "zip" ? Math.max(widths.zip, widths.side) : widths[kind]);
}

const flat = (edge: Edge, width: Mm, isFree = false): EdgeAllowance => ({
  edge,
  width: () => width,
  widest: width,
  surplus: 0,
  isFree,
  mirrored: false,
});

/** The allowance with the edge's surplus beyond it. */
function withSurplus(allowance: EdgeAllowance): EdgeAllowance {
  const surplus = allowance.edge.surplus?.mm ?? 0;
  if (surplus === 0) return allowance;
  const { width, widest } = allowance;
  return { ...allowance, surplus, width: (along) => width(along) + surplus, widest: widest + surplus };
}

/** A width that runs evenly from one end of the edge to the other. */
function running(edge: Edge, [from, to]: Running): EdgeAllowance {
  const whole = pathLength(edge.path);
  return {
    edge,
    width: (along) => from + ((to - from) * along) / whole,
    widest: Math.max(from, to),
    surplus: 0,
    isFree: false,
    mirrored: false,
  };
}

/** Wide along the opening, narrowing below it. */
function openingAllowance(edge: Edge, usual: Mm, opens: OpensOn): EdgeAllowance {
  const from = pathLength(edge.path) - opens.length;
  const width = (along: Mm): Mm => {
    const below = Math.min(1, Math.max(0, (from - along) / ZIP_TAPER));
    return opens.width + (usual - opens.width) * below;
  };
  return { edge, width, widest: Math.max(opens.width, usual), surplus: 0, isFree: false, mirrored: false, opens };
}

/** An edge whose allowance a seam may set: it has one width of its own, which nobody has set apart. */
interface Settable {
  readonly edge: Edge;
  width: Mm;
}

/** The allowance of a seam between two sides: a body seam's own, or the narrower of the two where a part is sewn on. */
function sharedWidth(seams: readonly Seam[], widths: readonly Mm[], of: (ref: EdgeRef) => Mm | undefined): Mm {
  const body = seams.find((seam) => seam.kind !== "cut");
  const own = body?.walkA.map(of).find((width) => width !== undefined);
  return own ?? Math.min(...widths);
}

/** Edges that are sewn to one another, directly or through a third: each group with its seams. */
function sewnTogether(seams: readonly Seam[], settable: ReadonlyMap<string, Settable>) {
  const groupOf = new Map<string, { readonly keys: Set<string>; readonly seams: Set<Seam> }>();
  for (const seam of seams) {
    const keys = [...seam.walkA, ...seam.walkB]
      .filter((ref) => !ref.part)
      .map((ref) => `${ref.panel}.${ref.edge}`)
      .filter((key) => settable.has(key));
    const joined = { keys: new Set(keys), seams: new Set([seam]) };
    for (const key of keys) {
      const known = groupOf.get(key);
      for (const other of known?.keys ?? []) joined.keys.add(other);
      for (const other of known?.seams ?? []) joined.seams.add(other);
    }
    for (const key of joined.keys) groupOf.set(key, joined);
  }
  return new Set(groupOf.values());
}

/** The edges that a seam takes, by "panel.edge". */
export const sewnEdges = (seams: readonly Seam[]): ReadonlySet<string> =>
  new Set(seams.flatMap((seam) => [...seam.walkA, ...seam.walkB]).map((ref) => `${ref.panel}.${ref.edge}`));

/** What is caught with another edge is cut as wide as that one is at the same place; null where it is caught with none. */
function widthUnder(
  panels: readonly Panel[],
  { under, path }: Edge,
  all: ReadonlyMap<string, EdgeAllowance>,
): Mm | null {
  const over = under && all.get(`${under.panel}.${under.edge}`);
  const whole = under && panels.find((p) => p.id === under.panel)?.edges.find((e) => e.id === under.edge);
  if (!over || !whole) return null;
  return over.width(pathNearest(whole.path, pathAt(path, pathLength(path) / 2).point).along);
}

/**
 * What is cut beyond every edge, by "panel.edge". An allowance belongs to the seam: both its sides take it, but for an
 * edge that its maker has set apart. A dart's mouth takes what is cut beside it, so that no pit stands in the cut line.
 */
export function edgeAllowances(
  panels: readonly Panel[],
  seams: readonly Seam[],
  opened: ReadonlyMap<string, OpensOn>,
  plan: CutPlan,
): ReadonlyMap<string, EdgeAllowance> {
  const all = new Map<string, EdgeAllowance>();
  const settable = new Map<string, Settable>();
  const sewn = sewnEdges(seams);
  for (const panel of panels)
    for (const edge of panel.edges) {
      const key = edgeKey(panel, edge);
      const allowance = allowanceOf(panel, edge, opened.get(key), isFreeEdge(panel, edge, sewn.has(key)), plan);
      all.set(key, allowance);
      const apart = singleOf(panel, edge, plan) !== undefined;
      const fixed =
        allowance.mirrored ||
        allowance.isFree ||
        edge.beyond !== undefined ||
        opened.has(key) ||
        EDGE_ROLES[edge.role].allowance === "none";
      if (!apart && !fixed) settable.set(key, { edge, width: allowance.widest });
    }
  const widthAt = (ref: EdgeRef): Mm | undefined => settable.get(`${ref.panel}.${ref.edge}`)?.width;
  for (const group of sewnTogether(seams, settable)) {
    const held = [...group.keys].map((key) => settable.get(key) as Settable);
    const width = sharedWidth(
      [...group.seams],
      held.map((s) => s.width),
      widthAt,
    );
    for (const one of held) one.width = width;
  }
  // What is sewn to a stretch of a longer edge takes that stretch's width.
  for (const seam of seams)
    for (const [some, others] of [
      [seam.walkA, seam.walkB],
      [seam.walkB, seam.walkA],
    ] as const) {
      const part = some.find((ref) => ref.part);
      const [from, to] = part?.part ?? [0, 0];
      const width = part && all.get(`${part.panel}.${part.edge}`)?.width((from + to) / 2);
      for (const ref of width === undefined ? [] : others) {
        const one = settable.get(`${ref.panel}.${ref.edge}`);
        if (one && !ref.part) one.width = width as Mm;
      }
    }
  for (const [key, { edge, width }] of settable) all.set(key, { ...flat(edge, width) });
  for (const panel of panels)
    for (const edge of panel.edges) {
      const width = singleOf(panel, edge, plan) ? null : widthUnder(panels, edge, all);
      if (width !== null) all.set(edgeKey(panel, edge), flat(edge, width));
    }
  for (const [key, allowance] of all) all.set(key, withSurplus(allowance));
  for (const panel of panels)
    panel.edges.forEach((edge, i) => {
      if (edge.role !== "dart") return;
      const n = panel.edges.length;
      const beside = [panel.edges[(i + n - 1) % n], panel.edges[(i + 1) % n]].flatMap((e) =>
        e && e.role !== "dart" ? (all.get(edgeKey(panel, e))?.widest ?? []) : [],
      );
      if (beside.length > 0) all.set(edgeKey(panel, edge), flat(edge, Math.max(...beside)));
    });
  return all;
}
