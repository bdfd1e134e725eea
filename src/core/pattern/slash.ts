import { panelOutline, panelPath, type Edge, type Panel } from "./panel";
import {
  line,
  pathAt,
  pathBetween,
  pathLength,
  pathMap,
  pointDistance,
  pointRotate,
  polygonArea,
  type Path,
  type Point,
} from "../geometry";
import { type Mm, type Radians, Refusal, say } from "../units";

/** Paper that cannot be opened so far about its hinge. What asks for it says what can. */
export class CannotOpen extends Error {}

/**
 * One slash, by places on the outline: arc length from the outline's start (the centre of the waist), opened at
 * `open` by `gap`, held at `hinge`.
 */
export interface Cut {
  readonly open: Mm;
  readonly hinge: Mm;
  readonly gap: Mm;
}

/** A slash that was opened, in place: its hinge and the two tips of the wedge. */
export interface OpenedCut {
  readonly hinge: Point;
  readonly stay: Point;
  readonly tip: Point;
  readonly angle: Radians;
  /** Edge on which the hinge lies and its arc length there; on a corner, the edge that turned. */
  readonly hingeEdge: string;
  readonly hingeAlong: Mm;
}

export interface SlashResult {
  /** Edges with the gaps bridged by straight lines. */
  readonly edges: readonly Edge[];
  readonly opened: readonly OpenedCut[];
  /** Where a point that lies at an outline place goes. */
  readonly moveAt: (place: Mm) => (p: Point) => Point;
}

interface Turn {
  readonly cut: Cut;
  readonly low: Mm;
  readonly high: Mm;
  readonly centre: Point;
  readonly angle: Radians;
}

/** Place on the outline of a distance along one of its edges. */
export function outlinePlace(panel: Panel, edgeId: string, along: Mm): Mm {
  let before = 0;
  for (const edge of panel.edges) {
    if (edge.id === edgeId) return before + along;
    before += pathLength(edge.path);
  }
  throw new RangeError(`${panel.id} has no edge ${edgeId}`);
}

/**
 * Slash and spread. The cuts divide the outline into regions; the one with the waist stays, every other turns
 * rigidly about its hinge, composed outward, so edges without an open point keep their lengths exactly. A cut's
 * angle is 2 asin(gap / 2L) with L from hinge to open point. Throws Refusal of `cuts` when cuts cross, CannotOpen when a
 * gap is wider than its slash allows.
 */
export function slashAndSpread(panel: Panel, cuts: readonly Cut[]): SlashResult {
  const whole = panelPath(panel);
  const clockwise = Math.sign(polygonArea(panelOutline(panel)));
  const turns = cuts.map((cut): Turn => {
    const [low, high] = [Math.min(cut.open, cut.hinge), Math.max(cut.open, cut.hinge)];
    const centre = pathAt(whole, cut.hinge).point;
    const half = cut.gap / 2 / pointDistance(centre, pathAt(whole, cut.open).point);
    if (!(Math.abs(half) < 0.7)) throw new CannotOpen("the gap is wider than the slash allows");
    // The part beyond the cut turns away from it; which way that is depends on the end it is opened at.
    const away = cut.open === high ? -clockwise : clockwise;
    return { cut, low, high, centre, angle: away * 2 * Math.asin(half) };
  });
  refuseCrossing(turns);
  // Outermost first, so that inner turns are made before the outer ones carry them along.
  turns.sort((a, b) => b.high - b.low - (a.high - a.low));

  const carry =
    (chain: readonly Turn[]) =>
    (p: Point): Point =>
      chain.reduceRight((q, turn) => pointRotate(q, turn.centre, turn.angle), p);
  const chainAt = (place: Mm): Turn[] => turns.filter((turn) => turn.low < place && place < turn.high);

  const edges: Edge[] = [];
  let before = 0;
  for (const edge of panel.edges) {
    const length = pathLength(edge.path);
    const inside = [...new Set(turns.flatMap((t) => [t.low, t.high]))]
      .map((place) => place - before)
      .filter((along) => along > 1e-6 && along < length - 1e-6)
      .sort((a, b) => a - b);
    const marks = [0, ...inside, length];
    const path: Path = marks.slice(1).flatMap((to, i) => {
      const from = marks[i] as Mm;
      const part = pathMap(pathBetween(edge.path, from, to), carry(chainAt(before + (from + to) / 2)));
      return i === 0 ? part : [...bridge(turns, before + from, pathAt(edge.path, from).point, carry), ...part];
    });
    edges.push({ ...edge, path });
    before += length;
  }
  const opened = turns.map((turn) => describe(panel, turn, whole, turns, carry));
  return { edges, opened, moveAt: (place) => carry(chainAt(place)) };
}

/** Lines across the gaps at one open place, through the tip of every region that meets there. */
function bridge(
  turns: readonly Turn[],
  place: Mm,
  point: Point,
  carry: (chain: readonly Turn[]) => (p: Point) => Point,
): Path {
  const here = turns.filter((t) => Math.abs(t.cut.open - place) < 1e-6);
  if (here.length === 0) return [];
  const around = turns.filter((t) => t.low < place - 1e-6 && t.high > place + 1e-6);
  const ending = here.filter((t) => Math.abs(t.high - place) < 1e-6);
  const starting = here.filter((t) => Math.abs(t.low - place) < 1e-6);
  const chains = [
    ...ending.map((_, i) => [...around, ...ending.slice(0, ending.length - i)]),
    around,
    ...starting.map((_, i) => [...around, ...starting.slice(0, i + 1)]),
  ];
  const tips = chains.map((chain) => carry(chain)(point));
  return tips
    .slice(1)
    .flatMap((tip, i) => (pointDistance(tips[i] as Point, tip) > 1e-9 ? [line(tips[i] as Point, tip)] : []));
}

function refuseCrossing(turns: readonly Turn[]): void {
  for (const a of turns) {
    for (const b of turns) {
      if (a.low < b.low && b.low < a.high && a.high < b.high)
        throw new Refusal("cuts", say`Two of the slashes cross each other. Move one of them.`);
    }
  }
}

function describe(
  panel: Panel,
  turn: Turn,
  whole: Path,
  turns: readonly Turn[],
  carry: (chain: readonly Turn[]) => (p: Point) => Point,
): OpenedCut {
  const outer = turns.filter(
    (t) => t !== turn && t.low <= turn.low && t.high >= turn.high && t.high - t.low > turn.high - turn.low,
  );
  const open = pathAt(whole, turn.cut.open).point;
  let rest = turn.cut.hinge;
  // A hinge on a corner belongs to the edge of the part that turns.
  const inward = turn.cut.hinge === turn.low ? 1e-6 : -1e-6;
  for (const edge of panel.edges) {
    const length = pathLength(edge.path);
    if (rest + inward < length) {
      return {
        hinge: carry(outer)(turn.centre),
        stay: carry(outer)(open),
        tip: carry([...outer, turn])(open),
        angle: turn.angle,
        hingeEdge: edge.id,
        hingeAlong: Math.max(0, rest),
      };
    }
    rest -= length;
  }
  throw new CannotOpen("the hinge lies beyond the outline");
}
