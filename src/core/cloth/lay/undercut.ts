import type { Mm } from "../../units";
import { ForbiddenPairs, type Forbidden } from "./forbidden";
import type { LayShape } from "./shape";
import { boundOf, type LayItem, type Strip } from "./strip";

/**
 * What a lay cannot be under, proved: the largest pieces of a strip are tried on ever longer ones that they cannot lie on.
 * Each piece is held in a box of places; boxes are halved, and what clashes with another piece wherever that lies is struck
 * out, until nothing is left. Interval branch and bound over the places, on cells of a size.
 */

/** The first cells. */
const CELLS: Mm = 8;
/** How fine the cells are, and how many of the largest pieces are looked at, in turn. */
const STAGES: readonly (readonly [cell: Mm, pieces: number])[] = [
  [CELLS, 4],
  [CELLS, 6],
  [4, 4],
  [4, 5],
  [4, 6],
  [2, 4],
  [2, 5],
  [2, 6],
  [2, 8],
];
/** Boxes that are looked at for one length, and for all. */
const LOOKS = 40_000;
const MOST_LOOKS = 500_000;
/** A bound this near to the lay is as good as the lay. */
const NEAR = 0.004;

/**
 * Ever better lengths that no lay of the strip is under, until no better one is found or it comes near to `length`, that of
 * a lay. Yields a bound where it is better, and null now and then in between; the same strip gives the same bounds. Pieces
 * that lie fixed are taken as free, and lines that come again as none: what is proved without them holds with them.
 */
export function* provedBound(strip: Strip, length: Mm): Generator<Mm | null, void, void> {
  const { items, shapes } = strip;
  const area = (i: number): number => (shapes[(items[i] as LayItem).shape] as LayShape).area;
  const largest = items
    .flatMap((item, i) => (item.isMissing ? [] : [i]))
    .sort((a, b) => area(b) - area(a))
    .map((i) => items[i] as LayItem);
  let bound = Math.min(boundOf(strip), length);
  yield bound;
  let looks = 0;
  let [pairs, seen] = [new ForbiddenPairs(shapes, strip.gap, CELLS), 0];
  for (const [cell, most] of STAGES) {
    const count = Math.min(most, largest.length);
    if (pairs.cell !== cell) [pairs, seen] = [new ForbiddenPairs(shapes, strip.gap, cell), 0];
    // Of fewer pieces than a stage asks for, all were looked at on these cells before.
    if (count === seen) continue;
    seen = count;
    // From a cell more, twice as much where that cannot be laid either, and half where it is not known.
    let [step, grows] = [cell, true];
    while (step >= cell / 2) {
      const asked = Math.min(bound + step, length * (1 - NEAR / 2));
      if (asked <= bound || looks >= MOST_LOOKS) return;
      const tried = yield* tryLength(strip.width, shapes, largest.slice(0, count), pairs, asked);
      looks += tried.looks;
      if (tried.cannot) {
        bound = asked;
        yield bound;
        if (bound >= length * (1 - NEAR)) return;
        if (grows) step *= 2;
      } else {
        grows = false;
        step /= 2;
      }
    }
  }
}

/** A place of every piece, in cells: from and to along, from and to across. */
type Boxes = Int32Array;

interface Tried {
  /** True where it is proved that they cannot lie so; else it is not known. */
  readonly cannot: boolean;
  readonly looks: number;
}

/** Whether pieces can lie on a strip of a length at all. */
function* tryLength(
  width: Mm,
  shapes: readonly LayShape[],
  items: readonly LayItem[],
  pairs: ForbiddenPairs,
  length: Mm,
): Generator<null, Tried, void> {
  const { cell } = pairs;
  const n = items.length;
  const whole = new Int32Array(4 * n);
  items.forEach(({ shape }, i) => {
    const { own } = shapes[shape] as LayShape;
    const [x0, x1, y0, y1] = [own[0], length - own[0], own[1], width - own[1]];
    whole.set([Math.floor(x0 / cell), Math.ceil(x1 / cell), Math.floor(y0 / cell), Math.ceil(y1 / cell)], 4 * i);
  });
  let looks = 0;
  const turns = new Array<number>(n).fill(0);
  // A lay turned end for end as a whole is a lay: then the first piece need not be tried both ways.
  const bothWays = items.every((item) => item.turns.every((turn) => item.turns.includes(turn ^ END_FOR_END)));
  function* allTurns(i: number): Generator<null, boolean, void> {
    if (i === n) return yield* noneLeft();
    const own = (items[i] as LayItem).turns;
    const tried = i === 0 && bothWays ? own.filter((turn, k) => !own.slice(0, k).includes(turn ^ END_FOR_END)) : own;
    for (const turn of tried) {
      turns[i] = turn;
      if (!(yield* allTurns(i + 1))) return false;
    }
    return true;
  }
  /** True where every box was struck out. */
  function* noneLeft(): Generator<null, boolean, void> {
    const between: Forbidden[][] = items.map(() => []);
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        const [one, other] = [items[a] as LayItem, items[b] as LayItem];
        (between[a] as Forbidden[])[b] = pairs.of(one.shape, turns[a] as number, other.shape, turns[b] as number);
        yield null;
      }
    const stack: Boxes[] = [whole.slice()];
    for (let boxes = stack.pop(); boxes; boxes = stack.pop()) {
      if (++looks > LOOKS) return false;
      if (looks % YIELDS_EVERY === 0) yield null;
      if (!narrowed(boxes, between, n)) continue;
      const at = toHalve(boxes, between, n);
      if (at < 0) return false;
      const middle = ((boxes[at] as number) + (boxes[at + 1] as number)) >> 1;
      const other = boxes.slice();
      boxes[at + 1] = middle;
      other[at] = middle;
      stack.push(boxes, other);
    }
    return true;
  }
  return { cannot: yield* allTurns(0), looks };
}

/** Both bits of a turn: end for end. */
const END_FOR_END = 3;
const YIELDS_EVERY = 200;

/** Of two pieces, the first before the second, where they are sure to lie on each other. */
type Between = readonly (readonly Forbidden[])[];

/** Whether two boxes of places lie on each other wherever in them the pieces lie. */
const clash = (f: Forbidden, b: Boxes, i: number, j: number): boolean =>
  f.all(
    (b[j] as number) - (b[i + 1] as number),
    (b[j + 1] as number) - (b[i] as number),
    (b[j + 2] as number) - (b[i + 3] as number),
    (b[j + 3] as number) - (b[i + 2] as number) - 1,
  );

/** Strikes out of each box what clashes with another; false where nothing is left of one. */
function narrowed(boxes: Boxes, between: Between, n: number): boolean {
  for (let changed = true; changed;) {
    changed = false;
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        const f = (between[a] as readonly Forbidden[])[b] as Forbidden;
        if (clash(f, boxes, 4 * a, 4 * b)) return false;
        for (const item of [a, b])
          for (const side of [0, 1, 2, 3]) {
            const by = struckOut(f, boxes, 4 * a, 4 * b, 4 * item + side);
            if (by > 0) {
              boxes[4 * item + side] = (boxes[4 * item + side] as number) + (side % 2 === 0 ? by : -by);
              changed = true;
            }
          }
      }
  }
  return true;
}

/** By how much a side of a box can be moved in, all that lies beyond clashing with the other box. */
function struckOut(f: Forbidden, boxes: Boxes, a: number, b: number, side: number): number {
  const other = side % 2 === 0 ? side + 1 : side - 1;
  const [here, there] = [boxes[side] as number, boxes[other] as number];
  const sign = here < there ? 1 : -1;
  let [low, high] = [0, Math.abs(there - here)];
  while (low < high) {
    const by = (low + high + 1) >> 1;
    boxes[other] = here + sign * by;
    if (clash(f, boxes, a, b)) low = by;
    else high = by - 1;
  }
  boxes[other] = there;
  return low;
}

/**
 * The side to be halved next: the longest, and of two pieces that clash in most of the places left to them. -1 where no two
 * may clash yet, or all boxes are as small as cells.
 */
function toHalve(boxes: Boxes, between: Between, n: number): number {
  let [best, at] = [0, -1];
  for (let a = 0; a < n; a++)
    for (let b = a + 1; b < n; b++) {
      const f = (between[a] as readonly Forbidden[])[b] as Forbidden;
      const [i, j] = [4 * a, 4 * b];
      const [x0, x1] = [
        (boxes[j] as number) - (boxes[i + 1] as number),
        (boxes[j + 1] as number) - (boxes[i] as number),
      ];
      const [y0, y1] = [
        (boxes[j + 2] as number) - (boxes[i + 3] as number),
        (boxes[j + 3] as number) - (boxes[i + 2] as number) - 1,
      ];
      const open = f.count(x0, x1, y0, y1);
      if (open === 0) continue;
      const share = open / ((x1 - x0 + 1) * (y1 - y0 + 1));
      for (const side of [i, i + 2, j, j + 2]) {
        const long = (boxes[side + 1] as number) - (boxes[side] as number);
        if (long > 1 && long * share > best) [best, at] = [long * share, side];
      }
    }
  return at;
}
