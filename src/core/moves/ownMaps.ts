import type { Edge } from "../pattern";
import {
  between,
  eased,
  endedAt,
  loweredCrotch,
  loweredWaist,
  netWaist,
  ownCrotchTo,
  startMoved,
  walked,
  type LegPlan,
  type OwnLegs,
  type OwnPanel,
  type PanelPlan,
} from "../drafting";
import {
  line,
  pathAt,
  pathAlongAtX,
  pathBent,
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
import { Refusal, say, type Mm } from "../units";

/**
 * A block that was brought in keeps its outline; these change it where a move says so, front and back alike. Its seams
 * differ afterwards by what they differed by before.
 */

function withOwn(plan: LegPlan, change: (panel: OwnPanel) => OwnPanel): LegPlan {
  if (!plan.own) return plan;
  const changed = { front: change(plan.own.front), back: change(plan.own.back) };
  const own: OwnLegs = { ...plan.own, ...walked(plan.own, changed) };
  const before = plan.own;
  // A hem that was asked for stays as asked where this does not move the block's own.
  const hemOf = (panel: PanelPlan, was: OwnPanel, now: OwnPanel): PanelPlan["hem"] =>
    was.hemAt.side === now.hemAt.side && was.hemAt.inseam === now.hemAt.inseam ? panel.hem : now.hemAt;
  const follow = (panel: PanelPlan, was: OwnPanel, now: OwnPanel): PanelPlan => ({
    ...panel,
    hipX: now.hip[0],
    crotchX: pathStart(now.inseamDown)[0],
    hem: hemOf(panel, was, now),
    netWaist: netWaist(now.waist),
  });
  const knees = { level: plan.levels.knee, front: own.front.knee, back: own.back.knee };
  return {
    ...plan,
    own,
    turns: plan.turns.map((turn) => (turn.asked ? turn : { ...turn, ...knees })),
    front: follow(plan.front, before.front, own.front),
    back: follow(plan.back, before.back, own.back),
  };
}

/**
 * The waist led on by an amount at the side, or cut back along its line; refused where a dart stands there. Led on, it
 * leaves its last dart and meets the side as it did, at the level where it ended.
 */
function waistTo({ waist }: OwnPanel, out: Mm): readonly Edge[] {
  const last = waist.at(-1) as Edge;
  const end = pathEnd(last.path);
  if (out >= 0) {
    const from = pathStart(last.path)[0];
    const ledOn = pathBent(last.path, ([x, y]) => [x + out * eased(between(x, from, end[0])), y]);
    return [...waist.slice(0, -1), { ...last, path: ledOn }];
  }
  const along = pathAlongAtX(last.path, end[0] + out);
  if (along === null || along < LEAST_WAIST) {
    const least = 0 - Math.max(0, pathLength(last.path) - LEAST_WAIST);
    throw new Refusal("side", say`The waist of the block has only ${0 - least} to take in at the side.`, { least });
  }
  return [...waist.slice(0, -1), { ...last, path: pathBetween(last.path, 0, along) }];
}
/** So much of the waist stays between a dart and the side. */
const LEAST_WAIST: Mm = 5;

/**
 * The side out by an amount and squared down from the hip to where it ended; the inseam out by another from crotch to knee
 * and below, and the hem straight across, square to the grain.
 */
export function widenOwn(plan: LegPlan, out: Mm, inner: Mm): LegPlan {
  const { knee } = plan.levels;
  return withOwn({ ...plan, hang: "side" }, (panel) => {
    const moved = (p: Point): Point => [p[0] + out, p[1]];
    const waist = waistTo(panel, out);
    const squared = pathMap(pathBetween(panel.side, 0, pathNearest(panel.side, panel.hip).along), moved);
    // Taken in along the waist line the side begins where that runs, a little higher or lower.
    const upper = startMoved(squared, pointSubtract(pathEnd((waist.at(-1) as Edge).path), pathStart(squared)));
    // Each panel's own level: laid hip line on hip line, the back's hem may lie lower than the front's, or higher.
    const corner: Point = [pathEnd(upper)[0], pathEnd(panel.side)[1]];
    // The back's crotch point may lie lower than the front's: it stays where it is.
    const point = pathStart(panel.inseamDown)[1];
    const wide = pathMap(panel.inseamDown, (p) => [p[0] - inner * between(p[1], point, knee), p[1]]);
    const inseamDown = endedAt(wide, corner[1] - pathEnd(wide)[1]);
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

/** The crotch lower, front and back alike. */
export function dropOwn(plan: LegPlan, by: Mm): LegPlan {
  const lowered = withOwn(plan, (panel) => loweredCrotch(panel, by, plan.levels));
  return { ...lowered, levels: { ...lowered.levels, crotch: plan.levels.crotch + by } };
}

/** The waist cut lower along the centre and the side. Front and back lose as much of their side. */
export const lowerOwn = (plan: LegPlan, by: Mm): LegPlan => withOwn(plan, (panel) => loweredWaist(panel, by));

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
