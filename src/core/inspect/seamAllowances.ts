import { edgeOf, panelById, panelOutline, type Edge, type EdgeRef, type Panel } from "../pattern";
import {
  angleFromTo,
  pathAt,
  pathEndTangent,
  pathLength,
  pathStartTangent,
  pointDistance,
  polygonArea,
  rayMeets,
  type Point,
} from "../geometry";
import type { Piece, Seam } from "../pieces";
import { toDegrees, type Mm } from "../units";

/** Places looked at along each seam. */
const PLACES = 12;
/** A turn of the outline sharper than this is a corner. */
const CORNER_DEGREES = 8;

/** A seam whose two sides are not cut equally wide beyond it, where they differ most. */
export interface Unequal {
  readonly seam: Seam;
  readonly panel: string;
  readonly point: Point;
  readonly off: Mm;
}

interface Measured {
  readonly panel: string;
  readonly point: Point;
  readonly width: Mm;
  /** Within one allowance of a corner what is cut beyond the seam line may stand out. */
  readonly atCorner: boolean;
}

/** The place at a share of a walked run of edges. */
function placeOn(
  panels: readonly Panel[],
  walk: readonly EdgeRef[],
  share: number,
): { readonly panel: Panel; readonly edge: Edge; readonly along: Mm } | null {
  const parts = walk.map((ref) => {
    const panel = panelById(panels, ref.panel);
    const edge = edgeOf(panel, ref.edge);
    const [from, to] = ref.part ?? [0, pathLength(edge.path)];
    return { ref, panel, edge, from, to };
  });
  let rest = share * parts.reduce((sum, p) => sum + p.to - p.from, 0);
  for (const { ref, panel, edge, from, to } of parts) {
    if (rest <= to - from) return { panel, edge, along: ref.reversed ? to - rest : from + rest };
    rest -= to - from;
  }
  return null;
}

/** How near the nearest corner of the outline lies along an edge, less how far a hollow one takes the allowance away. */
function toCorner(panel: Panel, edge: Edge, along: Mm, allowance: Mm): Mm {
  const { edges } = panel;
  const [at, n] = [edges.indexOf(edge), edges.length];
  const turns = Math.sign(polygonArea(panelOutline(panel)));
  const away = (place: Mm, before: Edge["path"], after: Edge["path"]): Mm => {
    const turn = turns * angleFromTo(pathEndTangent(before), pathStartTangent(after));
    if (Math.abs(toDegrees(turn)) < CORNER_DEGREES) return Infinity;
    const hollow = turn < 0 ? (1.2 * allowance) / Math.tan((Math.PI + turn) / 2) - allowance : 0;
    return Math.abs(along - place) - Math.max(0, hollow);
  };
  let reached = 0;
  const inner = edge.path.map((segment, i) => {
    const before = edge.path[i - 1];
    const found = before ? away(reached, [before], [segment]) : Infinity;
    reached += pathLength([segment]);
    return found;
  });
  return Math.min(
    away(0, (edges[(at + n - 1) % n] as Edge).path, edge.path),
    away(reached, edge.path, (edges[(at + 1) % n] as Edge).path),
    ...inner,
  );
}

function measured(
  panels: readonly Panel[],
  pieces: ReadonlyMap<string, Piece>,
  walk: readonly EdgeRef[],
  share: number,
): Measured | null {
  const place = placeOn(panels, walk, share);
  const piece = place && pieces.get(place.panel.id);
  if (!place || !piece) return null;
  const { panel, edge, along } = place;
  const { point, tangent } = pathAt(edge.path, along);
  const outward = Math.sign(polygonArea(panelOutline(panel)));
  const meet = rayMeets(point, [tangent[1] * outward, -tangent[0] * outward], piece.cutLine);
  const own = piece.edges.filter((e) => e.edge === edge.id);
  const surplus = Math.max(0, ...own.map((e) => e.surplus ?? 0));
  const widest = surplus + Math.max(...own.map((e) => Math.max(e.allowance, e.allowanceEnd ?? 0)));
  return {
    panel: panel.id,
    point,
    width: meet ? pointDistance(point, meet) - surplus : Infinity,
    atCorner: toCorner(panel, edge, along, widest) <= widest + 0.5,
  };
}

/**
 * The two sides of every seam laid on each other stretch by stretch, ease and gathers shared out: where what is cut
 * beyond one differs from what is cut beyond the other by more than `most` millimetres. Near a corner of one side it may
 * not be narrower than the other. Seams are left out where what made an edge says for itself what is cut beyond it.
 */
export function unequalSeams(
  panels: readonly Panel[],
  pieces: readonly Piece[],
  seams: readonly Seam[],
  most: Mm,
): readonly Unequal[] {
  const byPanel = new Map(pieces.map((piece) => [piece.panel.id, piece]));
  const isStated = ({ panel, edge }: EdgeRef): boolean => edgeOf(panelById(panels, panel), edge).beyond !== undefined;
  return seams.flatMap((seam) => {
    if ([...seam.walkA, ...seam.walkB].some(isStated)) return [];
    let worst: Unequal | null = null;
    for (let i = 0; i < PLACES; i++) {
      const share = (i + 0.5) / PLACES;
      const [a, b] = [measured(panels, byPanel, seam.walkA, share), measured(panels, byPanel, seam.walkB, share)];
      if (!a || !b || (a.atCorner && b.atCorner)) continue;
      const more = a.width - b.width;
      const off = a.atCorner ? Math.max(0, -more) : b.atCorner ? Math.max(0, more) : Math.abs(more);
      if (!(off <= (worst?.off ?? most))) worst = { seam, panel: a.panel, point: a.point, off };
    }
    return worst ? [worst] : [];
  });
}
