import { netWaist, ownCrotchTo, type LegPlan, type OwnLegs, type OwnPanel, type PanelPlan } from "../drafting";
import type { Edge } from "../pattern";
import {
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathLength,
  pathMap,
  pathNearest,
  pathStart,
  pointDistance,
  pointSubtract,
  type Path,
  type Point,
} from "../geometry";
import type { Mm } from "../units";

/** A block that was brought in keeps its outline; these change it where a move says so, front and back alike. */

function withOwn(plan: LegPlan, change: (panel: OwnPanel) => OwnPanel): LegPlan {
  if (!plan.own) return plan;
  const own: OwnLegs = { ...plan.own, front: change(plan.own.front), back: change(plan.own.back) };
  const follow = (panel: PanelPlan, now: OwnPanel): PanelPlan => ({
    ...panel,
    hipX: now.hip[0],
    crotchX: pathStart(now.inseamDown)[0],
    hem: now.hemAt,
    netWaist: netWaist(now.waist),
  });
  const knees = { level: plan.levels.knee, front: own.front.knee, back: own.back.knee };
  return {
    ...plan,
    own,
    turns: plan.turns.map((turn) => (turn.asked ? turn : { ...turn, ...knees })),
    front: follow(plan.front, own.front),
    back: follow(plan.back, own.back),
  };
}

/** How far a level lies between two others: 0 at the upper one and above, 1 at the lower one and below. */
const between = (y: Mm, upper: Mm, lower: Mm): number => Math.min(1, Math.max(0, (y - upper) / (lower - upper)));

/** The side out by an amount and squared down from the hip; the inseam out by another from crotch to knee and below. */
export function widenOwn(plan: LegPlan, out: Mm, inner: Mm): LegPlan {
  const { crotch, knee } = plan.levels;
  // Squared down to one level on front and back, so that the sides still agree.
  const foot = plan.own ? pathEnd(plan.own.front.side)[1] : 0;
  return withOwn({ ...plan, hang: "side" }, (panel) => {
    const moved = (p: Point): Point => [p[0] + out, p[1]];
    const upper = pathMap(pathBetween(panel.side, 0, pathNearest(panel.side, panel.hip).along), moved);
    const corner: Point = [pathEnd(upper)[0], foot];
    const inseamDown = pathMap(panel.inseamDown, (p) => [p[0] - inner * between(p[1], crotch, knee), p[1]]);
    const last = panel.waist.at(-1);
    const waist = panel.waist.map((edge) =>
      edge === last ? { ...edge, path: [...edge.path, line(pathEnd(edge.path), moved(pathEnd(edge.path)))] } : edge,
    );
    const hem: Path = [line(corner, pathEnd(inseamDown))];
    return {
      ...panel,
      crotch: ownCrotchTo(panel, inseamDown),
      waist,
      side: [...upper, line(pathEnd(upper), corner)],
      inseamDown,
      hem,
      hip: moved(panel.hip),
      knee: { side: corner[0], inseam: panel.knee.inseam - inner },
      hemAt: { side: corner[0], inseam: pathEnd(inseamDown)[0] },
    };
  });
}

/** The crotch lower: the centre above the curve is drawn out, the inseam is taken in as much above the knee. */
export function dropOwn(plan: LegPlan, by: Mm): LegPlan {
  const { hip, crotch, knee } = plan.levels;
  const lowered = withOwn(plan, (panel) => {
    // The back's crotch point may lie lower than the front's: each is measured from its own.
    const point = pathStart(panel.inseamDown)[1];
    const inseamDown = pathMap(panel.inseamDown, (p) => [p[0], p[1] + by * (1 - between(p[1], point, knee))]);
    const turned = { ...panel, crotch: ownCrotchTo(panel, inseamDown) };
    return {
      ...turned,
      // The curve itself comes down as it is; the centre line above it is drawn out.
      crotch: pathMap(turned.crotch, (p) => [p[0], p[1] + by * between(p[1], 0.4 * hip, 0.85 * hip)]),
      inseamDown,
    };
  });
  return { ...lowered, levels: { ...lowered.levels, crotch: crotch + by } };
}

/** A path carried by the turn and stretch that bring its ends to two other places. */
function carried(path: Path, from: Point, to: Point): Path {
  const [a, b] = [pathStart(path), pathEnd(path)];
  const [old, now] = [pointSubtract(b, a), pointSubtract(to, from)];
  const size = old[0] * old[0] + old[1] * old[1] || 1;
  const [re, im] = [(now[0] * old[0] + now[1] * old[1]) / size, (now[1] * old[0] - now[0] * old[1]) / size];
  return pathMap(path, (p) => {
    const [x, y] = pointSubtract(p, a);
    return [from[0] + re * x - im * y, from[1] + im * x + re * y];
  });
}

/** A dart that a lowered waist leaves shorter than this is gone. */
const LEAST_DART_LENGTH: Mm = 25;

/**
 * The waist cut lower by an amount along the centre and the side: its line keeps its shape, darts their tips. Front and
 * back lose as much of their side.
 */
export function lowerOwn(plan: LegPlan, by: Mm): LegPlan {
  return withOwn(plan, (panel) => {
    const { crotch, side } = panel;
    const centre = pathAt(crotch, pathLength(crotch) - by).point;
    const end = pathAt(side, by).point;
    const along = (from: Point, to: Point): Point => {
      const size = pointDistance(from, to);
      return [from[0] + ((to[0] - from[0]) * by) / size, from[1] + ((to[1] - from[1]) * by) / size];
    };
    const darts = panel.dartLines
      .filter(({ points: [from, tip] }) => pointDistance(from as Point, tip as Point) > by + LEAST_DART_LENGTH)
      .map(({ points }) => {
        const [from, tip, to] = points as readonly [Point, Point, Point];
        return { was: from, from: along(from, tip), tip, to: along(to, tip) };
      });
    let at = centre;
    const waist = panel.waist.map((edge, i): Edge => {
      const dart =
        edge.role === "dart" ? darts.find((d) => pointDistance(d.was, pathStart(edge.path)) < 0.01) : undefined;
      const next = panel.waist[i + 1];
      const following =
        next?.role === "dart" ? darts.find((d) => pointDistance(d.was, pathStart(next.path)) < 0.01) : undefined;
      const old = pathEnd(edge.path);
      // A dart that is gone leaves a stretch of waist where its mouth was.
      const to = dart?.to ?? following?.from ?? (next ? [old[0], old[1] + by] : end);
      const path = carried(edge.path, at, to as Point);
      at = to as Point;
      return edge.role === "dart" && !dart ? { ...edge, role: "waist", name: "waist", path } : { ...edge, path };
    });
    return {
      ...panel,
      waist,
      dartLines: darts.map(({ from, tip, to }) => ({ kind: "dart" as const, points: [from, tip, to] })),
      side: pathBetween(side, by, pathLength(side)),
      crotch: pathBetween(crotch, 0, pathLength(crotch) - by),
    };
  });
}

/** The waist squared off, hip-wide, without darts: straight from the centre to above the hip. */
export function squareOwn(plan: LegPlan): LegPlan {
  const front = plan.own?.front;
  // As high above the hip on front and back, so that the sides still agree.
  const high = front ? front.hip[1] - pathStart(front.side)[1] : 0;
  const squared = withOwn(plan, (panel) => {
    const first = panel.waist[0];
    if (!first) return panel;
    const from = pathStart(first.path);
    const to: Point = [panel.hip[0], panel.hip[1] - high];
    const below = pathBetween(panel.side, pathNearest(panel.side, panel.hip).along, Infinity);
    return {
      ...panel,
      waist: [{ ...first, path: [line(from, to)] }],
      dartLines: [],
      side: pointDistance(to, panel.hip) > 1 ? [line(to, pathAt(below, 0).point), ...below] : below,
    };
  });
  return { ...squared, hipWide: true };
}
