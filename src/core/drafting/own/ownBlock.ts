import { edgeOf, edgesWithRole, type Panel } from "../../pattern";
import { movedEdges, partedAtDarts, placeOn, readTraced, widthsHeld, type DrawnDart, type Traced } from "../../tracing";
import {
  line,
  pathBetween,
  pathEnd,
  pathLength,
  pathReverse,
  pathStart,
  pointAdd,
  pointSubtract,
  type Path,
  type Point,
  type Segment,
} from "../../geometry";
import { quantity, type Mm, type Quantity, type Unit, Refusal, say } from "../../units";
import type { Block } from "../block";
import { Drafter } from "../drafter";
import type { LegPlan, OwnLegs, OwnPanel, PanelPlan } from "../plan";
import { drawOwnLegs } from "./drawOwn";
import { LEG_OUTLINE, placing, type OwnEdgeId } from "./ownOutline";
import type { OwnBlock, OwnLandmark } from "./schema";

const EDGES = LEG_OUTLINE.corners.map(([id]) => id);

type Read = Traced<OwnEdgeId, OwnLandmark>;

function readPanel(own: OwnBlock, kind: "front" | "back", unit: Unit): Read {
  const marks = own.landmarks[kind];
  return readTraced({
    kind: LEG_OUTLINE,
    panel: own.panels[kind],
    marks,
    place: placing(marks),
    widths: widthsHeld(own.allowance, EDGES, unit, "block.own.allowance"),
    at: {
      outline: `block.own.panels.${kind}`,
      marks: `block.own.landmarks.${kind}`,
      allowance: "block.own.allowance",
    },
  });
}

const WAIST = { role: "waist", id: "waist", name: "waist", dartId: "dart", dartName: "dart" } as const;

function ownPanel({ edges, marks, darts, notches }: Read): OwnPanel {
  const { edges: waist, lines: dartLines } = partedAtDarts(edges.waist, darts, WAIST);
  const inseamDown = pathReverse(edges.inseam);
  const kneeSide = placeOn(edges.side, marks.kneeSide);
  const kneeInseam = placeOn(inseamDown, marks.kneeInseam);
  return {
    waist,
    dartLines,
    notches,
    side: edges.side,
    inseamDown,
    hem: edges.hem,
    crotch: edges.crotch,
    hip: placeOn(edges.side, marks.hipSide),
    knee: { side: kneeSide[0], inseam: kneeInseam[0] },
    hemAt: { side: pathEnd(edges.side)[0], inseam: pathEnd(inseamDown)[0] },
  };
}

/** The plan of a panel brought in, measured from its lines. */
function planOf(own: OwnPanel, hipCentre: Mm, waistY: Mm): PanelPlan {
  const crotchPoint = pathStart(own.inseamDown);
  return {
    centre: "bent",
    centreAtCrotch: hipCentre,
    centreAtWaist: pathEnd(own.crotch)[0],
    centreRise: waistY - pathEnd(own.crotch)[1],
    hipX: own.hip[0],
    sideAtCrotch: null,
    crotchX: crotchPoint[0],
    extension: Math.abs(hipCentre - crotchPoint[0]),
    curve: { steer: "diagonal", start: "hip", hollow: 0, out: 0, up: 0 },
    darts: { count: 0, intake: 0, length: 0, at: null, run: "square" },
    netWaist: own.waist.filter((e) => e.role === "waist").reduce((sum, e) => sum + pathLength(e.path), 0),
    hem: own.hemAt,
  };
}

/** Moves the end of a path and its handle, so that it runs on to another place without changing elsewhere. */
function startMoved(path: Path, by: Point): Path {
  const [first, ...rest] = path as [Segment, ...Segment[]];
  const moved: Segment =
    first.kind === "line"
      ? line(pointAdd(first.points[0], by), first.points[1])
      : {
          kind: "cubic",
          points: [pointAdd(first.points[0], by), pointAdd(first.points[1], by), first.points[2], first.points[3]],
        };
  return [moved, ...rest];
}

/** Asked for: the back's crotch point and side are moved along their seams until they agree with the front's. */
function reconciled(front: OwnPanel, back: OwnPanel): OwnPanel {
  const longer = pathLength(back.inseamDown) - pathLength(front.inseamDown);
  let { inseamDown, crotch, side } = back;
  if (longer > 0 || longer < -6) {
    const wanted = longer + 3;
    const at = pathStart(inseamDown);
    inseamDown =
      wanted > 0 ? pathBetween(inseamDown, wanted, pathLength(inseamDown)) : startMoved(inseamDown, [0, wanted]);
    crotch = startMoved(crotch, pointSubtract(pathStart(inseamDown), at));
  }
  const sideLonger = pathLength(side) - pathLength(front.side);
  let { waist } = back;
  if (Math.abs(sideLonger) > 0.05) {
    const at = pathStart(side);
    side = sideLonger > 0 ? pathBetween(side, sideLonger, pathLength(side)) : startMoved(side, [0, sideLonger]);
    const by = pointSubtract(pathStart(side), at);
    waist = waist.map((edge, i) =>
      i === waist.length - 1 ? { ...edge, path: pathReverse(startMoved(pathReverse(edge.path), by)) } : edge,
    );
  }
  return { ...back, inseamDown, crotch, side, waist };
}

const blocks = new WeakMap<OwnBlock, Map<string, Block>>();

/**
 * The block a maker brought in, on its seam lines, with crease upright and waist at y = 0. Nothing is redrawn unless
 * reconciling is asked for. Widths asked of it later are shared about its crease, or, with `keepsMiddle`, about the middle
 * it has itself at each level. Throws Refusal naming the landmark, outline or allowance at fault.
 */
export function ownBlock(own: OwnBlock, unit: Unit, keepsMiddle = false): Block {
  const key = `${unit} ${keepsMiddle}`;
  const held = blocks.get(own)?.get(key);
  if (held) return held;
  const block = makeBlock(own, unit, keepsMiddle);
  blocks.set(own, (blocks.get(own) ?? new Map<string, Block>()).set(key, block));
  return block;
}

function makeBlock(own: OwnBlock, unit: Unit, keepsMiddle: boolean): Block {
  const frontRead = readPanel(own, "front", unit);
  const backRead = readPanel(own, "back", unit);
  const front = ownPanel(frontRead);
  // The back is laid beside the front hip line on hip line.
  const backLaid = ownPanel(backRead);
  const down = front.hip[1] - backLaid.hip[1];
  const shifted = ownPanel({
    edges: movedEdges(backRead.edges, ([x, y]) => [x, y + down]),
    marks: Object.fromEntries(
      Object.entries(backRead.marks).map(([name, [x, y]]) => [name, [x, y + down]]),
    ) as unknown as Read["marks"],
    darts: backRead.darts.map((d) => d.map(([x, y]): Point => [x, y + down]) as unknown as DrawnDart),
    notches: backRead.notches.map(([x, y]): Point => [x, y + down]),
  });
  const back = own.reconcile ? reconciled(front, shifted) : shifted;
  const hem = (pathEnd(front.side)[1] + pathEnd(front.inseamDown)[1]) / 2;
  const legs: OwnLegs = { front, back, hemLevel: hem };
  const levels = {
    waist: 0,
    hip: front.hip[1],
    crotch: pathStart(front.inseamDown)[1],
    knee: placeOn(front.side, frontRead.marks.kneeSide)[1],
    hem,
  };
  if (!(levels.hip < levels.crotch && levels.crotch < levels.knee && levels.knee < levels.hem)) {
    throw new Refusal(
      "block.own.landmarks.front",
      say`From the waist down the block needs hip, crotch point, knee and hem in this order. Put the landmarks in their places.`,
    );
  }
  const centreAtHip = (panel: OwnPanel): Mm => placeOn(panel.crotch, [pathEnd(panel.crotch)[0], levels.hip])[0];
  const plan: LegPlan = {
    hemAsked: null,
    levels,
    sideRise: 0,
    backShorter: pathLength(front.inseamDown) - pathLength(back.inseamDown),
    dropAsked: 0,
    hang: keepsMiddle ? "kept" : "crease",
    turns: [{ level: levels.knee, front: front.knee, back: back.knee, asked: false }],
    shaped: false,
    hemLine: hem,
    backExtra: back.hemAt.side - back.hemAt.inseam - front.hemAt.side + front.hemAt.inseam,
    thigh: null,
    straightInseam: false,
    hipWide: false,
    own: legs,
    front: planOf(front, centreAtHip(front), 0),
    back: planOf(back, centreAtHip(back), 0),
  };
  const drawn = drawOwnLegs(plan, legs);
  const drafter = new Drafter();
  const panels = [drawn.front, drawn.back] as const;
  for (const [name, q] of Object.entries(measuredNumbers(plan, panels))) drafter.number(name, q);
  for (const [name, q] of Object.entries(drawn.solved)) drafter.number(name, q);
  recordSteps(drafter, own, panels);
  return { plan, panels, numbers: drafter.numbers, steps: drafter.steps };
}

function measuredNumbers(plan: LegPlan, [front, back]: readonly [Panel, Panel]): Record<string, Quantity> {
  const measured = (mm: Mm): Quantity => quantity(mm, "measured on the block brought in");
  const net = (panel: Panel): Mm => edgesWithRole(panel, "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
  return {
    crotchDepth: measured(plan.levels.crotch),
    hipLevel: measured(plan.levels.hip),
    kneeLevel: measured(plan.levels.knee),
    blockLength: measured(plan.levels.hem),
    frontWidth: measured(plan.front.hipX - plan.front.centreAtCrotch),
    backWidth: measured(plan.back.hipX - plan.back.centreAtCrotch),
    frontExtension: measured(plan.front.extension),
    backExtension: measured(plan.back.extension),
    backRise: measured(plan.back.centreRise),
    waistQuarter: quantity((net(front) + net(back)) / 2, "half of front and back, measured on the block brought in"),
    blockLegGirth: measured(pathLength(edgeOf(front, "hem").path) + pathLength(edgeOf(back, "hem").path)),
  };
}

function recordSteps(drafter: Drafter, own: OwnBlock, panels: readonly [Panel, Panel]): void {
  for (const panel of panels) {
    drafter.step(
      panel.id,
      own.name
        ? `Lay the ${panel.id} of “{name}” on paper with the crease upright and draw round it on the seam line.`
        : `Lay the ${panel.id} of your block on paper with the crease upright and draw round it on the seam line.`,
      { points: panel.landmarks, seams: panel.edges.map((e) => e.path) },
      { name: own.name ?? "" },
    );
  }
  drafter.step(
    "back",
    "Walk side and inseam: the back crotch point lies {backCrotchDrop} lower, its inseam is {backShorter} shorter.",
    {
      points: { crotchPoint: panels[1].landmarks.crotchPoint as Point },
    },
  );
}
