import { Drafter, type Numbers, type Step } from "../../drafting";
import {
  line,
  pathEnd,
  pathLength,
  pathNearest,
  pathReverse,
  pathStart,
  pointDistance,
  pointRotate,
  pointSubtract,
  type Point,
} from "../../geometry";
import { edgesWithRole, type Join, type Panel } from "../../pattern";
import { dartsOffEdges, partedAtDarts, readTraced, widthsHeld, type MarksOf, type Traced } from "../../tracing";
import { named, quantity, Refusal, say, typed, type Mm, type Quantity, type Unit } from "../../units";
import { joinsOf, panelOf, type HalfLines } from "../panels";
import {
  BODICE_EDGES,
  BODICE_OUTLINE,
  type BodiceEdgeId,
  type BodiceFrontPlace,
  type BodicePlace,
  type OwnBodice,
} from "./schema";

type Half = "front" | "back";
type Read = Traced<BodiceEdgeId, BodiceFrontPlace>;

/** The front lies on the fold at its centre, which is straight to within this. */
const STRAIGHT: Mm = 3;

/** What the trousers below have to follow: the sewn waist of each half, and where its first dart lies. */
export interface WaistAbove {
  readonly net: Mm;
  /** From the centre to where the first dart opens; undefined without one. */
  readonly dartAt: Mm | undefined;
}

/** A bodice brought in, ready to be restyled. */
export interface OwnBodiceDrawn {
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
  readonly waist: Readonly<Record<Half, WaistAbove>>;
  readonly numbers: Numbers;
  readonly steps: readonly Step[];
}

/** Lays a half down: its centre upright at x = 0, its waist at y = 0, its side to the right. */
function placing(marks: MarksOf<BodicePlace>): (p: Point) => Point {
  const down = pointSubtract(marks.waistCentre, marks.neckCentre);
  const angle = Math.PI / 2 - Math.atan2(down[1], down[0]);
  const turned = (p: Point): Point => pointRotate(p, marks.waistCentre, angle);
  const flip = turned(marks.underarm)[0] < marks.waistCentre[0] ? -1 : 1;
  return (p) => {
    const [x, y] = pointSubtract(turned(p), marks.waistCentre);
    return [flip * x, y];
  };
}

function readHalf(own: OwnBodice, half: Half, unit: Unit): Read {
  const { front, back } = own.landmarks;
  const places: MarksOf<BodiceFrontPlace> = half === "front" ? front : { ...back, bustPoint: back.underarm };
  const at = {
    outline: `block.bodice.panels.${half}`,
    marks: `block.bodice.landmarks.${half}`,
    allowance: "block.bodice.allowance",
  };
  const read = readTraced({
    kind: BODICE_OUTLINE,
    panel: own.panels[half],
    marks: places,
    place: placing(places),
    widths: widthsHeld(own.allowance, BODICE_EDGES, unit, at.allowance, half === "front" ? ["centre"] : []),
    at,
  });
  refuseOutOfPlace(read, half, at.marks);
  return read;
}

/** Places of a bodice lie one below the other and one beside the other; what does not is named. */
function refuseOutOfPlace({ edges, marks }: Read, half: Half, path: string): void {
  const { words } = BODICE_OUTLINE;
  const refuse = (name: BodiceFrontPlace, other: BodiceFrontPlace, how: string): never => {
    throw new Refusal(
      `${path}.${name}`,
      say`On the ${half}, ${words[name]} must lie ${how} ${words[other]}. Put it there.`,
    );
  };
  const [underarm, waistSide] = [pathEnd(edges.armhole), pathEnd(edges.side)];
  if (underarm[1] <= pathStart(edges.armhole)[1]) refuse("underarm", "shoulderEnd", "below");
  if (waistSide[1] <= underarm[1]) refuse("waistSide", "underarm", "below");
  if (pathEnd(edges.shoulder)[0] <= pathStart(edges.shoulder)[0]) refuse("shoulderEnd", "neckEnd", "outside");
  if (half === "back") return;
  const bust = marks.bustPoint;
  if (bust[1] >= 0 || bust[1] <= pathEnd(edges.neck)[1]) refuse("bustPoint", "waistCentre", "above");
  if (bust[0] <= 0 || bust[0] >= underarm[0])
    throw new Refusal(
      `${path}.bustPoint`,
      say`The bust point lies beyond the panel. Put it on the front, between centre and side.`,
    );
  const bent = Math.max(
    ...edges.centre.flatMap((s) =>
      s.points.map((p) => pathNearest([line(pathStart(edges.centre), pathEnd(edges.centre))], p).distance),
    ),
  );
  if (bent > STRAIGHT)
    throw new Refusal(
      "block.bodice.panels.front",
      say`The centre of the front lies on the fold, but its line is ${bent} off straight. Bring in a front with a straight centre.`,
    );
}

const SIDE = { role: "side", id: "side", name: "side", dartId: "bust-dart", dartName: "bust dart" } as const;
const WAIST = { role: "waist", id: "waist", name: "waist", dartId: "waist-dart", dartName: "waist dart" } as const;

/** The lines of a half; its waist runs from the side to the centre, and is numbered from the centre. */
function linesOf({ edges, marks, darts }: Read, half: Half): HalfLines {
  const side = partedAtDarts(edges.side, darts, SIDE);
  const fromCentre = partedAtDarts(pathReverse(edges.waist), darts, WAIST);
  return {
    neck: edges.neck,
    shoulder: edges.shoulder,
    armhole: edges.armhole,
    side: side.edges,
    waist: [...fromCentre.edges].reverse().map((e) => ({ ...e, path: pathReverse(e.path) })),
    centre: half === "front" ? [line(pathStart(edges.centre), pathEnd(edges.centre))] : edges.centre,
    darts: [...fromCentre.lines, ...side.lines],
    points: half === "front" ? { bustPoint: marks.bustPoint } : { nape: pathStart(edges.neck) },
    isPointed: false,
  };
}

/** The sewn waist of a half, walked from the centre, and where its first dart opens. */
function waistOf(panel: Panel): WaistAbove {
  const parts = panel.edges.filter((e) => e.role === "waist").reverse();
  const [first, ...others] = parts.map((e) => pathLength(e.path)) as [Mm, ...Mm[]];
  return {
    net: others.reduce((sum, mm) => sum + mm, first),
    // Only a dart parts the waist.
    dartAt: others.length > 0 ? first : undefined,
  };
}

function numbersOf(panels: Readonly<Record<Half, Panel>>): Record<string, Quantity> {
  const long = (panel: Panel, ...roles: readonly Parameters<typeof edgesWithRole>[1][]): Mm =>
    roles.flatMap((role) => edgesWithRole(panel, role)).reduce((sum, e) => sum + pathLength(e.path), 0);
  const measured = (mm: Mm): Quantity => quantity(mm, "measured on the bodice brought in");
  const { front, back } = panels;
  const centre = (panel: Panel): Mm =>
    pointDistance(panel.landmarks.neckCentre as Point, panel.landmarks.waistCentre as Point);
  return {
    bust: measured(
      2 * (Math.abs((front.landmarks.underarm as Point)[0]) + Math.abs((back.landmarks.underarm as Point)[0])),
    ),
    waist: measured(2 * (long(front, "waist") + long(back, "waist"))),
    shoulder: measured(long(back, "shoulder")),
    armhole: measured(long(front, "armhole") + long(back, "armhole")),
    frontLength: measured(centre(front)),
    backLength: measured(centre(back)),
    frontSide: measured(long(front, "side")),
    backSide: measured(long(back, "side")),
  };
}

/** How far from the waist the tips of darts lie that open neither there nor on the side. */
const dartsOff = ({ edges, darts }: Read): readonly Mm[] =>
  dartsOffEdges([edges.side, edges.waist], darts).map(([, tip]) => pathNearest(edges.waist, tip).distance);

function stepsOf(
  own: OwnBodice,
  panels: Readonly<Record<Half, Panel>>,
  read: Readonly<Record<Half, Read>>,
): readonly Step[] {
  const drafter = new Drafter();
  for (const half of ["front", "back"] as const) {
    const panel = panels[half];
    drafter.step(
      panel.id,
      own.name
        ? say`Lay the ${half} of “{name}” on paper with its centre upright and draw round it on the seam line.`
        : say`Lay the ${half} of your bodice on paper with its centre upright and draw round it on the seam line.`,
      { points: panel.landmarks, seams: panel.edges.map((e) => e.path) },
      { name: typed(own.name ?? "") },
    );
    drafter.leaveOut(
      panel.id,
      dartsOff(read[half]),
      "measured on the bodice brought in",
      (far) =>
        say`Leave out the dart of the ${half} whose tip lies ${named(far)} from the waist: it opens neither there nor on the side.`,
    );
  }
  return drafter.steps;
}

const drawn = new WeakMap<OwnBodice, Map<Unit, OwnBodiceDrawn>>();

/**
 * The bodice a maker brought in, on its seam lines. Nothing is redrawn: seams that do not agree are reported by the
 * checks. Throws Refusal naming the place, outline or allowance at fault.
 */
export function ownBodice(own: OwnBodice, unit: Unit): OwnBodiceDrawn {
  const held = drawn.get(own)?.get(unit);
  if (held) return held;
  const read = { front: readHalf(own, "front", unit), back: readHalf(own, "back", unit) };
  const front = panelOf("front", linesOf(read.front, "front"));
  const back = panelOf("back", linesOf(read.back, "back"));
  const panels = { front, back };
  const made: OwnBodiceDrawn = {
    panels: [front, back],
    joins: joinsOf(panels),
    waist: { front: waistOf(front), back: waistOf(back) },
    numbers: numbersOf(panels),
    steps: stepsOf(own, panels, read),
  };
  drawn.set(own, (drawn.get(own) ?? new Map<Unit, OwnBodiceDrawn>()).set(unit, made));
  return made;
}
