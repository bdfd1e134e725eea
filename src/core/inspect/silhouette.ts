import { halves, type BodyMeasures } from "../body";
import { isOf, legOf, panelOutline, panelWidthAt, sectionWidth, type LegPlan, type Panel } from "../drafting";
import { fairThrough, line, pathMap, type Path, type Point } from "../geometry";
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

/** What a panel's darts hold at a level. */
const dartsAt = (panel: Panel, y: Mm): Mm =>
  panel.lines.filter((l) => l.kind === "dart").reduce((sum, l) => sum + sectionWidth(l.points, y), 0);

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
const CIRCLE_STANDS_OUT = 0.85;

/** The outer line as it hangs: fullness that is let in somewhere cannot stand off at once, but falls from there. */
function draped(outer: readonly Point[], leg: readonly Panel[], hip: Mm): Point[] {
  const circle = leg.find((panel) => panel.ring)?.ring?.from ?? Infinity;
  const hung: Point[] = [];
  for (const [x, y] of outer) {
    const above = hung[hung.length - 1];
    const most = above ? above[0] + (y - above[1]) * (y > circle ? CIRCLE_STANDS_OUT : STANDS_OUT) : x;
    // From waist to hip the body itself carries the cloth out.
    hung.push([y < hip ? x : Math.min(x, most), y]);
  }
  return hung;
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

/**
 * The garment seen from the front (and, but for its seams, from the back): widths from the girths of the pattern at
 * every level, on the legs where the wearer's stand.
 */
export function silhouetteOf(panels: readonly Panel[], plan: LegPlan, m: BodyMeasures, shoe: Mm): Silhouette {
  const { levels } = plan;
  const leg = legOf(panels, "right");
  const torso = (y: Mm): Mm => {
    // Darts are sewn shut: what they hold at this level goes round nobody.
    const girth = 2 * leg.reduce((sum, panel) => sum + panelWidthAt(panel, y) - dartsAt(panel, y), 0);
    return halves(girth, 1.36).width;
  };
  const tops = (["front", "back"] as const).map((root) =>
    Math.min(...leg.filter((p) => isOf(p.id, root)).flatMap((p) => panelOutline(p).map((q) => q[1]))),
  );
  const top = Math.max(...tops.filter(Number.isFinite)) + 4;
  const standsAt = halves(m.thigh.mm, 0.86).width + 3;
  const legs = legGirths(panels, plan).map(({ y, girth }) => {
    const half = halves(girth, flatness(girth, legAt(m, levels.crotch, y))).width;
    const inner = Math.max(3, standsAt * 0.94 - half);
    return { y, inner, outer: inner + 2 * half };
  });
  const first = legs[0];
  const lowest = legs[legs.length - 1];
  if (!first || !lowest) return { outline: [], hem: levels.hem, waist: levels.waist, floor: m.waistToFloor.mm + shoe };
  const sides: Point[] = [];
  for (let y = top; y < levels.hip; y += STEP * 1.5) sides.push([torso(y), y]);
  const hip: Point = [torso(levels.hip), levels.hip];
  const outer = draped([...sides, hip, ...legs.map((l): Point => [l.outer, l.y])], leg, levels.hip);
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
  const half = [outside, inside, hem];
  const waistAt = outer[0] as Point;
  return {
    outline: [
      ...half,
      ...half.map((path) => pathMap(path, ([x, y]): Point => [0 - x, y])),
      [line([0 - waistAt[0], waistAt[1]], waistAt)],
    ],
    hem: last.y,
    waist: waistAt[1],
    floor: m.waistToFloor.mm + shoe,
  };
}
