import {
  line,
  pointAdd,
  pointDistance,
  pointScale,
  pointSubtract,
  pointUnit,
  secant,
  type Path,
  type Point,
} from "../geometry";
import { Refusal, say, type Mm, type Radians } from "../units";
import { armholeEdge, cutawayArmhole } from "./armhole";
import { neckEdge, shoulderEnd, shoulderWay } from "./neck";
import { frontLonger, LEAST_BUST_DART, type BodicePlan, type DartShare } from "./plan";
import { heldBack, sideDartOf, type SideDart } from "./sideDart";
import { drawWaist, type DrawnWaist, type WaistDart, type WaistTask } from "./waistLine";

/** Front or back as it is drawn, from the centre line out, darts open. */
export interface BodiceHalf {
  readonly neck: Path;
  readonly shoulder: Path;
  readonly armhole: Path;
  readonly underarm: Point;
  readonly waist: DrawnWaist;
  readonly sideDart: SideDart | null;
  /** The sewn side seam. */
  readonly side: Mm;
}

export interface DrawnBodice {
  readonly front: BodiceHalf;
  readonly back: BodiceHalf;
  /** The bust point in the front's frame. */
  readonly bust: Point;
}

/** The upper corners of one half: neck's centre, both ends of the shoulder, underarm. */
interface Corners {
  readonly neckCentre: Point;
  readonly neckEnd: Point;
  readonly shoulder: Point;
  readonly underarm: Point;
}

function cornersOf(plan: BodicePlan, half: "front" | "back"): Corners {
  const { neck, slope, edges, napeToWaist, frontLength } = plan;
  const top = half === "back" ? -(napeToWaist + neck.back) : -frontLength;
  const way = shoulderWay(slope);
  const drafted: Point = [neck.width, top];
  const end = shoulderEnd(drafted, plan.shoulderX, slope);
  const neckY = half === "back" ? top + neck.back + edges.neckBack : top + neck.front + edges.neckFront;
  return {
    neckCentre: [0, neckY],
    neckEnd: pointAdd(drafted, pointScale(way, edges.neckOut)),
    shoulder: pointSubtract(end, pointScale(way, edges.shoulderIn)),
    underarm: [plan.quarter + edges.sideOut, top + plan.underarm - edges.underarmUp],
  };
}

const netOf = (plan: BodicePlan, half: "front" | "back"): Mm => plan.waist[half] + plan.edges.sideOut;

function noWaist(plan: BodicePlan, half: "front" | "back"): Refusal {
  const [waist, quarter] = [plan.waist[half], plan.quarter];
  return waist > quarter
    ? new Refusal(
        "body.measures.bust",
        say`The sewn waist of the ${half}, ${waist} a quarter, is larger than its bust, ${quarter}: no side seam runs from one to the other. Check bust and waist, or ease the bust by ${waist - quarter} more.`,
      )
    : new Refusal(
        "body.measures.waist",
        say`The waist of the ${half} bodice cannot be drawn with these darts. Check bust, waist and lengths, or narrow the darts.`,
      );
}

/** A straight side seam's direction, downward. */
const fromUnderarm =
  (underarm: Point) =>
  (side: Point): Point =>
    pointUnit(pointSubtract(side, underarm));

/** Tips of waist darts, each with those nearer the centre closed. */
function waistDarts(share: DartShare, tips: readonly Point[]): readonly WaistDart[] {
  return Array.from({ length: share.count }, (_, i): WaistDart => {
    const tip = tips[i] as Point;
    return { tip, intake: share.intake };
  });
}

/** No waist lies higher at its side than half-way to the underarm. */
const halfWay = (underarm: Point): Mm => underarm[1] / 2;

function backTips(plan: BodicePlan, underarm: Point): readonly Point[] {
  const { count, intake } = plan.darts.back;
  const net = netOf(plan, "back");
  const y = underarm[1] + plan.edges.underarmUp + plan.backTip;
  // Closed, the mouths share the waist evenly.
  return [0, 1].map((i): Point => [(net * (i + 1)) / (count + 1) + intake / 2, y + i * SECOND_TIP_LOWER]);
}

/** A second dart ends this much lower than the first. */
const SECOND_TIP_LOWER: Mm = 20;
/** A second front dart ends this far below the bust dart. */
const BELOW_BUST_DART: Mm = 30;

function drawBack(plan: BodicePlan, lean: Radians): BodiceHalf {
  const corners = cornersOf(plan, "back");
  const { underarm } = corners;
  const isV = plan.vWaist.back !== 0 || plan.vWaist.front !== 0;
  const net = netOf(plan, "back");
  const sideDown = fromUnderarm(underarm);
  const darts = waistDarts(plan.darts.back, backTips(plan, underarm));
  const task = (centre: Point, more: Pick<WaistTask, "leave" | "meets">): WaistTask => ({
    centre,
    net,
    darts,
    sideDown,
    lean,
    below: halfWay(underarm),
    ...more,
  });
  const level = drawWaist(task([0, 0], { leave: "square", meets: (_, unsymmetric) => unsymmetric }), 15);
  if (!level) throw noWaist(plan, "back");
  const waist = isV
    ? drawWaist(
        task([0, -plan.vWaist.back], { leave: "symmetric", meets: (side) => side[1] - level.side[1] }),
        level.side[1],
      )
    : level;
  if (!waist) throw noWaist(plan, "back");
  return halfOf(plan, "back", corners, waist, null);
}

function halfOf(
  plan: BodicePlan,
  half: "front" | "back",
  { neckCentre, neckEnd, shoulder, underarm }: Corners,
  waist: DrawnWaist,
  sideDart: SideDart | null,
): BodiceHalf {
  const down = pointUnit(pointSubtract(sideDart?.from ?? waist.side, underarm));
  return {
    neck: neckEdge(neckCentre, neckEnd, plan.slope),
    shoulder: [line(neckEnd, shoulder)],
    armhole: plan.cutaway
      ? cutawayArmhole(shoulder, underarm, down, plan.slope)
      : armholeEdge(shoulder, underarm, down, plan.slope, plan.armholeIn[half]),
    underarm,
    waist,
    sideDart,
    side: sideDart
      ? pointDistance(underarm, sideDart.from) + pointDistance(sideDart.to, waist.side)
      : pointDistance(underarm, waist.side),
  };
}

interface FrontTask {
  readonly share: DartShare;
  readonly side: Mm;
  /** It has a dart at the side; else its waist is led to the back's side length. */
  readonly bustDart: boolean;
  /** How far from square its waist meets the side, where it has none. */
  readonly lean: Radians | "symmetric";
}

/** The front for given waist darts: with a bust dart at the side, or with its waist led to the back's side length. */
function drawFront(plan: BodicePlan, { share, side, bustDart, lean }: FrontTask): BodiceHalf | null {
  const corners = cornersOf(plan, "front");
  const { underarm } = corners;
  const net = netOf(plan, "front");
  const bust = bustOf(plan);
  const first = heldBack(bust, [bust[0], 0], plan.tipBack);
  const isV = plan.vWaist.back !== 0 || plan.vWaist.front !== 0;
  const centre: Point = [0, plan.vWaist.front];
  const tips = (lower: Mm): readonly Point[] => {
    const closedFirst = first[0] - share.intake / 2;
    return [first, [(closedFirst + net) / 2 + share.intake / 2, lower]];
  };
  if (!bustDart) {
    const darts = waistDarts(share, tips(first[1] + BELOW_BUST_DART));
    const waist = drawWaist(
      {
        centre,
        net,
        darts,
        sideDown: fromUnderarm(underarm),
        leave: isV ? "symmetric" : "square",
        lean: isV ? 0 : lean,
        below: halfWay(underarm),
        meets: (at) => pointDistance(underarm, at) - side,
      },
      10,
    );
    return waist && halfOf(plan, "front", corners, waist, null);
  }
  const dartAt = (at: Point): SideDart | null =>
    sideDartOf(at, underarm, { bust, tipBack: plan.tipBack, length: side });
  const down = (at: Point): Point => pointUnit(pointSubtract(at, dartAt(at)?.to ?? underarm));
  const draw = (darts: readonly WaistDart[]): DrawnWaist | null => {
    const task = { net, darts, sideDown: down, lean: 0, below: halfWay(underarm) };
    const square = drawWaist({ ...task, centre: [0, 0], leave: "square", meets: (_, unsymmetric) => unsymmetric }, 15);
    if (!isV || !square) return square;
    const level = square.side[1];
    return drawWaist({ ...task, centre, leave: "symmetric", meets: (at) => at[1] - level }, level);
  };
  let waist = draw(waistDarts(share, tips(bust[1] + 2 * BELOW_BUST_DART)));
  if (waist && share.count === 2) {
    // The second dart ends below the lower leg of the bust dart, which hangs on where the waist came to lie.
    const dart = dartAt(waist.side);
    const x = (tips(0)[1] as Point)[0];
    const leg = dart ? dart.to[1] + ((dart.tip[1] - dart.to[1]) * (dart.to[0] - x)) / (dart.to[0] - dart.tip[0]) : 0;
    waist = draw(waistDarts(share, tips(Math.max(leg, bust[1]) + BELOW_BUST_DART)));
  }
  const dart = waist && dartAt(waist.side);
  return waist && dart && halfOf(plan, "front", corners, waist, dart);
}

/** The bust point in the front's frame. */
export const bustOf = (plan: BodicePlan): Point => [plan.bustX, -plan.frontLength + plan.bustBelow];

/** Front and back of a plan, reconciled: sewn sides and shoulders are equal, and the joined waist runs on. */
export function drawBodice(plan: BodicePlan): DrawnBodice {
  const bust = bustOf(plan);
  if (hasBustDart(plan)) {
    const back = drawBack(plan, 0);
    const front = turnedFront(plan, back.side);
    // Waist darts that take what the bust dart should would turn it inside out.
    if (!front || (front.sideDart?.angle ?? 0) < 0) throw noWaist(plan, "front");
    return { front, back, bust };
  }
  // Without a dart at the side, front and back share the angle there, so that the joined waist runs on.
  const isPivoted = plan.pivot?.into === "waist" && frontLonger(plan) >= LEAST_BUST_DART;
  if (isPivoted) {
    const back = drawBack(plan, 0);
    return { front: pivotedIntoWaist(plan, back.side), back, bust };
  }
  const front = (side: Mm, lean: Radians | "symmetric"): BodiceHalf | null =>
    drawFront(plan, { share: plan.darts.front, side, bustDart: false, lean });
  const unshared = (lean: Radians): number => {
    const drawn = front(drawBack(plan, -lean).side, "symmetric");
    return drawn ? drawn.waist.lean - lean : NaN;
  };
  const first = unshared(0);
  const shared = secant(unshared, 0, 0.4 * first, { tolerance: 1e-9, steps: SHARE_STEPS }) ?? 0;
  const lean = Math.min(MOST_LEAN, Math.max(-MOST_LEAN, shared));
  const back = drawBack(plan, -lean);
  const drawn = front(back.side, lean) ?? front(back.side, "symmetric");
  if (!drawn) throw noWaist(plan, "front");
  return { front: drawn, back, bust };
}
const SHARE_STEPS = 12;
/** Neither half leaves square by more than this. */
const MOST_LEAN: Radians = 0.3;

/** True where the front keeps a dart at the side. */
export function hasBustDart(plan: BodicePlan): boolean {
  const { pivot } = plan;
  if (pivot?.into === "bust") return true;
  return frontLonger(plan) >= LEAST_BUST_DART && !(pivot?.into === "waist" && pivot.leave <= 0);
}

/** The front with its dart at the side, as wide as it is, or as wide as a pivot leaves it. */
function turnedFront(plan: BodicePlan, side: Mm): BodiceHalf | null {
  const { pivot, darts } = plan;
  const draw = (share: DartShare): BodiceHalf | null => drawFront(plan, { share, side, bustDart: true, lean: 0 });
  if (pivot?.into !== "waist") return draw(darts.front);
  const mouth = (intake: Mm): Mm => {
    const dart = draw({ count: 1, intake })?.sideDart;
    return dart ? pointDistance(dart.from, dart.to) - pivot.leave : NaN;
  };
  const now = darts.front.intake * Math.max(1, darts.front.count);
  const intake = secant(mouth, now + 5, now + 15, { tolerance: 1e-6 });
  return intake === null ? null : draw({ count: 1, intake });
}

/** The front with its bust dart turned into one waist dart: as wide as leaves the joined waist straight at the side. */
function pivotedIntoWaist(plan: BodicePlan, side: Mm): BodiceHalf {
  const draw = (intake: Mm, of = plan): BodiceHalf | null =>
    drawFront(of, { share: { count: 1, intake }, side, bustDart: false, lean: "symmetric" });
  // A V leaves the centre as its other end asks: how wide the dart is follows from the waist drawn square.
  const level: BodicePlan = { ...plan, vWaist: { front: 0, back: 0 } };
  const lean = (intake: Mm): number => draw(intake, level)?.waist.lean ?? NaN;
  const now = plan.darts.front.intake * Math.max(1, plan.darts.front.count) + frontLonger(plan);
  const intake = secant(lean, now, now + 5, { tolerance: 1e-9 });
  const drawn = intake !== null && intake > 0 ? draw(intake) : null;
  if (!drawn) throw noWaist(plan, "front");
  return drawn;
}
