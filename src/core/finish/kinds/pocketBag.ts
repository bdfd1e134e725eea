import { isOf, type Edge, type Panel, rimOf } from "../../pattern";
import {
  cubic,
  line,
  pathAt,
  pathEnd,
  pathLength,
  pathStart,
  pointAdd,
  pointDistance,
  pointScale,
  pointUnit,
  type Path,
  type Point,
} from "../../geometry";
import type { Mm } from "../../units";
import type { Garment } from "../garment";

/** A front whose waist and side meet: where pockets go. */
export interface PocketFront {
  readonly panel: Panel;
  /** The last stretch of waist before the side, and the side seam that starts there. */
  readonly waist: Edge;
  readonly side: Edge;
  /** Horizontal direction from the side toward the centre. */
  readonly inward: 1 | -1;
  /** From the edge of the cloth down to the waist: a casing cut on lies between. */
  readonly top: Mm;
}

/** A panel's upper edges: its waist, or, for what is left of it under a band or yoke, the seam it is sewn by. */
export const upperEdges = (panel: Panel): readonly Edge[] => {
  const cutAbove = new Set(panel.is.cuts.flatMap((cut) => (cut.part === "below" ? [cut.by] : [])));
  return panel.edges.filter(
    (e) => rimOf(e) === "waist" || (e.role === "style" && e.by !== undefined && cutAbove.has(e.by)),
  );
};

/** The fronts of both legs, or of each, that have a whole corner of waist and side. */
export function pocketFronts({ panels }: Garment): readonly PocketFront[] {
  return panels.flatMap((panel) => {
    const side = panel.edges.find((e) => e.role === "side");
    const waist = upperEdges(panel).find((e) => side && pointDistance(pathEnd(e.path), pathStart(side.path)) < 1e-6);
    if (!isOf(panel, "front") || !side || !waist) return [];
    if (pathLength(side.path) < 220) return [];
    const inward = pathStart(waist.path)[0] > pathEnd(waist.path)[0] ? 1 : -1;
    const cased = panel.worn?.casings?.waist;
    return [{ panel, waist, side, inward, top: cased?.added ?? 0 }];
  });
}

/** Added to names and ids of parts that serve one leg alone. */
export const legSuffix = ({ half }: Panel): string => (half === "both" ? "" : `-${half}`);

/**
 * The free edge of a pocket bag, from the side seam round its bottom and up to the waist: `width` wide from the side,
 * its bottom at level `bottom`, its corners rounded.
 */
export function bagEdge(from: Point, to: Point, side: Point, inward: 1 | -1, width: Mm, bottom: Mm): Path {
  const inner = side[0] + inward * width;
  const round = Math.min(45, width / 3, Math.abs(bottom - from[1]) + 30);
  const low: Point = [from[0] + inward * round * 1.1, bottom];
  const farLow: Point = [inner - inward * round, bottom];
  const up: Point = [inner, bottom - round];
  const on = pointUnit([to[0] - up[0], to[1] - up[1]]);
  return [
    cubic(
      from,
      [from[0] + inward * round * 0.4, from[1] + (bottom - from[1]) * 0.3],
      [low[0] - inward * round * 0.6, bottom],
      low,
    ),
    line(low, farLow),
    cubic(farLow, [farLow[0] + inward * round * 0.55, bottom], pointAdd(up, pointScale(on, -round * 0.5)), up),
    line(up, to),
  ];
}

/** A short line within a small part, running the way the leg's grain runs. */
export function shortGrain(middle: Point, length: Mm): Panel["lines"][number] {
  return { kind: "grain", points: [pointAdd(middle, [0, -length / 2]), pointAdd(middle, [0, length / 2])] };
}

/** The place on an edge, by arc length from its start. */
export const placeAt = (edge: Edge, along: Mm): Point => pathAt(edge.path, along).point;

/** The mean of some places. */
export const middleOf = (...points: readonly Point[]): Point =>
  pointScale(
    points.reduce((a, b) => pointAdd(a, b), [0, 0] as Point),
    1 / points.length,
  );
