import type { Mm } from "../../units";
import { turnedSlices, type LayShape, type Slices } from "./shape";

/** Places of pieces along the cloth lie on a grid this fine, so that what two shapes forbid each other is known once. */
export const GRID: Mm = 0.5;
/** Where pieces are laid one after the other, every so many steps of the grid are tried. */
export const STRIDE = 4;

/** No more numbers are held in all tables together: some 500 megabytes. A row costs so many besides its own. */
const MOST_HELD = 20e6;
const ROW_COST = 14;

/** Of two shapes: how far apart across the cloth they may not lie, for each distance along it in steps of the grid. */
class PairTable {
  /** Steps of the grid at which the two boxes cease to touch. */
  readonly reach: number;
  private rows: (Float64Array | undefined)[];

  constructor(
    private readonly a: Slices,
    private readonly b: Slices,
    halves: Mm,
    private readonly grew: (numbers: number) => void,
  ) {
    this.reach = Math.ceil(halves / GRID);
    this.rows = new Array<Float64Array | undefined>(2 * this.reach + 1);
  }

  /** Pairs of numbers: between each first and second, b overlaps a when it lies `steps` along and that far across. */
  at(steps: number): Float64Array {
    const i = steps + this.reach;
    if (i < 0 || i >= this.rows.length) return NONE;
    const known = this.rows[i];
    if (known) return known;
    const row = forbidden(this.a, this.b, steps * GRID);
    this.grew(row.length + ROW_COST);
    this.rows[i] = row;
    return row;
  }

  /** Lets go of what is known; it is worked out again when it is asked for. */
  forget(): void {
    this.rows = new Array<Float64Array | undefined>(this.rows.length);
  }
}

const NONE = new Float64Array(0);
/** Scratch of `forbidden`: intervals as they are found. */
let found = new Float64Array(256);

/** What b, moved `dx` along the cloth, may not be moved across it: sorted, disjoint, open intervals. */
export function forbidden(a: Slices, b: Slices, dx: Mm): Float64Array {
  const { from: aFrom, to: aTo, first: aFirst, bands: aBands } = a;
  const { from: bFrom, to: bTo, first: bFirst, bands: bBands } = b;
  let n = 0;
  let i = 0;
  let j = 0;
  while (i < a.count && j < b.count) {
    const a0 = aFrom[i] as number;
    const a1 = aTo[i] as number;
    const b0 = (bFrom[j] as number) + dx;
    const b1 = (bTo[j] as number) + dx;
    const from = a0 > b0 ? a0 : b0;
    const to = a1 < b1 ? a1 : b1;
    if (to > from) {
      const s = (from - a0) / (a1 - a0);
      const t = (to - a0) / (a1 - a0);
      const u = (from - b0) / (b1 - b0);
      const v = (to - b0) / (b1 - b0);
      const pEnd = 4 * (aFirst[i + 1] as number);
      const qEnd = 4 * (bFirst[j + 1] as number);
      for (let p = 4 * (aFirst[i] as number); p < pEnd; p += 4) {
        const low0 = aBands[p] as number;
        const high0 = aBands[p + 1] as number;
        const lowBy = (aBands[p + 2] as number) - low0;
        const highBy = (aBands[p + 3] as number) - high0;
        for (let q = 4 * (bFirst[j] as number); q < qEnd; q += 4) {
          const own0 = bBands[q] as number;
          const top0 = bBands[q + 1] as number;
          const ownBy = (bBands[q + 2] as number) - own0;
          const topBy = (bBands[q + 3] as number) - top0;
          const lowF = low0 + lowBy * s - top0 - topBy * u;
          const lowT = low0 + lowBy * t - top0 - topBy * v;
          const highF = high0 + highBy * s - own0 - ownBy * u;
          const highT = high0 + highBy * t - own0 - ownBy * v;
          const low = lowF < lowT ? lowF : lowT;
          const high = highF > highT ? highF : highT;
          // Neighbouring slices forbid what touches: most often the last interval grows.
          if (n > 0 && low <= (found[n - 1] as number) && high >= (found[n - 2] as number)) {
            if (low < (found[n - 2] as number)) found[n - 2] = low;
            if (high > (found[n - 1] as number)) found[n - 1] = high;
          } else {
            if (n + 2 > found.length) found = grownTwice(found);
            found[n] = low;
            found[n + 1] = high;
            n += 2;
          }
        }
      }
    }
    if (a1 < b1) i++;
    else j++;
  }
  return merged(found, n);
}

function grownTwice(of: Float64Array): Float64Array<ArrayBuffer> {
  const twice = new Float64Array(2 * of.length);
  twice.set(of);
  return twice;
}

/** The first `n` numbers as intervals: sorted, those that overlap joined. */
function merged(flat: Float64Array, n: number): Float64Array {
  if (n <= 2) return flat.slice(0, n);
  const order = Array.from({ length: n / 2 }, (_, i) => i).sort(
    (p, q) => (flat[2 * p] as number) - (flat[2 * q] as number),
  );
  const out: number[] = [];
  for (const i of order) {
    const [low, high] = [flat[2 * i] as number, flat[2 * i + 1] as number];
    const last = out.length;
    if (last > 0 && low < (out[last - 1] as number)) {
      if (high > (out[last - 1] as number)) out[last - 1] = high;
    } else out.push(low, high);
  }
  return Float64Array.from(out);
}

/** A table as it is read for two turned shapes: its steps and its distances take these signs. */
export interface PairView {
  readonly table: PairTable;
  readonly key: number;
  readonly x: 1 | -1;
  readonly y: 1 | -1;
}

/**
 * What every two of some shapes forbid each other, in every turn: one table for each pair and relative turn, made when it
 * is asked for; all others follow by sign.
 */
export class Pairs {
  private readonly tables = new Map<number, PairTable>();
  private readonly views: (PairView | undefined)[];
  private readonly turned = new Map<number, Slices>();
  private held = 0;

  constructor(readonly shapes: readonly LayShape[]) {
    this.views = new Array<PairView | undefined>(shapes.length * shapes.length * 16);
  }

  /** What shape `b` in turn `tb` may not do beside shape `a` in turn `ta`. */
  view(a: number, ta: number, b: number, tb: number): PairView {
    const key = ((a * this.shapes.length + b) * 4 + ta) * 4 + tb;
    return (this.views[key] ??= this.make(a, ta, b, tb));
  }

  private make(a: number, ta: number, b: number, tb: number): PairView {
    const relative = ta ^ tb;
    const [i, j] = a <= b ? [a, b] : [b, a];
    const key = (i * this.shapes.length + j) * 4 + relative;
    let table = this.tables.get(key);
    if (!table) {
      const [one, other] = [this.shapes[i] as LayShape, this.shapes[j] as LayShape];
      table = new PairTable(one.slices, this.slices(j, relative), one.half[0] + other.half[0], (by) => this.grow(by));
      this.tables.set(key, table);
    }
    // Looked at from the other piece, everything lies the other way.
    const [turn, way] = a <= b ? [ta, 1] : [tb, -1];
    return { table, key, x: (turn & 1 ? -way : way) as 1 | -1, y: (turn & 2 ? -way : way) as 1 | -1 };
  }

  /** Counts what tables hold; where it becomes too much they all begin anew. */
  private grow(by: number): void {
    this.held += by;
    if (this.held <= MOST_HELD) return;
    for (const table of this.tables.values()) table.forget();
    this.held = by;
  }

  private slices(shape: number, turn: number): Slices {
    const key = shape * 4 + turn;
    const made = this.turned.get(key) ?? turnedSlices((this.shapes[shape] as LayShape).slices, turn);
    this.turned.set(key, made);
    return made;
  }
}

export type { PairTable };
