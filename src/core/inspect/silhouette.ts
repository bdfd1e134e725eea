import { hasLegs, isBodice, isOf, legOf, panelWidthAt, rimLength, type Panel } from "../pattern";
import { halves, type BodyMeasures } from "../body";
import { type LegPlan } from "../drafting";
import { forkAt } from "./fork";
import { bodiceOutline } from "./silhouetteBodice";
import { fairThrough, line, pathMap, type Path, type Point, pointFlipped } from "../geometry";
import type { Mm } from "../units";

/** The finished garment as it stands on its wearer, from its real girths; millimetres, x = 0 at the middle of the body. */
export interface Silhouette {
  /** Outline of both legs: outside, inside, hem and waist. */
  readonly outline: readonly Path[];
  readonly hem: Mm;
  readonly waist: Mm;
  /** The floor in shoes. */
  readonly floor: Mm;
}

/** Girth of one leg, or of the body above the crotch, at a level: what front and back measure there. */
export interface GirthAt {
  readonly y: Mm;
  readonly girth: Mm;
}

const STEP: Mm = 20;

/** Girths of the right leg from below the crotch to the hem, on the panels as they are. */
export function legGirths(panels: readonly Panel[], plan: LegPlan): readonly GirthAt[] {
  const leg = legOf(panels, "right");
  const [from, to] = [plan.levels.crotch + 25, plan.levels.hem - 2];
  const count = Math.max(2, Math.ceil((to - from) / STEP));
  return Array.from({ length: count + 1 }, (_, i) => {
    const y = from + ((to - from) * i) / count;
    return { y, girth: leg.reduce((sum, panel) => sum + panelWidthAt(panel, y), 0) };
  });
}

/** How far cloth stands out to the side for each step down: what is pleated or gathered in hangs; a circle stands off. */
const STANDS_OUT = 0.36;
const LET_IN_STANDS_OUT = 0.2;
const CIRCLE_STANDS_OUT = 0.85;

/** The outer line as it hangs: fullness that is let in somewhere cannot stand off at once, but falls from there. */
function draped(outer: readonly Point[], leg: readonly Panel[], hip: Mm): Point[] {
  const circle = leg.find((panel) => panel.worn?.ring)?.worn?.ring?.from ?? Infinity;
  // A panel of neither front nor back is fullness let in between them: it hangs in folds from its seam.
  const letIn = leg.some((panel) => !panel.worn?.ring && !isOf(panel, "front") && !isOf(panel, "back"));
  const cloth = letIn ? LET_IN_STANDS_OUT : STANDS_OUT;
  const hung: Point[] = [];
  for (const [x, y] of outer) {
    const above = hung[hung.length - 1];
    const most = above ? above[0] + (y - above[1]) * (y > circle ? CIRCLE_STANDS_OUT : cloth) : x;
    // From waist to hip the body itself carries the cloth out.
    hung.push([y < hip ? x : Math.min(x, most), y]);
  }
  return hung;
}

/** Below the hip cloth bends; where what carries it changes, its line runs over from one to the other. */
const EASED_ROUNDS = 4;

function eased(line: readonly Point[], hip: Mm): Point[] {
  let now = [...line];
  for (let round = 0; round < EASED_ROUNDS; round++)
    now = now.map(([x, y], i): Point => {
      const [before, after] = [now[i - 1], now[i + 1]];
      return before && after && y > hip + 1e-6 ? [(before[0] + 2 * x + after[0]) / 4, y] : [x, y];
    });
  return now;
}

/** The wearer's leg at a level, between the places where it is measured. */
function legAt(m: BodyMeasures, crotch: Mm, y: Mm): Mm {
  const places: readonly (readonly [Mm, Mm])[] = [
    [crotch + 25, m.thigh.mm],
    [m.waistToKnee.mm, m.knee.mm],
    [m.waistToCalf.mm, m.calf.mm],
    [m.waistToAnkle.mm, m.ankle.mm],
  ];
  for (let i = 1; i < places.length; i++) {
    const [a, b] = [places[i - 1], places[i]] as [readonly [Mm, Mm], readonly [Mm, Mm]];
    if (y <= b[0]) return a[1] + (b[1] - a[1]) * Math.max(0, (y - a[0]) / (b[0] - a[0] || 1));
  }
  return m.ankle.mm;
}

/** Width over depth of cloth hanging round a leg: a wide leg falls flat, a close one is round. */
const flatness = (girth: Mm, body: Mm): number => Math.min(1.7, 0.9 + 0.35 * Math.max(0, girth / body - 1));

/** Over this length cloth gathered by elastic fills out again. */
const GATHERS_OVER: Mm = 90;

/**
 * The outside from the waist to the hip, from the sewn waist and the finished hip, whatever the panels between were cut
 * into. A casing stands above the waist, and its elastic draws the waist in to the wearer's.
 */
function torsoOf(leg: readonly Panel[], plan: LegPlan, m: BodyMeasures): Point[] {
  const { levels } = plan;
  const width = (girth: Mm): Mm => halves(girth, 1.36).width;
  const sum = (measure: (panel: Panel) => Mm): Mm => 2 * leg.reduce((all, panel) => all + measure(panel), 0);
  const joined = leg.filter((panel) => isBodice(panel));
  // A waist that is sewn to a bodice is drawn in to that.
  const sewn =
    joined.length > 0
      ? 2 * joined.reduce((all, panel) => all + rimLength(panel, "waist"), 0)
      : sum((panel) => rimLength(panel, "waist"));
  const hip = width(sum((panel) => panelWidthAt(panel, levels.hip) - forkAt(panel, plan, levels.hip)));
  const casing = leg.find((panel) => panel.worn?.casings?.waist)?.worn?.casings?.waist;
  const waist = width(casing ? Math.min(sewn, m.waist.mm) : sewn);
  const stand = casing ? casing.added - casing.folded : 0;
  const count = 6;
  const down = Array.from({ length: count + 1 }, (_, i): Point => {
    const share = i / count;
    // Rounds out from the waist and comes upright at the hip; what is drawn up fills out at once.
    const filled = casing ? Math.sqrt(share) : Math.sin((share * Math.PI) / 2) ** 1.2;
    return [waist + (hip - waist) * filled, levels.waist + (levels.hip - levels.waist) * share];
  });
  return stand > 0 ? [[waist * 1.06, levels.waist - stand], ...down] : down;
}

const bothSides = (half: readonly Path[]): readonly Path[] => [
  ...half,
  ...half.map((path) => pathMap(path, pointFlipped)),
];

/** A top by itself. */
function topOf(panels: readonly Panel[], floor: Mm): Silhouette {
  const half = bodiceOutline(panels);
  const hem = Math.max(0, ...half.flatMap((path) => path.flatMap((segment) => segment.points.map(([, y]) => y))));
  return { outline: bothSides(half), hem, waist: 0, floor };
}

/**
 * The garment seen from the front (and, but for its seams, from the back): widths from the girths of the pattern at
 * every level, on the legs where the wearer's stand.
 */
export function silhouetteOf(panels: readonly Panel[], plan: LegPlan, m: BodyMeasures, shoe: Mm): Silhouette {
  const { levels } = plan;
  const leg = legOf(panels, "right");
  const floor = m.waistToFloor.mm + shoe;
  if (!hasLegs(panels)) return topOf(leg, floor);
  const torso = torsoOf(leg, plan, m);
  const standsAt = halves(m.thigh.mm, 0.86).width + 3;
  const drawnIn = leg.some((panel) => panel.worn?.casings?.hem);
  const legs = legGirths(panels, plan).map(({ y, girth: cut }) => {
    // Elastic in a casing draws the last of the leg in to the wearer's.
    const gathers = drawnIn && y > levels.hem - GATHERS_OVER;
    const body = legAt(m, levels.crotch, y);
    const share = gathers ? (levels.hem - y) / GATHERS_OVER : 1;
    const girth = Math.min(cut, body * 1.1 + Math.max(0, cut - body * 1.1) * share);
    const half = halves(girth, flatness(girth, body)).width;
    const inner = Math.max(3, standsAt * 0.94 - half);
    return { y, inner, outer: inner + 2 * half };
  });
  const first = legs[0];
  const lowest = legs[legs.length - 1];
  if (!first || !lowest) return { outline: [], hem: levels.hem, waist: levels.waist, floor };
  const outer = eased(draped([...torso, ...legs.map((l): Point => [l.outer, l.y])], leg, levels.hip), levels.hip);
  const last = { ...lowest, outer: (outer[outer.length - 1] as Point)[0] };
  const inner: Point[] = [[2, levels.crotch + 6], ...legs.map((l): Point => [l.inner, l.y])];
  const outside = fairThrough(outer);
  const inside = fairThrough(inner);
  const sag = (last.outer - last.inner) * 0.06;
  const hem: Path = [
    {
      kind: "cubic",
      points: [
        [last.outer, last.y],
        [last.outer * 0.7 + last.inner * 0.3, last.y + sag],
        [last.outer * 0.3 + last.inner * 0.7, last.y + sag],
        [last.inner, last.y],
      ],
    },
  ];
  const half = [outside, inside, hem, ...bodiceOutline(leg)];
  const waistAt = outer[0] as Point;
  return {
    outline: [...bothSides(half), [line(pointFlipped(waistAt), waistAt)]],
    hem: last.y,
    waist: waistAt[1],
    floor,
  };
}
