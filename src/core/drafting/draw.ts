import {
  line,
  pathAt,
  pathCrossings,
  pathEnd,
  pathLength,
  pathReverse,
  pathSplit,
  pathStartTangent,
  pointSubtract,
  pointUnit,
  secant,
  type Path,
  type Point,
} from "../geometry";
import { plain, quantity, type Mm, type Quantity } from "../units";
import { curveStart, drawCrotchCurve, hollowDrawn, TIGHTEST_CROTCH, type CrotchCurve } from "./crotch";
import { inseamDownward, lowerSideSeam } from "./legSeams";
import { panelMap, type Edge, type Panel, type PanelLine } from "./panel";
import { CannotDraft } from "./cannotDraft";
import type { LegPlan, PanelPlan } from "./plan";
import { drawWaists, type DrawnWaist, type WaistTask } from "./waist";

/** Front and back drawn and reconciled, with what the reconciling had to solve. */
export interface DrawnLegs {
  readonly front: Panel;
  readonly back: Panel;
  readonly solved: Readonly<Record<string, Quantity>>;
}

interface Half {
  readonly plan: PanelPlan;
  readonly crotchPoint: Point;
  readonly onCentre: Point;
  readonly waistCentre: Point;
  readonly hip: Point;
  readonly lowerSide: Path;
  /** From the crotch point down. */
  readonly inseam: Path;
  readonly crotch: CrotchCurve;
}

const centreAt = (plan: PanelPlan, depth: Mm, y: Mm): Mm =>
  plan.centreAtCrotch + ((plan.centreAtWaist - plan.centreAtCrotch) * (depth - y)) / depth;

/** Levels a full leg is drawn to; a hem above the knee is cut afterwards, so that the leg keeps its line. */
function drawnHem(plan: LegPlan): Mm {
  return Math.max(plan.levels.hem, plan.levels.knee + 100);
}

function drawHalf(kind: "front" | "back", legs: LegPlan, drop: Mm): Half {
  const { levels } = legs;
  const plan = legs[kind];
  const hem = drawnHem(legs);
  const crotchPoint: Point = [plan.crotchX, levels.crotch + drop];
  const hip: Point = [plan.hipX, levels.hip];
  const inseam = inseamDownward(crotchPoint, [-plan.kneeHalf, levels.knee], [-plan.hemHalf, hem]);
  const lowerSide = lowerSideSeam(hip, [plan.kneeHalf, levels.knee], [plan.hemHalf, hem]);
  const waistY = levels.waist - plan.centreRise;
  const onLine = (y: Mm): Point =>
    kind === "front" ? [plan.centreAtCrotch, y] : [centreAt(plan, levels.crotch, y), y];
  const waistCentre: Point = kind === "front" ? [plan.centreAtWaist, waistY] : onLine(waistY);
  const startAbove = curveStart(kind, levels.crotch, levels.crotch - levels.hip, plan.extension);
  const hollow = hollowDrawn(kind, plan.hollowAsked, plan.extension);
  let onCentre = onLine(levels.crotch - startAbove);
  let crotch: CrotchCurve | null = null;
  // On a very full seat with a short leg the curve would turn too tightly; it then leaves the centre line higher.
  for (const higher of [1, 1.2, 1.4, 1.6]) {
    const candidate = onLine(levels.crotch - startAbove * higher);
    if (candidate[1] < waistY + 10) break;
    const drawn = drawCrotchCurve(crotchPoint, pathStartTangent(inseam), candidate, waistCentre, levels.crotch, hollow);
    if (drawn && (!crotch || drawn.radius > crotch.radius)) [crotch, onCentre] = [drawn, candidate];
    if (crotch && crotch.radius >= TIGHTEST_CROTCH) break;
  }
  if (!crotch) {
    throw new CannotDraft(
      "body.measures.crotchDepth",
      `The ${kind} crotch curve has no room between waist and crotch line. Check crotch depth, or choose a smaller extension.`,
    );
  }
  return { plan, crotchPoint, onCentre, waistCentre, hip, lowerSide, inseam, crotch };
}

/**
 * How far the back crotch point is lowered so that the back inseam is `backShorter` less than the front's.
 * Secant on true arc length, from the first-order guess of the rule.
 */
function solveBackDrop(legs: LegPlan, front: Half): Mm {
  const target = pathLength(front.inseam) - legs.backShorter;
  const { levels, back } = legs;
  const hem = drawnHem(legs);
  const lengthAt = (drop: Mm): Mm =>
    pathLength(
      inseamDownward([back.crotchX, levels.crotch + drop], [-back.kneeHalf, levels.knee], [-back.hemHalf, hem]),
    ) - target;
  const runBack = back.crotchX + back.kneeHalf;
  const runFront = legs.front.crotchX + legs.front.kneeHalf;
  const guess = (1.1 * (runBack ** 2 - runFront ** 2)) / (2 * (levels.knee - levels.crotch));
  const drop = secant(lengthAt, guess, guess + 2, { tolerance: 1e-8 });
  if (drop === null || drop < -60 || drop > levels.knee - levels.crotch - 40) {
    throw new CannotDraft(
      "block.rules.backExtension",
      "Front and back inseams cannot be made equal. Choose a smaller back extension.",
    );
  }
  return drop;
}

/**
 * Draws front and back from a plan, equal by construction: the back crotch point is lowered until the inseams agree,
 * the back side point and both waists are solved together. Throws CannotDraft where there is no solution.
 */
export function drawLegs(legs: LegPlan): DrawnLegs {
  const front = drawHalf("front", legs, 0);
  const drop = solveBackDrop(legs, front);
  const back = drawHalf("back", legs, drop);
  const task = (half: Half): WaistTask => ({
    centre: half.waistCentre,
    centreDown: pointUnit(pointSubtract(half.onCentre, half.waistCentre)),
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
    throw new CannotDraft(
      "body.measures.waist",
      "No waist of this size can be joined to this hip: the side would have to lean too far. Check waist and waist to hip.",
    );
  }
  const drawn = cutAtHem(legs, [outline(front, waists.front), outline(back, waists.back)]);
  const panels = drawn.map((run, i) => assemble(i === 0 ? "front" : "back", legs, i === 0 ? front : back, run)) as [
    Panel,
    Panel,
  ];
  return {
    front: panelMap(panels[0], ([x, y]) => [0 - x, y]),
    back: panels[1],
    solved: {
      backCrotchDrop: quantity(drop, `solved: back inseam ${plain(legs.backShorter)} shorter than the front's`),
      backShorter: quantity(legs.backShorter, `${plain(legs.backShorter)} as chosen, stretched on when sewn`),
      frontHollow: quantity(
        front.crotch.hollow,
        `limited by the extension ${plain(legs.front.extension)}`,
        {},
        legs.front.hollowAsked,
      ),
      backHollow: quantity(
        back.crotch.hollow,
        `limited by the extension ${plain(legs.back.extension)}`,
        {},
        legs.back.hollowAsked,
      ),
      backSideLevel: quantity(waists.back.side[1], "solved: the back side is as long as the front's"),
    },
  };
}

/** Edges of a panel before assembly: each runs onward from the centre. */
interface Outline {
  readonly waist: DrawnWaist;
  readonly side: Path;
  readonly inseamDown: Path;
}

function outline(half: Half, waist: DrawnWaist): Outline {
  return { waist, side: [waist.upperSide, ...half.lowerSide], inseamDown: half.inseam };
}

/** A hem above the knee cuts both panels at equal arc length: the side from the waist, the inseam from its hem end. */
function cutAtHem(legs: LegPlan, [front, back]: readonly [Outline, Outline]): readonly [Outline, Outline] {
  const { hem } = legs.levels;
  if (hem >= drawnHem(legs)) return [front, back];
  const alongAt = (path: Path): Mm => {
    const whole = pathLength(path);
    let [low, high] = [0, whole];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (pathAt(path, middle).point[1] < hem) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const sideAt = alongAt(front.side);
  const inseamLeft = pathLength(front.inseamDown) - alongAt(front.inseamDown);
  const cut = (o: Outline): Outline => ({
    ...o,
    side: pathSplit(o.side, sideAt)[0],
    inseamDown: pathSplit(o.inseamDown, pathLength(o.inseamDown) - inseamLeft)[0],
  });
  return [cut(front), cut(back)];
}

function assemble(kind: "front" | "back", legs: LegPlan, half: Half, run: Outline): Panel {
  const { levels } = legs;
  const { waist, side, inseamDown } = run;
  const hemSide = pathEnd(side);
  const hemInseam = pathEnd(inseamDown);
  const crotchPath: Path = [half.crotch.segment, line(half.onCentre, half.waistCentre)];
  const edges: Edge[] = [
    ...waist.edges,
    { id: "side", role: "side", name: "side seam", path: side },
    { id: "hem", role: "hem", name: "hem", path: [line(hemSide, hemInseam)] },
    { id: "inseam", role: "inseam", name: "inseam", path: pathReverse(inseamDown) },
    { id: "crotch", role: "crotch", name: kind === "front" ? "front crotch" : "back crotch", path: crotchPath },
  ];
  const seamX = (path: Path, y: Mm): Mm | undefined => pathCrossings(path, y)[0];
  const creaseHemY = hemSide[1] + ((hemInseam[1] - hemSide[1]) * (0 - hemSide[0])) / (hemInseam[0] - hemSide[0]);
  const hipCentre: Point = [seamX(crotchPath, levels.hip) ?? half.onCentre[0], levels.hip];
  const hasKnee = levels.knee < Math.min(hemSide[1], hemInseam[1]) - 1;
  const grainTop = Math.max(levels.hip - 20, levels.waist + 40);
  const lines: PanelLine[] = [
    ...waist.dartLines,
    {
      kind: "grain",
      points: [
        [0, grainTop],
        [0, Math.max(grainTop + 60, creaseHemY - 60)],
      ],
    },
    {
      kind: "crease",
      points: [
        [0, levels.crotch],
        [0, creaseHemY],
      ],
    },
    { kind: "hip", points: [hipCentre, half.hip] },
    {
      kind: "crotch",
      points: [
        [half.crotchPoint[0], levels.crotch],
        [seamX(side, levels.crotch) ?? half.hip[0], levels.crotch],
      ],
    },
    ...(hasKnee
      ? [
          {
            kind: "knee" as const,
            points: [
              [-half.plan.kneeHalf, levels.knee],
              [half.plan.kneeHalf, levels.knee],
            ] as const,
          },
        ]
      : []),
  ];
  return {
    id: kind,
    name: kind === "front" ? "Front" : "Back",
    half: "both",
    material: "shell",
    edges,
    lines,
    landmarks: {
      waistCentre: half.waistCentre,
      waistSide: waist.side,
      hipSide: half.hip,
      hipCentre,
      crotchPoint: half.crotchPoint,
      curveStart: half.onCentre,
      ...(hasKnee
        ? { kneeSide: [half.plan.kneeHalf, levels.knee], kneeInseam: [-half.plan.kneeHalf, levels.knee] }
        : {}),
      hemSide,
      hemInseam,
      creaseHem: [0, creaseHemY],
      creaseCrotch: [0, levels.crotch],
    },
  };
}
