import {
  chordsCross,
  pathFit,
  pathFlatten,
  pointAdd,
  pointScale,
  pointSubtract,
  pointUnit,
  type Point,
} from "../geometry";
import { Refusal, range, readLength, say, type LengthInput, type Mm, type Unit, asSentence } from "../units";
import { FIT_TOLERANCE, type EdgesOf } from "./corners";

/** What an outline holds beyond its seam lines: the same all round, or edge by edge. */
export type AllowanceHeld<E extends string> = LengthInput | Readonly<Partial<Record<E, LengthInput | undefined>>>;

const WIDEST: Mm = 80;

/**
 * Width of the allowance each edge holds; those that lie on the fold hold none unless it is stated. Throws Refusal at
 * `path` for what is no length, or too wide.
 */
export function widthsHeld<E extends string>(
  held: AllowanceHeld<E> | undefined,
  edges: readonly E[],
  unit: Unit,
  path: string,
  onFold: readonly E[] = [],
): Readonly<Record<E, Mm>> {
  const read = (input: LengthInput | undefined): Mm => {
    if (input === undefined) return 0;
    const length = readLength(input, unit);
    if (!length.ok) throw new Refusal(path, asSentence(length.message));
    if (length.mm < 0 || length.mm > WIDEST)
      throw new Refusal(path, say`An allowance must lie between ${range(0, WIDEST, "and")}.`);
    return length.mm;
  };
  const isOne = (value: AllowanceHeld<E> | undefined): value is LengthInput | undefined =>
    typeof value !== "object" || "value" in value;
  if (isOne(held)) {
    const all = read(held);
    const none = onFold.map((id) => [id, 0] as const);
    return Object.fromEntries([...edges.map((id) => [id, all] as const), ...none]) as Record<E, Mm>;
  }
  return Object.fromEntries(edges.map((id) => [id, read(held[id])])) as Record<E, Mm>;
}

/**
 * Takes allowances off: each edge moves inward by its own width and neighbours are cut where they then meet. Edges
 * run clockwise in the canonical frame (centre left), so the inside lies to the right of travel as drawn.
 */
export function withoutAllowance<E extends string>(
  edges: EdgesOf<E>,
  ids: readonly E[],
  widths: Readonly<Record<E, Mm>>,
  path: string,
): EdgesOf<E> {
  if (ids.every((edge) => widths[edge] === 0)) return edges;
  const moved = ids.map((id) => inward(pathFlatten(edges[id]), widths[id]));
  const cut = moved.map((run, i) => {
    const before = moved[(i + moved.length - 1) % moved.length] as Point[];
    const after = moved[(i + 1) % moved.length] as Point[];
    return between(run, corner(before, run), corner(run, after));
  });
  if (cut.some((run) => run === null)) {
    throw new Refusal(path, say`These allowances are wider than the block. Check the number and its unit.`);
  }
  return Object.fromEntries(ids.map((id, i) => [id, pathFit(cut[i] as Point[], FIT_TOLERANCE)])) as EdgesOf<E>;
}

/** A run of points moved to the right of its travel (as drawn, y down), with both ends lengthened. */
function inward(points: readonly Point[], width: Mm): Point[] {
  const reach = 2 * Math.abs(width) + 30;
  const moved: Point[] = [];
  points.forEach((p, i) => {
    const [before, after] = [points[i - 1] ?? p, points[i + 1] ?? p];
    const [tx, ty] = pointUnit(pointSubtract(after, before));
    moved.push(pointAdd(p, pointScale([-ty, tx], width)));
  });
  const [a, b] = [moved[0] as Point, moved[1] as Point];
  const [y, z] = [moved[moved.length - 2] as Point, moved[moved.length - 1] as Point];
  return [
    pointAdd(a, pointScale(pointUnit(pointSubtract(a, b)), reach)),
    ...moved,
    pointAdd(z, pointScale(pointUnit(pointSubtract(z, y)), reach)),
  ];
}

interface Corner {
  readonly at: Point;
  readonly endOf: number;
  readonly startOf: number;
}

/** Where the end of one run crosses the start of the next, nearest to their corner. */
function corner(before: readonly Point[], after: readonly Point[]): Corner | null {
  for (let i = before.length - 2; i >= Math.max(0, before.length / 2 - 2); i--) {
    for (let j = 0; j < Math.min(after.length - 1, after.length / 2 + 2); j++) {
      const at = chordsCross(before[i] as Point, before[i + 1] as Point, after[j] as Point, after[j + 1] as Point);
      if (at) return { at, endOf: i, startOf: j };
    }
  }
  return null;
}

function between(run: readonly Point[], from: Corner | null, to: Corner | null): Point[] | null {
  if (!from || !to || to.endOf < from.startOf) return null;
  return [from.at, ...run.slice(from.startOf + 1, to.endOf + 1), to.at];
}
