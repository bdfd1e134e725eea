import { seededRandom, shuffled } from "../../geometry";
import type { Mm } from "../../units";
import { Annealing, sequence, type Sequence } from "./anneal";
import { movedApart } from "./apart";
import { Best, type Found } from "./best";
import { Leftmost, type Placing } from "./leftmost";
import { CELL, Fields, preparing } from "./depths";
import { Overlaps } from "./overlap";
import { GRID, STRIDE } from "./pairs";
import { boundOf, shapeOf, taskOf, tooWide, type Laid, type LayItem, type Like, type Strip, type Task } from "./strip";

/** So many pieces are several garments’. */
const MANY = 30;

/** A lay this near to the bound is not looked into any further. */
const AT_BOUND: Mm = STRIDE * GRID + 0.5;

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
const ANNEAL = { from: 1000, grows: 1.3, most: 4000 } as const;
const MOVES = { from: 800, grows: 1.3, most: 3000 } as const;
/** A lay that is to come to a length begins that much longer, and is shortened by a cell at a time, in so many moves. */
const INTO = { over: 2 * CELL, by: CELL, moves: 800 } as const;
/** What a strip is shortened by, of its length; from pieces that are scattered, what the lay is to be shorter by at first. */
const SHRINK = 0.005;
const SCATTERED_BY: Mm = 2;

/** What one search works with. */
interface Looking {
  readonly task: Task;
  readonly leftmost: Leftmost;
  readonly random: () => number;
  readonly fields: Fields;
  readonly best: Best;
  /** Overlaps are known on cells, and a piece on a line of a repeat lies on none. */
  readonly canOverlap: boolean;
}

type Lays<T> = Generator<Found | null, T, void>;

/** Pieces that lie as in `source`, and what each two of them need worked out. */
function* overlapping({ task, random, fields, best }: Looking, source: Placing): Lays<Overlaps> {
  const overlaps = new Overlaps(task, fields, random, source);
  yield* best.counted(preparing(task, fields, overlaps.placing));
  return overlaps;
}

/** Lays like a lay of nearly the same pieces: in its order and turns, then moved apart from where they lie in it. */
function* likeLays(looking: Looking, like: Like): Lays<Sequence | null> {
  const { task, leftmost, random, best, canOverlap } = looking;
  const { items } = task.strip;
  const { laid } = like;
  if (laid.length !== items.length) return null;
  const order = [...task.free].sort((a, b) => startOf(task, laid, a) - startOf(task, laid, b));
  const turns = items.map((item, i) => {
    const { turn } = laid[i] as Laid;
    return item.turns.includes(turn) ? turn : (item.turns[0] ?? 0);
  });
  const own = yield* sequence(task, leftmost, order, turns);
  best.steps++;
  if (own) yield yield* best.keep(own.placing);
  // Where it is too long, the pieces as they lie are moved apart on what there is; settled, a lay gains a cell or two.
  if (!canOverlap || best.length <= like.length) return own;
  const overlaps = yield* overlapping(looking, placingOf(laid, turns));
  let length = like.length + INTO.over;
  while (overlaps.fits && best.length > like.length && length > like.length - INTO.over) {
    const clear = yield* best.counted(movedApart(task, random, overlaps, length, INTO.moves));
    if (!clear) break;
    yield yield* best.keep(clear);
    length -= INTO.by;
  }
  return own;
}

/** Lays by every size and turning; the shortest of them, null where a piece does not fit across. */
function* startLays({ task, leftmost, best }: Looking, enough: Mm): Lays<Sequence | null> {
  if (task.free.length > MANY) {
    // What lies far apart is not compared yet: a first lay of many pieces is there soon.
    const back = 2 * Math.max(...task.free.map((i) => shapeOf(task, i).own[0]));
    const own = yield* start(task, leftmost, 0, "alternate", back);
    best.steps++;
    if (own) yield best.take(own);
  }
  let shortest: Sequence | null = null;
  for (const turning of ["greedy", "alternate", "first"] as const)
    for (let size = 0; size < SIZES.length; size++) {
      const own = yield* start(task, leftmost, size, turning);
      best.steps++;
      if (!own) return null;
      if (!shortest || own.length < shortest.length) shortest = own;
      yield yield* best.keep(own.placing);
      if (best.length <= enough) return shortest;
    }
  return shortest;
}

/** Lays from an order and turns that are changed at random, a little at a time. */
function* annealed(looking: Looking, from: Sequence, steps: number): Lays<Sequence> {
  const { task, leftmost, random, best } = looking;
  const annealing = new Annealing(task, leftmost, random, from, steps);
  while (!annealing.isDone) {
    best.steps++;
    yield annealing.advance() ? yield* best.keep(annealing.best.placing) : null;
  }
  return annealing.best;
}

/** Lays on ever shorter strips, from pieces that lie as in `source` and overlap there: first on one of `length`. */
function* apartLays(looking: Looking, source: Placing, length: Mm, moves: number, enough: Mm): Lays<void> {
  const { task, random, best } = looking;
  const overlaps = yield* overlapping(looking, source);
  let asked = length;
  while (overlaps.fits) {
    const clear = yield* best.counted(movedApart(task, random, overlaps, asked, moves));
    if (!clear) return;
    const found = yield* best.keep(clear);
    yield found;
    if (found) yield* best.press();
    if (best.length <= enough) return;
    asked = Math.min(asked, best.length) * (1 - SHRINK);
  }
}

/** The order of a lay from one end of the cloth to the other, and its turns. */
const byLeft = ({ task, leftmost }: Looking, placing: Placing): Generator<null, Sequence | null, void> => {
  const left = (item: number): Mm => (placing.x[item] as number) * GRID - shapeOf(task, item).own[0];
  const order = [...task.free].sort((a, b) => left(a) - left(b));
  return sequence(task, leftmost, order, [...placing.turn]);
};

/** Turns by chance. */
const anyTurns = ({ task, random }: Looking): number[] =>
  task.strip.items.map(({ turns }) => turns[Math.floor(random() * turns.length)] as number);

/** An order and turns by chance. */
const byChance = (looking: Looking): Generator<null, Sequence | null, void> => {
  const { task, leftmost, random } = looking;
  return sequence(task, leftmost, shuffled(task.free, random), anyTurns(looking));
};

/** Pieces anywhere on cloth of a length, one over the other. */
function scattered(looking: Looking, length: Mm): Placing {
  const { task, random } = looking;
  const anywhere = (half: Mm, whole: Mm): Mm => half + random() * (whole - 2 * half);
  const owns = task.strip.items.map((_, i) => shapeOf(task, i).own);
  return placingOf(
    owns.map(([x, y]) => ({ x: anywhere(x, length), y: anywhere(y, task.strip.width), turn: 0 })),
    anyTurns(looking),
  );
}

/**
 * Looks for ever shorter lays until it is stopped or reaches the bound: annealing on the order, then pieces that overlap
 * on a shorter strip are moved apart, in turns. Yields after every step, with a lay where it is a better one; the same
 * strip and seed give the same lays after the same steps, however fast they are made. Yields nothing where a piece does
 * not fit across. `like` is a lay of nearly the same pieces: they are laid in its order and
 * turns first, and then moved apart from where they lie in it.
 */
export function* search(strip: Strip, seed: number, like: Like | null = null): Lays<void> {
  if (tooWide(strip).length > 0) return;
  const task = taskOf(strip);
  const leftmost = new Leftmost(task);
  const random = seededRandom(seed);
  const best = new Best(task, leftmost, random);
  const canOverlap = strip.items.every((item) => !item.marks);
  const looking: Looking = { task, leftmost, random, fields: new Fields(task), best, canOverlap };
  const enough = boundOf(strip) + AT_BOUND;
  const likened = like && (yield* likeLays(looking, like));
  const started = yield* startLays(looking, enough);
  if (!started || best.length <= enough) return;
  let from = likened && likened.length < started.length ? likened : started;
  for (let round = 0; ; round++) {
    const steps = Math.min(ANNEAL.most, Math.round(ANNEAL.from * ANNEAL.grows ** round));
    const own = yield* annealed(looking, from, steps);
    if (best.length <= enough) return;
    if (canOverlap) {
      const moves = Math.min(MOVES.most, Math.round(MOVES.from * MOVES.grows ** round));
      yield* apartLays(looking, own.placing, best.length * (1 - SHRINK), moves, enough);
      yield* apartLays(looking, scattered(looking, best.length), best.length - SCATTERED_BY, moves, enough);
      yield* apartLays(looking, best.placing, best.length * (1 - SHRINK), moves, enough);
      if (best.length <= enough) return;
    }
    const next =
      round % 3 === 0 ? yield* byLeft(looking, best.placing) : round % 3 === 1 ? yield* byChance(looking) : own;
    from = next ?? from;
  }
}
