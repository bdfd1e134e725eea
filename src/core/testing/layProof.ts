import type { ClothLay, LayCloth } from "../cloth";
import type { Point } from "../geometry";

/** What lies on the cloth is proved here by plain polygon geometry, which shares nothing with the search. */

const away = (p: Point, a: Point, b: Point): number => {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy);
};
const isInside = ([x, y]: Point, of: readonly Point[]): boolean =>
  of.reduce((inside, a, i) => {
    const b = of[(i + 1) % of.length] as Point;
    return a[1] > y !== b[1] > y && x < a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) ? !inside : inside;
  }, false);
const side = (p: Point, q: Point, r: Point): number =>
  Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
const box = (of: readonly Point[]): readonly [number, number, number, number] => [
  Math.min(...of.map(([x]) => x)),
  Math.min(...of.map(([, y]) => y)),
  Math.max(...of.map(([x]) => x)),
  Math.max(...of.map(([, y]) => y)),
];

/** Farther apart than this is far enough. */
const FAR = 9;
type Box = ReturnType<typeof box>;
const isFar = (p: Box, q: Box): boolean =>
  p[0] > q[2] + FAR || q[0] > p[2] + FAR || p[1] > q[3] + FAR || q[1] > p[3] + FAR;
const edgesOf = (of: readonly Point[]): readonly (readonly [Point, Point, Box])[] =>
  of.map((s, i) => {
    const t = of[(i + 1) % of.length] as Point;
    return [s, t, box([s, t])];
  });

/** How near two outlines come, `FAR` where farther; below nothing where they overlap. */
function between(a: readonly Point[], b: readonly Point[]): number {
  if (isFar(box(a), box(b))) return FAR;
  if (isInside(a[0] as Point, b) || isInside(b[0] as Point, a)) return -1;
  const others = edgesOf(b);
  let least = FAR;
  edgesOf(a).forEach(([s, t, own]) => {
    others.forEach(([u, v, other]) => {
      if (isFar(own, other)) return;
      if (side(s, t, u) !== side(s, t, v) && side(u, v, s) !== side(u, v, t)) least = -1;
      least = Math.min(least, away(s, u, v), away(u, s, t));
    });
  });
  return least;
}

/** What touches an edge lies within it: an outline is drawn together by a hundred thousandth of a millimetre a metre. */
const drawnIn = (of: readonly Point[]): readonly Point[] => {
  const [left, top, right, bottom] = box(of);
  const toward = (x: number, middle: number): number => x + (middle - x) * 1e-8;
  return of.map(([x, y]) => [toward(x, (left + right) / 2), toward(y, (top + bottom) / 2)]);
};

/** True where an outline lies within another: no corner outside, and no edges that cross. */
const liesWithin = (piece: readonly Point[], cloth: readonly Point[]): boolean =>
  piece.every((p) => isInside(p, cloth)) &&
  !piece.some((s, i) => {
    const t = piece[(i + 1) % piece.length] as Point;
    return cloth.some((u, j) => {
      const v = cloth[(j + 1) % cloth.length] as Point;
      return side(s, t, u) * side(s, t, v) < 0 && side(u, v, s) * side(u, v, t) < 0;
    });
  });

/** What is wrong with a lay. */
export function faultsOf(lay: ClothLay, cloth: LayCloth): string[] {
  const faults: string[] = [];
  const { placements } = lay;
  const fold = lay.singles === "opened" ? (cloth.foldWidth ?? cloth.width / 2) : 0;
  // Opened out, the second layer of what was cut folded lies beyond the fold, and nothing else may lie there.
  const under = placements
    .filter((p) => lay.singles === "opened" && p.layers === 2 && !p.opened)
    .map((p) => ({ piece: `second ${p.piece}`, outline: p.outline.map(([x, y]): Point => [x, 2 * fold - y]) }));
  placements.forEach((a, i) => {
    for (const [x, y] of a.outline)
      if (x < -1e-6 || y < -1e-6 || y > lay.drawnWidth + 1e-6 || x > lay.length + 1e-6) {
        faults.push(`${a.piece} lies off the cloth`);
        break;
      }
    if (cloth.outline && !liesWithin(drawnIn(a.outline), cloth.outline)) faults.push(`${a.piece} lies off the remnant`);
    for (const b of [...placements.slice(i + 1), ...(a.opened ? under : [])]) {
      // What is cut beyond the fold, or once it is opened out, lies on what the rest has left; it is drawn beside it.
      const gap = between(a.outline, b.outline);
      if (gap < cloth.gap - 1e-6) faults.push(`${a.piece} and ${b.piece}: ${gap.toFixed(3)}`);
    }
    if (a.onFold && Math.abs(Math.min(...a.outline.map(([, y]) => y)) - fold) > 0.01)
      faults.push(`${a.piece} is not on the fold`);
    if (cloth.nap && a.turn & 1) faults.push(`${a.piece} lies end for end`);
  });
  return faults;
}
