import { seededRandom } from "../../geometry";
import type { Mm } from "../../units";
import { Annealing, sequence, type Sequence } from "./anneal";
import { Leftmost, layOf, lengthOf, type Placing } from "./leftmost";
import { CELL, Fields } from "./depths";
import { Overlaps } from "./overlap";
import { GRID } from "./pairs";
import { settle } from "./settle";
import {
  boundOf,
  shapeOf,
  taskOf,
  tooWide,
  type Laid,
  type Lay,
  type LayItem,
  type Like,
  type Strip,
  type Task,
} from "./strip";

/** How far a search has come: its best lay, and the steps it took to get here. */
export interface Found {
  readonly lay: Lay;
  readonly steps: number;
}

/** So many pieces are several garments’. */
const MANY = 30;

/** A lay this near to the bound is not looked into any further. */
const AT_BOUND: Mm = GRID + 0.5;

/** Orders that are tried first: each a size by which pieces are laid, the largest first. */
const SIZES: readonly ((task: Task, item: number) => number)[] = [
  (task, i) => shapeOf(task, i).area,
  (task, i) => shapeOf(task, i).own[0],
  (task, i) => shapeOf(task, i).own[0] * shapeOf(task, i).own[1],
  (task, i) => shapeOf(task, i).own[1],
];

/** A lay in the turns given, on the grid. */
const placingOf = (laid: readonly Laid[], turns: readonly number[]): Placing => ({
  x: Int32Array.from(laid, ({ x }) => Math.round(x / GRID)),
  y: Float64Array.from(laid, ({ y }) => y),
  turn: Uint8Array.from(turns),
});

/** Where a piece of a lay begins along the cloth. */
const startOf = (task: Task, laid: readonly Laid[], item: number): Mm =>
  (laid[item] as Laid).x - shapeOf(task, item).own[0];

type Turning = "greedy" | "first" | "alternate";

/** A first lay by one size; null where a piece does not fit across. */
function* start(
  task: Task,
  leftmost: Leftmost,
  size: number,
  turning: Turning,
  back: Mm = Infinity,
): Generator<null, Sequence | null, void> {
  const by = SIZES[size] as (typeof SIZES)[number];
  const order = [...task.free].sort((a, b) => by(task, b) - by(task, a) || a - b);
  const turns = task.strip.items.map((item) => item.turns[0] ?? 0);
  if (turning === "alternate")
    order.forEach((item, k) => {
      const own = (task.strip.items[item] as LayItem).turns;
      turns[item] = own[k % own.length] as number;
    });
  return yield* sequence(task, leftmost, order, turns, turning === "greedy", back);
}

/** Steps of annealing in the first round, how they grow, and how far; and moves of the overlap search. */
const ANNEAL = { from: 1000, grows: 1.3, most: 20_000 } as const;
const MOVES = { from: 800, grows: 1.3, most: 12_000 } as const;
/** A lay that is to come to a length begins that much longer, and is shortened by a cell at a time, in so many moves. */
const INTO = { over: 2 * CELL, by: CELL, moves: 800 } as const;
/** What a strip is shortened by while it goes easily, and then. */
const SHRINK = { first: 0.02, then: 0.005 } as const;

/**
 * Looks for ever shorter lays until it is stopped or reaches the bound: annealing on the order, then pieces that overlap
 * on a shorter strip are moved apart, in turns. Yields after every step, with a lay where it is a better one; the same
 * strip and seed give the same lays after the same steps, however fast they are made. Yields nothing where a piece does
 * not fit across. `like` is a lay of nearly the same pieces: they are laid in its order and
 * turns first, and then moved apart from where they lie in it.
 */
export function* search(strip: Strip, seed: number, like: Like | null = null): Generator<Found | null, void, void> {
  if (tooWide(strip).length > 0) return;
  const task = taskOf(strip);
  const leftmost = new Leftmost(task);
  const random = seededRandom(seed);
  const bound = boundOf(strip);
  const best: { placing: Placing; length: Mm } = { placing: emptyPlacing, length: Infinity };
  let steps = 0;
  /** Keeps a placing where it is the best, settled as far as it goes. */
  function* keep(placing: Placing): Generator<null, Found | null, void> {
    const length = lengthOf(task, placing);
    if (length >= best.length - 1e-6) return null;
    best.placing = { x: placing.x.slice(), y: placing.y.slice(), turn: placing.turn.slice() };
    yield* settle(task, leftmost, best.placing);
    best.length = lengthOf(task, best.placing);
    return { lay: layOf(task, best.placing), steps };
  }
  let firstSequence: Sequence | null = null;
  // Overlaps are known on cells, and a piece on the fold, or on a line of a repeat, lies on none.
  const canOverlap = strip.items.every((item) => !item.across && !item.fixed && !item.marks);
  const fields = new Fields(task.pairs);
  if (like?.laid.length === strip.items.length) {
    const { laid } = like;
    const order = [...task.free].sort((a, b) => startOf(task, laid, a) - startOf(task, laid, b));
    const turns = strip.items.map((item, i) => {
      const { turn } = laid[i] as Laid;
      return item.turns.includes(turn) ? turn : (item.turns[0] ?? 0);
    });
    firstSequence = yield* sequence(task, leftmost, order, turns);
    steps++;
    if (firstSequence) yield yield* keep(firstSequence.placing);
    // Where it is too long, the pieces as they lie are moved apart on what there is; settled, a lay gains a cell or two.
    if (canOverlap && best.length > like.length) {
      const overlaps = new Overlaps(task, fields, random, placingOf(laid, turns));
      let length = like.length + INTO.over;
      let going = overlaps.fits && overlaps.shrink(length);
      while (going && overlaps.moves < INTO.moves) {
        steps++;
        const state = overlaps.advance(INTO.moves);
        if (state === "clear") {
          yield yield* keep(overlaps.result());
          length -= INTO.by;
          going = best.length > like.length && length > like.length - INTO.over && overlaps.shrink(length);
        } else {
          yield null;
          going = state === "moved";
        }
      }
    }
  }
  if (task.free.length > MANY) {
    // What lies far apart is not compared yet: a first lay of many pieces is there soon.
    const own = yield* start(
      task,
      leftmost,
      0,
      "alternate",
      2 * Math.max(...task.free.map((i) => shapeOf(task, i).own[0])),
    );
    steps++;
    if (own) {
      best.placing = own.placing;
      best.length = own.length;
      yield { lay: layOf(task, own.placing), steps };
    }
  }
  for (const turning of ["greedy", "alternate", "first"] as const)
    for (let size = 0; size < SIZES.length; size++) {
      const own = yield* start(task, leftmost, size, turning);
      steps++;
      if (!own) return;
      if (!firstSequence || own.length < firstSequence.length) firstSequence = own;
      yield yield* keep(own.placing);
      if (best.length <= bound + AT_BOUND) return;
    }
  let from = firstSequence as Sequence;
  const turnsOf = (placing: Placing): number[] => [...placing.turn];
  const byLeft = (placing: Placing): Generator<null, Sequence | null, void> =>
    sequence(
      task,
      leftmost,
      [...task.free].sort(
        (a, b) =>
          (placing.x[a] as number) * GRID -
          shapeOf(task, a).own[0] -
          ((placing.x[b] as number) * GRID - shapeOf(task, b).own[0]),
      ),
      turnsOf(placing),
    );
  const shuffled = (): Generator<null, Sequence | null, void> => {
    const order = [...task.free];
    for (let i = order.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [order[i], order[j]] = [order[j] as number, order[i] as number];
    }
    const turns = strip.items.map((item) => item.turns[Math.floor(random() * item.turns.length)] as number);
    return sequence(task, leftmost, order, turns);
  };
  for (let round = 0; ; round++) {
    const annealing = new Annealing(
      task,
      leftmost,
      random,
      from,
      Math.min(ANNEAL.most, Math.round(ANNEAL.from * ANNEAL.grows ** round)),
    );
    while (!annealing.isDone) {
      steps++;
      yield annealing.advance() ? yield* keep(annealing.best.placing) : null;
    }
    if (best.length <= bound + AT_BOUND) return;
    if (canOverlap)
      for (const source of [annealing.best.placing, best.placing]) {
        const overlaps = new Overlaps(task, fields, random, source);
        if (!overlaps.fits) break;
        const most = Math.min(MOVES.most, Math.round(MOVES.from * MOVES.grows ** round));
        let length = Math.min(lengthOf(task, source), best.length) * (1 - SHRINK.first);
        let by: number = SHRINK.first;
        if (!overlaps.shrink(length)) continue;
        while (overlaps.moves < most) {
          steps++;
          const state = overlaps.advance(most);
          if (state === "stuck") break;
          if (state === "moved") {
            yield null;
            continue;
          }
          const found = yield* keep(overlaps.result());
          yield found;
          if (best.length <= bound + AT_BOUND) return;
          if (length < best.length * 0.99) by = SHRINK.then;
          length = Math.min(length, best.length) * (1 - by);
          if (!overlaps.shrink(length)) break;
        }
      }
    const next = round % 3 === 0 ? yield* byLeft(best.placing) : round % 3 === 1 ? yield* shuffled() : annealing.best;
    from = next ?? from;
  }
}

const emptyPlacing: Placing = { x: new Int32Array(0), y: new Float64Array(0), turn: new Uint8Array(0) };
