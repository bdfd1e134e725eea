import { edgesWithRole, isOf, type Panel } from "../pattern";
import { pathCrossings } from "../geometry";
import type { LegPlan } from "../drafting";
import type { Mm } from "../units";

/**
 * How far the crotch curve of a panel stands out beyond its centre line, carried down to a level: it is no width of the
 * body there. Nothing where the curve leaves the centre line below that level.
 */
export function forkAt(panel: Panel, plan: LegPlan, y: Mm): Mm {
  const start = panel.landmarks.curveStart;
  const root = isOf(panel, "front") ? "front" : "back";
  const crotch = edgesWithRole(panel, "crotch")[0];
  if (!start || !crotch || start[1] >= y) return 0;
  const { centre, centreAtCrotch, centreAtWaist } = plan[root];
  // The front is drawn mirrored, and so is the left leg's own panel. A slanted centre runs on along its slant, a bent one upright.
  const way = (root === "front" ? -1 : 1) * (panel.half === "left" ? -1 : 1);
  const lean = centre === "slanted" ? (way * (centreAtWaist - centreAtCrotch)) / plan.levels.crotch : 0;
  const line = start[0] - lean * (y - start[1]);
  const edge = pathCrossings(crotch.path, y)[0];
  return edge === undefined ? 0 : Math.abs(edge - line);
}
