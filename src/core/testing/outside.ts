import { textOf } from "../units";
import type { EdgeRef, Join, Panel } from "../pattern";

/** Outlines looked at from outside: points and sums of chords, by nothing the engine measures with. Millimetres. */
export type Pt = readonly [number, number];
type Curve = Panel["edges"][number]["path"][number]["points"];

/** Chords a curve is cut into; a curve of half a metre is off its chords by less than a tenth of a millimetre. */
const CHORDS = 24;
/** Ends of edges that are to meet, and seams that are to be equal, may be apart by so much. */
const MEET = 0.01;
const EQUAL = 0.5;

const onCurve = ([a, b, c, d]: Curve, t: number): Pt => {
  if (!c || !d) return [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
  const [u, v] = [1 - t, t];
  const [i, j, k, l] = [u * u * u, 3 * u * u * v, 3 * u * v * v, v * v * v];
  return [i * a[0] + j * b[0] + k * c[0] + l * d[0], i * a[1] + j * b[1] + k * c[1] + l * d[1]];
};
export const chordsOf = (path: Panel["edges"][number]["path"], chords = CHORDS): Pt[] =>
  path.flatMap(({ points }, n) => {
    const all =
      points.length === 2 ? points.slice() : Array.from({ length: chords + 1 }, (_, i) => onCurve(points, i / chords));
    return n === 0 ? all : all.slice(1);
  });
const apart = (a: Pt, b: Pt): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const lengthOf = (of: readonly Pt[]): number =>
  of.reduce((sum, p, i) => (i === 0 ? 0 : sum + apart(p, of[i - 1] as Pt)), 0);

const turn = (p: Pt, q: Pt, r: Pt): number => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);

/** Whether a ring of points crosses itself: its sides sorted along the page, each compared with those it lies beside. */
function crosses(ring: readonly Pt[]): boolean {
  const sides = ring
    .map((a, i) => {
      const b = ring[(i + 1) % ring.length] as Pt;
      return {
        a,
        b,
        i,
        from: Math.min(a[0], b[0]),
        to: Math.max(a[0], b[0]),
        low: Math.min(a[1], b[1]),
        high: Math.max(a[1], b[1]),
      };
    })
    .sort((s, t) => s.from - t.from);
  return sides.some((s, n) => {
    for (let m = n + 1; m < sides.length; m++) {
      const t = sides[m];
      if (!t || t.from > s.to) return false;
      const between = Math.abs(s.i - t.i);
      if (between <= 1 || between === ring.length - 1 || t.low > s.high || s.low > t.high) continue;
      if (turn(s.a, s.b, t.a) * turn(s.a, s.b, t.b) < -1e-6 && turn(t.a, t.b, s.a) * turn(t.a, t.b, s.b) < -1e-6)
        return true;
    }
    return false;
  });
}

const areaOf = (ring: readonly Pt[]): number =>
  Math.abs(
    ring.reduce(
      (sum, [x, y], i) => sum + x * (ring[(i + 1) % ring.length] as Pt)[1] - y * (ring[(i + 1) % ring.length] as Pt)[0],
      0,
    ),
  ) / 2;

/** What is wrong with a closed line that is to be cut. */
export function badRing(name: string, ring: readonly Pt[]): string[] {
  if (!ring.flat().every(Number.isFinite)) return [`${name} is not finite`];
  return [
    ...(ring.length < 3 || areaOf(ring) < 25 ? [`${name} holds nothing`] : []),
    ...(crosses(ring) ? [`${name} crosses itself`] : []),
  ];
}

/** What is wrong with a pattern: edges that do not meet, outlines that cross, seams that are not equal. */
export function badFromOutside(panels: readonly Panel[], joins: readonly Join[], backShorter: number): string[] {
  const drawn = new Map(panels.map((p) => [p.id, new Map(p.edges.map((e) => [e.id, chordsOf(e.path)]))]));
  const outlines = panels.flatMap((panel) => {
    const edges = panel.edges.map((e) => chordsOf(e.path));
    const open = edges.some((of, i) => apart(of.at(-1) as Pt, edges[(i + 1) % edges.length]?.[0] as Pt) > MEET);
    return [
      ...(open ? [`${panel.id} is not closed`] : []),
      ...badRing(
        panel.id,
        edges.flatMap((of) => of.slice(0, -1)),
      ),
    ];
  });
  const run = (refs: readonly EdgeRef[]): number =>
    refs.reduce((sum, { panel, edge, part }) => {
      const of = drawn.get(panel)?.get(edge);
      if (!of) return NaN;
      return sum + (part ? part[1] - part[0] : lengthOf(of));
    }, 0);
  const seams = joins.flatMap(({ label, how, kind, by, a, b }) => {
    if (how !== "equal" && how !== "eased") return [];
    const off = run(a) - run(b) - (kind === "inseam" && by === null ? backShorter : 0);
    return Math.abs(off) <= EQUAL ? [] : [`${textOf(label)} is ${off.toFixed(2)} apart`];
  });
  return [...outlines, ...seams];
}
