import type { Mm } from "../../units";
import { grownOutline, slicesOf, turnedSlices, type LayShape, type Slices } from "./shape";

/**
 * Where two pieces are sure to lie on each other, by how far the second lies from the first. Each is cut into columns
 * along the cloth; of a column only what the piece covers over its whole width counts, so that two columns less than one
 * width apart share cloth wherever these stretches do.
 */

/** A piece's columns: the number of the first, and of each the stretches it covers from edge to edge, low and high. */
interface Columns {
  readonly first: number;
  readonly stretches: readonly Float64Array[];
}

/** Within the gap that two pieces keep, grown by a hair less than half of it each, never more. */
const WITHIN: Mm = 0.1;

/** Stretches that two sets of stretches share; each sorted, low and high in turn. */
function shared(a: readonly number[], b: readonly number[]): number[] {
  const out: number[] = [];
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    const [low, high] = [Math.max(a[i] as Mm, b[j] as Mm), Math.min(a[i + 1] as Mm, b[j + 1] as Mm)];
    if (low < high) out.push(low, high);
    if ((a[i + 1] as Mm) < (b[j + 1] as Mm)) i += 2;
    else j += 2;
  }
  return out;
}

/** A piece's columns of a width, counted from its middle. */
function columnsOf({ count, from, to, first, bands }: Slices, wide: Mm): Columns {
  const [left, right] = [from[0] as Mm, to[count - 1] as Mm];
  const start = Math.ceil(left / wide);
  const stretches: Float64Array[] = [];
  for (let n = start; (n + 1) * wide <= right; n++) {
    const [x0, x1] = [n * wide, (n + 1) * wide];
    let kept: number[] | null = null;
    for (let i = 0; i < count; i++) {
      const [a, b] = [from[i] as Mm, to[i] as Mm];
      if (b <= x0 || a >= x1) continue;
      const [s, t] = [(Math.max(a, x0) - a) / (b - a), (Math.min(b, x1) - a) / (b - a)];
      const own: number[] = [];
      for (let k = 4 * (first[i] as number); k < 4 * (first[i + 1] as number); k += 4) {
        const [low0, high0, low1, high1] = [bands[k], bands[k + 1], bands[k + 2], bands[k + 3]] as number[] as [
          Mm,
          Mm,
          Mm,
          Mm,
        ];
        const low = Math.max(low0 + s * (low1 - low0), low0 + t * (low1 - low0));
        const high = Math.min(high0 + s * (high1 - high0), high0 + t * (high1 - high0));
        if (low < high) own.push(low, high);
      }
      kept = kept ? shared(kept, own) : own;
    }
    stretches.push(Float64Array.from(kept ?? []));
  }
  return { first: start, stretches };
}

/** Cells of a distance between two pieces at all of which they lie on each other, counted in rectangles. */
export class Forbidden {
  /** The first cell along and across, and how many there are. */
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
  /** How many cells before a place, along and across, are forbidden. */
  private readonly sums: Int32Array;

  constructor(a: Columns, b: Columns, cell: Mm) {
    const spread = (c: Columns): readonly [number, number] => [c.first, c.first + c.stretches.length - 1];
    const reach = (c: Columns): readonly [Mm, Mm] => [
      Math.min(...c.stretches.map((s) => s[0] ?? Infinity)),
      Math.max(...c.stretches.map((s) => s.at(-1) ?? -Infinity)),
    ];
    const [[a0, a1], [b0, b1]] = [spread(a), spread(b)];
    const [[aLow, aHigh], [bLow, bHigh]] = [reach(a), reach(b)];
    this.x = a0 - b1;
    this.wide = Math.max(0, a1 - b0 - this.x + 1);
    this.y = Math.floor((aLow - bHigh) / cell);
    this.high = Math.max(0, Math.ceil((aHigh - bLow) / cell) - this.y);
    const row = this.high + 1;
    this.sums = new Int32Array((this.wide + 1) * row);
    for (let i = 0; i < this.wide; i++) {
      const covered = this.covered(a, b, this.x + i);
      let inColumn = 0;
      let n = 0;
      for (let j = 0; j < this.high; j++) {
        const [low, high] = [(this.y + j) * cell, (this.y + j + 1) * cell];
        while (n < covered.length && (covered[n + 1] as Mm) < high) n += 2;
        if (n < covered.length && (covered[n] as Mm) <= low) inColumn++;
        this.sums[(i + 1) * row + j + 1] = (this.sums[i * row + j + 1] as number) + inColumn;
      }
    }
  }

  /** Distances across at which the columns lie on each other, the second piece so many columns on. */
  private covered(a: Columns, b: Columns, on: number): readonly Mm[] {
    const all: (readonly [Mm, Mm])[] = [];
    for (let i = 0; i < a.stretches.length; i++) {
      const own = a.stretches[i] as Float64Array;
      const other = b.stretches[a.first + i - on - b.first];
      if (!other) continue;
      for (let p = 0; p < own.length; p += 2)
        for (let q = 0; q < other.length; q += 2)
          all.push([(own[p] as Mm) - (other[q + 1] as Mm), (own[p + 1] as Mm) - (other[q] as Mm)]);
    }
    all.sort((s, t) => s[0] - t[0]);
    const merged: Mm[] = [];
    for (const [low, high] of all) {
      const last = merged.length - 1;
      if (last > 0 && low < (merged[last] as Mm)) merged[last] = Math.max(merged[last] as Mm, high);
      else merged.push(low, high);
    }
    return merged;
  }

  /** True where every cell from one to another, along and across, is forbidden. */
  all(x0: number, x1: number, y0: number, y1: number): boolean {
    const [i0, i1, j0, j1] = [x0 - this.x, x1 - this.x, y0 - this.y, y1 - this.y];
    if (i0 < 0 || j0 < 0 || i1 >= this.wide || j1 >= this.high) return false;
    return this.sum(i0, i1, j0, j1) === (i1 - i0 + 1) * (j1 - j0 + 1);
  }

  /** How many of the cells from one to another are forbidden. */
  count(x0: number, x1: number, y0: number, y1: number): number {
    const [i0, i1] = [Math.max(0, x0 - this.x), Math.min(this.wide - 1, x1 - this.x)];
    const [j0, j1] = [Math.max(0, y0 - this.y), Math.min(this.high - 1, y1 - this.y)];
    return i0 > i1 || j0 > j1 ? 0 : this.sum(i0, i1, j0, j1);
  }

  private sum(i0: number, i1: number, j0: number, j1: number): number {
    const { sums, high } = this;
    const row = high + 1;
    return (
      (sums[(i1 + 1) * row + j1 + 1] as number) -
      (sums[i0 * row + j1 + 1] as number) -
      (sums[(i1 + 1) * row + j0] as number) +
      (sums[i0 * row + j0] as number)
    );
  }
}

/** What forbids what, of shapes that keep a gap, on cells of a size; each pair worked out when it is asked for. */
export class ForbiddenPairs {
  private readonly columns = new Map<string, Columns>();
  private readonly pairs = new Map<string, Forbidden>();
  private readonly slices: readonly Slices[];

  constructor(
    shapes: readonly LayShape[],
    gap: Mm,
    readonly cell: Mm,
  ) {
    this.slices = shapes.map(({ outline }) => slicesOf(grownOutline(outline, Math.max(0.01, gap / 2 - WITHIN))));
  }

  of(a: number, turnA: number, b: number, turnB: number): Forbidden {
    const key = `${a}/${turnA}/${b}/${turnB}`;
    const known = this.pairs.get(key);
    if (known) return known;
    const made = new Forbidden(this.columnsOf(a, turnA), this.columnsOf(b, turnB), this.cell);
    this.pairs.set(key, made);
    return made;
  }

  private columnsOf(shape: number, turn: number): Columns {
    const key = `${shape}/${turn}`;
    const known = this.columns.get(key);
    if (known) return known;
    const made = columnsOf(turnedSlices(this.slices[shape] as Slices, turn), this.cell);
    this.columns.set(key, made);
    return made;
  }
}
