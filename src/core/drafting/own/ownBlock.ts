import { edgeOf, edgesWithRole, type Panel } from "../../pattern";
import {
  dartsOffEdges,
  movedEdges,
  partedAtDarts,
  placeOn,
  readTraced,
  widthsHeld,
  type DrawnDart,
  type Traced,
} from "../../tracing";
import { pathEnd, pathLength, pathNearest, pathReverse, pathStart, type Point } from "../../geometry";
import { fill, named, quantity, typed, type Mm, type Quantity, type Unit, Refusal, say } from "../../units";
import type { Block } from "../block";
import { Drafter } from "../drafter";
import { remembered } from "../../remember";
import { longerInseam, longerSide } from "./walk";
import { correctedOwn, type OwnAlteration, type OwnCorrection } from "./corrected";
import type { Levels, LegPlan, OwnLegs, OwnPanel, PanelPlan } from "../plan";
import { drawOwnLegs } from "./drawOwn";
import { LEG_OUTLINE, placing, type OwnEdgeId } from "./ownOutline";
import type { OwnBlock, OwnLandmark } from "./schema";

/** How many blocks are kept: a fitting tries a dozen corrections on one. */
const BLOCKS_KEPT = 16;

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

/** How far below the waist the tips of darts lie that do not open on it. */
const dartsOff = ({ edges, darts }: Read): readonly Mm[] =>
  dartsOffEdges([edges.waist], darts).map(([, tip]) => pathNearest(edges.waist, tip).distance);

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

/** A back whose inseam is this much shorter than the front's, or less, is left as it is. */
const SHORTEST_BACK: Mm = 6;
const USUAL_SHORTER: Mm = 3;

/** Asked for: the back's crotch point and side are moved along their seams until they agree with the front's. */
function reconciled(front: OwnPanel, back: OwnPanel): OwnPanel {
  const longer = pathLength(back.inseamDown) - pathLength(front.inseamDown);
  const sideLonger = pathLength(back.side) - pathLength(front.side);
  const walked = longer > 0 || longer < 0 - SHORTEST_BACK ? longerInseam(back, 0 - longer - USUAL_SHORTER) : back;
  return Math.abs(sideLonger) > 0.05 ? longerSide(walked, 0 - sideLonger) : walked;
}

/**
 * The block a maker brought in, on its seam lines, with crease upright and waist at y = 0. Nothing is redrawn unless
 * reconciling is asked for, or a fitting corrected it. Widths asked of it later are shared about its crease, or, with
 * `keepsMiddle`, about the middle it has itself at each level. Throws Refusal naming the landmark, outline or allowance
 * at fault.
 */
export const ownBlock = remembered(makeBlock, BLOCKS_KEPT);

function makeBlock(own: OwnBlock, unit: Unit, keepsMiddle = false, corrections: readonly OwnCorrection[] = []): Block {
  const frontRead = readPanel(own, "front", unit);
  const backRead = readPanel(own, "back", unit);
  const frontLaid = ownPanel(frontRead);
  // The back is laid beside the front hip line on hip line.
  const backLaid = ownPanel(backRead);
  const down = frontLaid.hip[1] - backLaid.hip[1];
  const shifted = ownPanel({
    edges: movedEdges(backRead.edges, ([x, y]) => [x, y + down]),
    marks: Object.fromEntries(
      Object.entries(backRead.marks).map(([name, [x, y]]) => [name, [x, y + down]]),
    ) as unknown as Read["marks"],
    darts: backRead.darts.map((d) => d.map(([x, y]): Point => [x, y + down]) as unknown as DrawnDart),
    notches: backRead.notches.map(([x, y]): Point => [x, y + down]),
  });
  const brought = { front: frontLaid, back: own.reconcile ? reconciled(frontLaid, shifted) : shifted };
  const { front, back, waist, done } = correctedOwn(
    brought.front,
    brought.back,
    levelsOf(brought.front, frontRead.marks.kneeSide),
    corrections,
  );
  const levels = { ...levelsOf(front, frontRead.marks.kneeSide), waist };
  const { hem } = levels;
  const legs: OwnLegs = { front, back, hemLevel: hem };
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
    front: planOf(front, centreAtHip(front), waist),
    back: planOf(back, centreAtHip(back), waist),
  };
  const drawn = drawOwnLegs(plan, legs);
  const drafter = new Drafter();
  const panels = [drawn.front, drawn.back] as const;
  for (const [name, q] of Object.entries(measuredNumbers(plan, panels))) drafter.number(name, q);
  for (const [name, q] of Object.entries(drawn.solved)) drafter.number(name, q);
  const off = { front: dartsOff(frontRead), back: dartsOff(backRead) };
  recordSteps(drafter, own, panels, off, done);
  return { plan, panels, numbers: drafter.numbers, steps: drafter.steps };
}

/** Levels of a block brought in, by its front. */
function levelsOf(front: OwnPanel, knee: Point): Levels {
  const levels = {
    waist: 0,
    hip: front.hip[1],
    crotch: pathStart(front.inseamDown)[1],
    knee: placeOn(front.side, knee)[1],
    hem: (pathEnd(front.side)[1] + pathEnd(front.inseamDown)[1]) / 2,
  };
  if (!(levels.hip < levels.crotch && levels.crotch < levels.knee && levels.knee < levels.hem)) {
    throw new Refusal(
      "block.own.landmarks.front",
      say`From the waist down the block needs hip, crotch point, knee and hem in this order. Put the landmarks in their places.`,
    );
  }
  return levels;
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

function recordSteps(
  drafter: Drafter,
  own: OwnBlock,
  panels: readonly [Panel, Panel],
  off: Readonly<Record<"front" | "back", readonly Mm[]>>,
  done: readonly OwnAlteration[],
): void {
  for (const panel of panels) {
    drafter.step(
      panel.id,
      own.name
        ? say`Lay the ${panel.id} of “{name}” on paper with the crease upright and draw round it on the seam line.`
        : say`Lay the ${panel.id} of your block on paper with the crease upright and draw round it on the seam line.`,
      { points: panel.landmarks, seams: panel.edges.map((e) => e.path) },
      { name: typed(own.name ?? "") },
    );
  }
  for (const kind of ["front", "back"] as const)
    drafter.leaveOut(
      kind,
      off[kind],
      "measured on the block brought in",
      (far) =>
        say`Leave out the dart of the ${kind} whose tip lies ${named(far)} from the waist: it does not open there.`,
    );
  done.forEach(({ panel, by, date, template }, i) => {
    const name = `corrected${i + 1}`;
    drafter.number(name, quantity(by, "as the fitting says"));
    const altered = panels.find((p) => p.is.root === panel) as Panel;
    drafter.step(
      altered.id,
      say`Fitting of {date}, on the ${panel}: ${fill(template, { by: named(name) })}.`,
      { seams: altered.edges.map((e) => e.path) },
      { date: typed(date) },
    );
  });
  drafter.step(
    "back",
    "Walk side and inseam: the back crotch point lies {backCrotchDrop} lower, its inseam is {backShorter} shorter.",
    {
      points: { crotchPoint: panels[1].landmarks.crotchPoint as Point },
    },
  );
}
