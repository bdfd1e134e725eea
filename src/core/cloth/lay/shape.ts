import { EndType, inflatePathsD, JoinType, simplifyPathsD } from "clipper2-ts";
import { boxOf, polygonArea, type Point } from "../../geometry";
import type { Mm } from "../../units";

/**
 * A shape to be laid: its outline about the middle of its box, grown by half of the gap that stays between two pieces,
 * and cut into slices. x runs along the cloth, y across. Millimetres.
 */
export interface LayShape {
  /** As it was drawn, about the middle of its box. */
  readonly outline: readonly Point[];
  /** Half of the grown box, and of the drawn one. */
  readonly half: Point;
  readonly own: Point;
  readonly area: number;
  /** Slices along x; of each: its start, its end, and where in `bands` its bands begin. */
  readonly slices: Slices;
}

/**
 * A grown outline cut at every corner along x. Between two cuts it is one or more bands, each with a straight lower and
 * upper edge: lower at the start, upper at the start, lower at the end, upper at the end.
 */
export interface Slices {
  readonly count: number;
  readonly from: Float64Array;
  readonly to: Float64Array;
  readonly first: Int32Array;
  readonly bands: Float64Array;
}

/** Beyond half the gap, for what simplifying the outline may take. */
const GROWN_BY: Mm = 0.15;
const SIMPLIFIED: Mm = 0.075;
/** Cuts nearer to each other than this are one. */
const SAME: Mm = 1e-7;

const asPoints = (path: readonly { readonly x: number; readonly y: number }[]): Point[] =>
  path.map(({ x, y }) => [x, y]);

/** The outline grown outward all round, its corners rounded; a piece that grows into itself is joined. */
export function grownOutline(outline: readonly Point[], by: Mm): readonly Point[] {
  const path = outline.map(([x, y]) => ({ x, y }));
  const ordered = polygonArea(outline) < 0 ? [...path].reverse() : path;
  const grown = simplifyPathsD(
    inflatePathsD([ordered], by, JoinType.Round, EndType.Polygon, 2, 4, SIMPLIFIED / 2),
    SIMPLIFIED,
    true,
  );
  const rings = grown.map(asPoints).sort((a, b) => Math.abs(polygonArea(b)) - Math.abs(polygonArea(a)));
  return rings[0] ?? outline;
}

/** A shape from the outline of a piece as it lies on the cloth, so that two of them keep `gap` between them. */
export function layShape(outline: readonly Point[], gap: Mm): LayShape {
  const box = boxOf(outline);
  const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const centred = outline.map(([x, y]): Point => [x - cx, y - cy]);
  const grown = grownOutline(centred, gap / 2 + GROWN_BY);
  const wide = boxOf(grown);
  return {
    outline: centred,
    half: [Math.max(wide.right, -wide.left), Math.max(wide.bottom, -wide.top)],
    own: [(box.right - box.left) / 2, (box.bottom - box.top) / 2],
    area: Math.abs(polygonArea(outline)),
    slices: slicesOf(grown),
  };
}

interface Chord {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
}

const heightAt = ({ x0, x1, y0, y1 }: Chord, x: number): number => y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);

/** An outline cut along x at each of its corners. */
export function slicesOf(outline: readonly Point[]): Slices {
  const chords = outline.flatMap(([ax, ay], i): Chord[] => {
    const [bx, by] = outline[(i + 1) % outline.length] as Point;
    if (Math.abs(ax - bx) <= SAME) return [];
    return [ax < bx ? { x0: ax, y0: ay, x1: bx, y1: by } : { x0: bx, y0: by, x1: ax, y1: ay }];
  });
  const cuts = [...new Set(outline.map(([x]) => x))]
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - (all[i - 1] as number) > SAME);
  const [from, to, first, bands]: [number[], number[], number[], number[]] = [[], [], [0], []];
  for (let i = 0; i + 1 < cuts.length; i++) {
    const [a, b] = [cuts[i] as number, cuts[i + 1] as number];
    const middle = (a + b) / 2;
    const across = chords
      .filter((c) => c.x0 <= middle && c.x1 >= middle)
      .sort((p, q) => heightAt(p, middle) - heightAt(q, middle));
    for (let k = 0; k + 1 < across.length; k += 2) {
      const [low, high] = [across[k] as Chord, across[k + 1] as Chord];
      bands.push(heightAt(low, a), heightAt(high, a), heightAt(low, b), heightAt(high, b));
    }
    from.push(a);
    to.push(b);
    first.push(bands.length / 4);
  }
  return {
    count: from.length,
    from: Float64Array.from(from),
    to: Float64Array.from(to),
    first: Int32Array.from(first),
    bands: Float64Array.from(bands),
  };
}

/** How a piece is turned on the cloth: mirrored along it, across it, or both (end for end). */
export interface Turn {
  readonly x: 1 | -1;
  readonly y: 1 | -1;
}

/** The four turns, by number: bit 1 mirrors along the cloth, bit 2 across it. */
export const turnOf = (turn: number): Turn => ({ x: turn & 1 ? -1 : 1, y: turn & 2 ? -1 : 1 });

/** Slices of a shape that is turned. */
export function turnedSlices(slices: Slices, turn: number): Slices {
  if (turn === 0) return slices;
  const { x, y } = turnOf(turn);
  const [from, to] = [new Float64Array(slices.count), new Float64Array(slices.count)];
  const first = new Int32Array(slices.count + 1);
  const bands = new Float64Array(slices.bands.length);
  let at = 0;
  for (let i = 0; i < slices.count; i++) {
    const own = x === 1 ? i : slices.count - 1 - i;
    from[i] = x === 1 ? (slices.from[own] as number) : 0 - (slices.to[own] as number);
    to[i] = x === 1 ? (slices.to[own] as number) : 0 - (slices.from[own] as number);
    first[i] = at / 4;
    for (let b = slices.first[own] as number; b < (slices.first[own + 1] as number); b++) {
      const [low0, high0, low1, high1] = [0, 1, 2, 3].map((k) => slices.bands[4 * b + k] as number) as [
        number,
        number,
        number,
        number,
      ];
      const [a0, a1, b0, b1] = x === 1 ? [low0, high0, low1, high1] : [low1, high1, low0, high0];
      bands[at++] = y === 1 ? a0 : 0 - a1;
      bands[at++] = y === 1 ? a1 : 0 - a0;
      bands[at++] = y === 1 ? b0 : 0 - b1;
      bands[at++] = y === 1 ? b1 : 0 - b0;
    }
  }
  first[slices.count] = at / 4;
  return { count: slices.count, from, to, first, bands };
}
