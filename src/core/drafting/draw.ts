import { panelMap } from "../pattern";
import {
  line,
  pathCrossings,
  pathLength,
  pathStartTangent,
  pointSubtract,
  pointUnit,
  secant,
  type Path,
  type Point,
  pointFlipped,
} from "../geometry";
import { quantity, type Mm, type Quantity, Refusal, say, type Sentence } from "../units";
import { assemble, cutAtHem, type Outline } from "./assemble";
import { drawCrotchCurve, type CrotchCurve } from "./crotch";
import { inseamDownward, lowerSideSeam } from "./legSeams";
import { drawnLeg, FLARED, hemChord, type LegPlan, type PanelPlan } from "./plan";
import type { DrawnLegs } from "./drawn";
import { drawOwnLegs } from "./own/drawOwn";
import { drawWaists, type DrawnWaist, type WaistTask } from "./waist";

interface Half {
  readonly panel: "front" | "back";
  readonly plan: PanelPlan;
  readonly crotchPoint: Point;
  readonly waistCentre: Point;
  readonly hip: Point;
  readonly lowerSide: Path;
  /** From the crotch point down. */
  readonly inseam: Path;
  readonly crotch: CrotchCurve;
}

/** Where a panel's side or inseam is led through on its way to the hem, and the hem. */
function wayDown(legs: LegPlan, panel: "front" | "back", at: "side" | "inseam"): { turns: Point[]; hem: Point } {
  const { turns, hem } = drawnLeg(legs);
  return { turns: turns.map((turn): Point => [turn[panel][at], turn.level]), hem: [legs[panel].hem[at], hem] };
}

function inseamOf(legs: LegPlan, panel: "front" | "back", drop: Mm): Path {
  const { turns, hem } = wayDown(legs, panel, "inseam");
  return inseamDownward(
    [legs[panel].crotchX, legs.levels.crotch + drop],
    turns,
    hem,
    legs.straightInseam || legs.turns.length === 0,
  );
}

function sideOf(legs: LegPlan, panel: "front" | "back", thigh: Point | null): Path {
  const { turns, hem } = wayDown(legs, panel, "side");
  const { hipX, sideAtCrotch } = legs[panel];
  const places: Point[] = [
    ...(sideAtCrotch === null ? [] : [[sideAtCrotch, legs.levels.crotch] as Point]),
    ...(thigh ? [thigh] : []),
    ...turns,
  ];
  return lowerSideSeam([hipX, legs.levels.hip], places, hem, places.length === 0);
}

/** A tighter turn than this is no outline to cut. */
const LEAST_RADIUS: Mm = 12;

function drawHalf(panel: "front" | "back", legs: LegPlan, drop: Mm): Half {
  const { levels } = legs;
  const plan = legs[panel];
  const crotchPoint: Point = [plan.crotchX, levels.crotch + drop];
  const inseam = inseamOf(legs, panel, drop);
  const waistY = levels.waist - plan.centreRise;
  const lean = plan.centre === "slanted" ? (plan.centreAtWaist - plan.centreAtCrotch) / levels.crotch : 0;
  const onLine = (y: Mm): Point => [plan.centreAtCrotch + lean * (levels.crotch - y), y];
  const waistCentre: Point = plan.centre === "slanted" ? onLine(waistY) : [plan.centreAtWaist, waistY];
  const inseamDown = pathStartTangent(inseam);
  const crotch = drawCrotchCurve({ panel, plan, levels, crotchPoint, inseamDown, onLine, waistCentre });
  if (!crotch) {
    throw new Refusal(
      "body.measures.crotchDepth",
      say`The ${panel} crotch curve has no room between waist and crotch line. Check crotch depth, or choose a smaller extension.`,
    );
  }
  if (crotch.radius < LEAST_RADIUS) {
    throw new Refusal(
      `block.rules.${panel}Extension`,
      say`The ${panel} crotch would turn within ${Math.floor(crotch.radius)}, too tight to sew. Choose another extension, or check crotch depth and waist to hip.`,
    );
  }
  const lowerSide = sideOf(legs, panel, null);
  return { panel, plan, crotchPoint, waistCentre, hip: [plan.hipX, levels.hip], lowerSide, inseam, crotch };
}

/**
 * How far the back crotch point is lowered so that the back inseam is `backShorter` less than the front's.
 * Secant on true arc length, from the first-order guess of the rule.
 */
function solveBackDrop(legs: LegPlan, front: Half): Mm {
  const target = pathLength(front.inseam) - legs.backShorter;
  const { levels, back } = legs;
  const lengthAt = (drop: Mm): Mm => pathLength(inseamOf(legs, "back", drop)) - target;
  const first = (panel: "front" | "back"): Point => {
    const { turns, hem } = wayDown(legs, panel, "inseam");
    return turns[0] ?? hem;
  };
  const runBack = back.crotchX - first("back")[0];
  const runFront = legs.front.crotchX - first("front")[0];
  const below = first("back")[1] - levels.crotch;
  const guess = (1.1 * (runBack ** 2 - runFront ** 2)) / (2 * below);
  const drop = secant(lengthAt, guess, guess + 2, { tolerance: 1e-8 });
  if (drop === null || drop < -60 || drop > below - 20) {
    throw new Refusal(
      "block.rules.backExtension",
      say`Front and back inseams cannot be made equal. Choose a smaller back extension.`,
    );
  }
  return drop;
}

/** A thigh line may move a side in or out by at most this much; more makes a seam that puckers. */
const THIGH_LIMIT: Mm = 45;

interface ThighLed {
  readonly front: Half;
  readonly back: Half;
  readonly girth: Quantity | null;
}

/** Leads both sides through the thigh line so that the leg is as wide there as asked; both move alike. */
function throughThigh(legs: LegPlan, front: Half, back: Half, drop: Mm): ThighLed {
  const { thigh, levels } = legs;
  if (!thigh) return { front, back, girth: null };
  const y = Math.max(levels.crotch + thigh.below, levels.crotch + drop + 8);
  const inside = (half: Half): Mm => pathCrossings(half.inseam, y)[0] ?? half.plan.crotchX;
  const outside = (half: Half): Mm => pathCrossings(half.lowerSide, y)[0] ?? half.plan.hipX;
  const natural = [front, back].reduce((sum, half) => sum + outside(half) - inside(half), 0);
  const wanted = (thigh.girth - natural) / 2;
  const move = Math.min(THIGH_LIMIT, Math.max(-THIGH_LIMIT, wanted));
  const led = (half: Half): Half => ({
    ...half,
    lowerSide: sideOf(legs, half.panel, [outside(half) + move, y]),
  });
  return {
    front: led(front),
    back: led(back),
    girth: quantity(natural + 2 * move, say`${natural} as the leg falls, each side moved ${move}`, {}, thigh.girth),
  };
}

/** The plan with its flared hems drawn in by what truing them adds, so that the trued hem measures what was asked. */
function withHemChords(legs: LegPlan): LegPlan {
  const drawn = drawnLeg(legs);
  const last = drawn.turns.at(-1);
  const chords = (panel: "front" | "back"): PanelPlan => {
    const plan = legs[panel];
    const above = last
      ? { ...last[panel], sideAt: last.level, inseamAt: last.level }
      : { side: plan.hipX, inseam: plan.crotchX, sideAt: legs.levels.hip, inseamAt: legs.levels.crotch };
    const turn =
      Math.atan((plan.hem.side - above.side) / (drawn.hem - above.sideAt)) -
      Math.atan((plan.hem.inseam - above.inseam) / (drawn.hem - above.inseamAt));
    const width = plan.hem.side - plan.hem.inseam;
    if (turn < FLARED || legs.levels.hem < drawn.hem) return plan;
    const by = (width - hemChord(width, turn)) / 2;
    return { ...plan, hem: { side: plan.hem.side - by, inseam: plan.hem.inseam + by } };
  };
  return { ...legs, front: chords("front"), back: chords("back") };
}

/**
 * Draws front and back from a plan, equal by construction: the back crotch point is lowered until the inseams agree,
 * the back side point and both waists are solved together. Throws CannotDraft where there is no solution.
 */
export function drawLegs(asked: LegPlan): DrawnLegs {
  const legs = withHemChords(asked);
  if (legs.own) return drawOwnLegs(legs, legs.own);
  const frontLine = drawHalf("front", legs, 0);
  const drop = solveBackDrop(legs, frontLine);
  const { front, back, girth: thighGirth } = throughThigh(legs, frontLine, drawHalf("back", legs, drop), drop);
  const task = (half: Half): WaistTask => ({
    centre: half.waistCentre,
    centreDown: pointUnit(pointSubtract(half.crotch.onCentre, half.waistCentre)),
    hip: half.hip,
    net: half.plan.netWaist,
    darts: half.plan.darts,
  });
  const waists = drawWaists(
    task(front),
    task(back),
    legs.levels.waist - legs.sideRise,
    pathLength(front.lowerSide) - pathLength(back.lowerSide),
  );
  if (!waists) {
    throw new Refusal(
      "body.measures.waist",
      say`No waist of this size can be joined to this hip: the side would have to lean too far. Check waist and waist to hip, or take more into darts.`,
    );
  }
  const [frontRun, backRun] = cutAtHem(legs, [outline(front, waists.front), outline(back, waists.back)]);
  return {
    front: panelMap(assemble("front", legs, frontRun), pointFlipped),
    back: assemble("back", legs, backRun),
    solved: {
      backCrotchDrop: quantity(
        drop,
        say`solved: back inseam ${legs.backShorter} shorter than the front's`,
        {},
        legs.dropAsked > 0 ? legs.dropAsked : undefined,
      ),
      ...(legs.dropAsked > 0 && {
        reconcilingTook: quantity(
          legs.dropAsked - drop,
          say`${legs.dropAsked} lower as chosen - ${drop}, so that the inseams agree`,
        ),
      }),
      backShorter: quantity(legs.backShorter, say`${legs.backShorter} as chosen, stretched on when sewn`),
      ...steering("front", legs.front, front.crotch),
      ...steering("back", legs.back, back.crotch),
      ...(thighGirth ? { thighGirth } : {}),
      backSideLevel: quantity(waists.back.side[1], "solved: the back side is as long as the front's"),
    },
    crotches: { front: front.crotch, back: back.crotch },
  };
}

/** The hollow that came out, and what steered the curve, each with the maker's own number where it was limited. */
function steering(panel: "front" | "back", plan: PanelPlan, crotch: CrotchCurve): Record<string, Quantity> {
  const { curve, extension } = plan;
  const why = (asked: Mm, drawn: Mm): Sentence =>
    Math.abs(asked - drawn) > 0.05 ? say`limited by the extension ${extension}` : say`${asked} as chosen`;
  if (curve.steer === "diagonal")
    return { [`${panel}Hollow`]: quantity(crotch.hollow, why(curve.hollow, crotch.hollow), {}, curve.hollow) };
  const asked = curve.steer === "hipPoint" ? curve.out : curve.up;
  return {
    [`${panel}Hollow`]: quantity(crotch.hollow, "measured on the drawn curve"),
    [`${panel}Steer`]: quantity(crotch.steered, why(asked, crotch.steered), {}, asked),
  };
}

function outline(half: Half, waist: DrawnWaist): Outline {
  return {
    waist: waist.edges,
    dartLines: waist.dartLines,
    side: [waist.upperSide, ...half.lowerSide],
    inseamDown: half.inseam,
    crotch: [half.crotch.segment, line(half.crotch.onCentre, half.waistCentre)],
    hip: half.hip,
    curveStart: half.crotch.onCentre,
  };
}
