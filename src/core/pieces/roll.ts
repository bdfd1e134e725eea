import { panelById, panelOutline, refPath, type EdgeRef, type Panel } from "../pattern";
import { pathAt, pathLength, polygonArea, type Point } from "../geometry";
import type { Mm } from "../units";
import type { Seam } from "./seams";

/** Two edges of a seam rolled along each other as far as a distance from their shared start. */
export interface Rolled {
  /** The panel that lies still, and the one that rolls on it; places of the second pass through `move`. */
  readonly still: string;
  readonly rolling: string;
  readonly move: (p: Point) => Point;
  /** Where they touch, in the frame of the panel that lies still. */
  readonly at: Point;
  /** How far each edge has been walked: the shorter one stops at its end. */
  readonly alongA: Mm;
  readonly alongB: Mm;
}

interface Spot {
  readonly panel: Panel;
  readonly point: Point;
  readonly tangent: Point;
  /** 1 where the panel lies to the right of the way it is walked, as drawn, else -1. */
  readonly side: 1 | -1;
}

/** The place at a distance along a walk. */
function spotAt(panels: readonly Panel[], walk: readonly EdgeRef[], distance: Mm): Spot {
  let rest = distance;
  for (const [i, ref] of walk.entries()) {
    const path = refPath(panels, ref);
    const length = pathLength(path);
    if (rest <= length || i === walk.length - 1) {
      const panel = panelById(panels, ref.panel);
      const { point, tangent } = pathAt(path, Math.min(length, Math.max(0, rest)));
      const inside = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
      return { panel, point, tangent, side: ref.reversed ? (-inside as 1 | -1) : inside };
    }
    rest -= length;
  }
  throw new RangeError("a seam without edges");
}

/**
 * Rolls the second side of a seam along the first: at `distance` from the shared start both edges touch, tangent to
 * each other, their panels on opposite sides, as they lie when the sewn seam is opened flat.
 */
export function rollSeam(panels: readonly Panel[], seam: Seam, distance: Mm): Rolled {
  const alongA = Math.min(seam.lengthA, Math.max(0, distance));
  const alongB = Math.min(seam.lengthB, Math.max(0, distance));
  const [a, b] = [spotAt(panels, seam.walkA, alongA), spotAt(panels, seam.walkB, alongB)];
  // A panel that would come to lie on the first is turned over.
  const flip = a.side === b.side ? -1 : 1;
  const local = (p: Point): Point => {
    const [dx, dy] = [p[0] - b.point[0], p[1] - b.point[1]];
    return [dx * b.tangent[0] + dy * b.tangent[1], flip * (-dx * b.tangent[1] + dy * b.tangent[0])];
  };
  const move = (p: Point): Point => {
    const [u, v] = local(p);
    return [a.point[0] + u * a.tangent[0] - v * a.tangent[1], a.point[1] + u * a.tangent[1] + v * a.tangent[0]];
  };
  return { still: a.panel.id, rolling: b.panel.id, move, at: a.point, alongA, alongB };
}
