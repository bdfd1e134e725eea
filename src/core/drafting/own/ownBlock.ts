import { edgeOf, edgesWithRole, type Edge, type Panel, type PanelLine } from "../../pattern";
import {
  line,
  pathBetween,
  pathEnd,
  pathLength,
  pathNearest,
  pathReverse,
  pathStart,
  pointAdd,
  pointSubtract,
  type Path,
  type Point,
  type Segment,
} from "../../geometry";
import { quantity, readLength, type Mm, type Quantity, type Unit, Refusal, range, say } from "../../units";
import type { Block } from "../block";
import { Drafter } from "../drafter";
import type { LegPlan, OwnLegs, OwnPanel, PanelPlan } from "../plan";
import { drawOwnLegs } from "./drawOwn";
import {
  fitted,
  refuseOffTheLine,
  movedEdges,
  placing,
  readOutline,
  splitAtCorners,
  withoutAllowance,
  type OwnEdgeId,
  type OwnEdges,
} from "./ownOutline";
import type { OwnBlock, OwnPanelLandmarks } from "./schema";

const EDGES: readonly OwnEdgeId[] = ["waist", "side", "hem", "inseam", "crotch"];

function widthsOf(own: OwnBlock, unit: Unit): Readonly<Record<OwnEdgeId, Mm>> {
  const { allowance } = own;
  const read = (input: Parameters<typeof readLength>[0] | undefined): Mm => {
    if (input === undefined) return 0;
    const length = readLength(input, unit);
    if (!length.ok) throw new Refusal("block.own.allowance", [length.message]);
    if (length.mm < 0 || length.mm > 80)
      throw new Refusal("block.own.allowance", say`An allowance must lie between ${range(0, 80, "and")}.`);
    return length.mm;
  };
  const perEdge = typeof allowance === "object" && !("value" in allowance) ? allowance : null;
  const all = perEdge ? 0 : read(allowance as Parameters<typeof readLength>[0] | undefined);
  return Object.fromEntries(EDGES.map((id) => [id, perEdge ? read(perEdge[id]) : all])) as Record<OwnEdgeId, Mm>;
}

interface Read {
  readonly edges: OwnEdges;
  readonly marks: OwnPanelLandmarks;
  readonly darts: readonly (readonly [Point, Point, Point])[];
  readonly notches: readonly Point[];
}

function readPanel(own: OwnBlock, kind: "front" | "back", unit: Unit): Read {
  const drawn = own.panels[kind];
  const typed = own.landmarks[kind];
  const place = placing(typed);
  const marks = Object.fromEntries(
    Object.entries(typed).map(([name, p]) => [name, place(p as Point)]),
  ) as unknown as OwnPanelLandmarks;
  const outline = readOutline(drawn.path, `block.own.panels.${kind}`).map(
    (segment): Segment => ({ ...segment, points: segment.points.map(place) }) as unknown as Segment,
  );
  const split = splitAtCorners(outline, marks, `block.own.landmarks.${kind}`);
  refuseOffTheLine(split, marks, `block.own.landmarks.${kind}`);
  const edges = fitted(withoutAllowance(split, widthsOf(own, unit), "block.own.allowance"));
  return {
    edges,
    marks,
    darts: (drawn.darts ?? []).map(([a, b, c]) => [place(a), place(b), place(c)] as const),
    notches: (drawn.notches ?? []).map((p) => place(p as Point)),
  };
}

/** Splits the waist at the dart mouths, so that the sewn waist does not count them. */
function waistEdges(waist: Path, darts: Read["darts"]): { edges: Edge[]; lines: PanelLine[] } {
  const mouths = darts
    .map((dart) => {
      const [a, b] = [pathNearest(waist, dart[0]), pathNearest(waist, dart[2])];
      const [from, to] = a.along < b.along ? [a, b] : [b, a];
      return { from: from.along, to: to.along, tip: dart[1], near: Math.max(a.distance, b.distance) < 40 };
    })
    .filter((m) => m.near && m.to - m.from > 2)
    .sort((a, b) => a.from - b.from);
  const edges: Edge[] = [];
  const lines: PanelLine[] = [];
  let at = 0;
  const push = (to: Mm): void => {
    const n = edges.filter((e) => e.role === "waist").length + 1;
    edges.push({
      id: n === 1 ? "waist" : `waist-${n}`,
      role: "waist",
      name: "waist",
      path: pathBetween(waist, at, to),
    });
  };
  mouths.forEach(({ from, to, tip }, i) => {
    if (from <= at + 1 || to >= pathLength(waist) - 1) return;
    push(from);
    const mouth = pathBetween(waist, from, to);
    edges.push({
      id: i === 0 ? "dart" : `dart-${i + 1}`,
      role: "dart",
      name: mouths.length === 1 ? "dart" : `dart ${i + 1}`,
      path: mouth,
    });
    lines.push({ kind: "dart", points: [pathStart(mouth), tip, pathEnd(mouth)] });
    at = to;
  });
  push(pathLength(waist));
  return { edges, lines };
}

const on = (path: Path, p: Point): Point => {
  const { along } = pathNearest(path, p);
  const whole = pathLength(path);
  if (along < 1e-6) return pathStart(path);
  if (along > whole - 1e-6) return pathEnd(path);
  return pathEnd(pathBetween(path, 0, along));
};

function ownPanel({ edges, marks, darts, notches }: Read): OwnPanel {
  const { edges: waist, lines: dartLines } = waistEdges(edges.waist, darts);
  const inseamDown = pathReverse(edges.inseam);
  const kneeSide = on(edges.side, marks.kneeSide);
  const kneeInseam = on(inseamDown, marks.kneeInseam);
  return {
    waist,
    dartLines,
    notches,
    side: edges.side,
    inseamDown,
    hem: edges.hem,
    crotch: edges.crotch,
    hip: on(edges.side, marks.hipSide),
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
    ) as unknown as OwnPanelLandmarks,
    darts: backRead.darts.map((d) => d.map(([x, y]): Point => [x, y + down]) as [Point, Point, Point]),
    notches: backRead.notches.map(([x, y]): Point => [x, y + down]),
  });
  const back = own.reconcile ? reconciled(front, shifted) : shifted;
  const hem = (pathEnd(front.side)[1] + pathEnd(front.inseamDown)[1]) / 2;
  const legs: OwnLegs = { front, back, hemLevel: hem };
  const levels = {
    waist: 0,
    hip: front.hip[1],
    crotch: pathStart(front.inseamDown)[1],
    knee: on(front.side, frontRead.marks.kneeSide)[1],
    hem,
  };
  if (!(levels.hip < levels.crotch && levels.crotch < levels.knee && levels.knee < levels.hem)) {
    throw new Refusal(
      "block.own.landmarks.front",
      say`From the waist down the block needs hip, crotch point, knee and hem in this order. Put the landmarks in their places.`,
    );
  }
  const centreAtHip = (panel: OwnPanel): Mm => on(panel.crotch, [pathEnd(panel.crotch)[0], levels.hip])[0];
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
