import { smallestRadius } from "../pattern";
import {
  cornerCurve,
  cubic,
  linesMeet,
  pointAdd,
  pointBetween,
  pointDistance,
  pointSubtract,
  pointUnit,
  segmentCrossing,
  type Point,
  type Segment,
} from "../geometry";
import type { Mm } from "../units";
import type { Levels, PanelPlan } from "./plan";

const clamp = (value: Mm, low: Mm, high: Mm): Mm => Math.min(high, Math.max(low, value));

/** A crotch curve tighter than this puckers when sewn; small extensions get a shallower hollow instead. */
export const TIGHTEST_CROTCH: Mm = 13;
/** Share of the tangents at which a corner curve is closest to a quarter circle. */
const ROUND = 0.5523;

/**
 * How far above the crotch line the curve leaves the centre line. `aboveHip` is crotch depth less hip level, so the
 * curve leaves at the hip line where it can; short distances degenerate and are lifted. Upper bounds win.
 */
export function curveStart(panel: "front" | "back", depth: Mm, aboveHip: Mm, extension: Mm): Mm {
  return panel === "front"
    ? clamp(aboveHip, 1.1 * extension, Math.max(depth / 2, 1.1 * extension))
    : clamp(aboveHip, 1.1 * extension, Math.max(0.55 * depth, 0.8 * extension));
}

/** The hollow that can be drawn: the maker's diagonal within what this extension allows. */
export function hollowDrawn(panel: "front" | "back", asked: Mm, extension: Mm): Mm {
  return panel === "front" ? clamp(asked, 0.4 * extension, 0.5 * extension) : Math.max(asked, 0.38 * extension);
}

export interface CrotchCurve {
  /** From the crotch point up to the centre line. */
  readonly segment: Segment;
  /** Where it leaves the centre line. */
  readonly onCentre: Point;
  /** Corner of centre line and crotch line, and where the curve crosses its diagonal. */
  readonly corner: Point;
  readonly onDiagonal: Point;
  readonly hollow: Mm;
  /** What steered it, as drawn: the hollow, the way out at the hip line, or the way up. */
  readonly steered: Mm;
  /** Smallest radius of curvature. */
  readonly radius: Mm;
}

interface CrotchTask {
  readonly panel: "front" | "back";
  readonly plan: PanelPlan;
  readonly levels: Levels;
  readonly crotchPoint: Point;
  /** The inseam's unit direction at the crotch point. */
  readonly inseamDown: Point;
  /** The centre line at a level. */
  readonly onLine: (y: Mm) => Point;
  readonly waistCentre: Point;
}

/** Heights above the crotch line at which the curve may leave the centre line, the maker's first. */
function starts({ panel, plan, levels }: CrotchTask): readonly Mm[] {
  const { curve, extension } = plan;
  const aboveHip = levels.crotch - levels.hip;
  if (curve.steer === "outAndUp") {
    const up = Math.max(curve.up, 0.8 * extension);
    return [up, 1.2 * up, 1.4 * up];
  }
  const least = 1.1 * extension;
  if (curve.steer === "hipPoint")
    return [0.45, 0.35, 0.25, 0.15].map((share) => aboveHip + share * (levels.hip - levels.waist));
  const base =
    curve.start === "halfway"
      ? Math.max(levels.crotch / 2, least)
      : curveStart(panel, levels.crotch, aboveHip, extension);
  // On a very full seat with a short leg the curve would turn too tightly; it then leaves the centre line higher.
  return [base, 1.2 * base, 1.4 * base, 1.6 * base];
}

/**
 * The crotch curve from the crotch point to the centre line: square to the start of the inseam below, running into
 * the centre line above, and between them steered as the maker chose: across the diagonal of the corner at its
 * hollow, through a point outside the centre line on the hip line, or evenly out and up. Canonical frame (centre to
 * the left). Null when there is no room for one.
 */
export function drawCrotchCurve(task: CrotchTask): CrotchCurve | null {
  const room = task.levels.crotch - task.waistCentre[1] - 12;
  const within = [...new Set(starts(task).map((above) => Math.min(above, room)))];
  // Where the extension is wide for the depth, a start nearer the corner turns more evenly.
  const first = within[0] as Mm;
  let best: CrotchCurve | null = null;
  for (const above of [...within, 0.85 * first, 0.7 * first]) {
    const drawn = drawFrom(task, task.onLine(task.levels.crotch - above));
    if (drawn && (!best || drawn.radius > best.radius)) best = drawn;
    if (best && best.radius >= TIGHTEST_CROTCH) break;
  }
  // Steered too tightly to be sewn, the curve is drawn by its diagonal instead, and what it gave is measured.
  if (task.plan.curve.steer === "hipPoint" && !(best && best.radius >= TIGHTEST_CROTCH)) {
    const plan = { ...task.plan, curve: { ...task.plan.curve, steer: "diagonal" as const } };
    const plainer = drawCrotchCurve({ ...task, plan });
    return plainer && { ...plainer, steered: outAtHip(task, plainer) };
  }
  return best;
}

/** How far outside the centre line a curve passes the hip line; nothing where it leaves the line below it. */
function outAtHip({ levels }: CrotchTask, { segment, onCentre, corner }: CrotchCurve): Mm {
  if (onCentre[1] >= levels.hip) return 0;
  const onHip = linesMeet(onCentre, pointUnit(pointSubtract(onCentre, corner)), [0, levels.hip], [1, 0]);
  return onHip ? pointDistance(onHip, segmentCrossing(segment, onHip, [-1, 0])) : 0;
}

function drawFrom(task: CrotchTask, onCentre: Point): CrotchCurve | null {
  const { panel, plan, levels, crotchPoint, inseamDown, waistCentre } = task;
  const { curve, extension } = plan;
  const leave: Point = [inseamDown[1], -inseamDown[0]];
  const up = pointUnit(pointSubtract(waistCentre, onCentre));
  const corner = linesMeet(onCentre, up, [0, levels.crotch], [1, 0]);
  const meet = linesMeet(crotchPoint, leave, onCentre, up);
  if (!corner || !meet) return null;
  const along = pointUnit(pointAdd(up, [-1, 0]));
  const finish = (segment: Segment, steered: Mm | null): CrotchCurve => {
    const onDiagonal = segmentCrossing(segment, corner, along);
    const hollow = pointDistance(onDiagonal, corner);
    return {
      segment,
      onCentre,
      corner,
      onDiagonal,
      hollow,
      steered: steered ?? hollow,
      radius: smallestRadius([segment]),
    };
  };
  if (curve.steer === "outAndUp") {
    const segment = cubic(
      crotchPoint,
      pointBetween(crotchPoint, meet, ROUND),
      pointBetween(onCentre, meet, ROUND),
      onCentre,
    );
    return finish(segment, levels.crotch - onCentre[1]);
  }
  if (curve.steer === "hipPoint") {
    const onHip = linesMeet(onCentre, up, [0, levels.hip], [1, 0]);
    if (!onHip) return null;
    return roundest([1, 0.85, 0.7, 0.55, 0.4, 0.28, 1.3, 1.8], (share) => {
      const distance = curve.out * share;
      const drawn = cornerCurve(crotchPoint, leave, onCentre, up, { corner: onHip, along: [-1, 0], distance });
      return drawn && finish(drawn.segment, drawn.distance);
    });
  }
  const hollow = hollowDrawn(panel, curve.hollow, extension);
  return roundest([1, 0.94, 0.88, 0.82, 0.76], (share) => {
    const drawn = cornerCurve(crotchPoint, leave, onCentre, up, { corner, along, distance: hollow * share });
    return drawn && finish(drawn.segment, null);
  });
}

/** The first curve that turns widely enough to be sewn, else the widest; the maker's own number comes first. */
function roundest(shares: readonly number[], draw: (share: number) => CrotchCurve | null): CrotchCurve | null {
  let best: CrotchCurve | null = null;
  for (const share of shares) {
    const drawn = draw(share);
    if (!drawn) return best;
    if (!best || drawn.radius > best.radius) best = drawn;
    if (best.radius >= TIGHTEST_CROTCH) break;
  }
  return best;
}
