import type { Mm } from "../../units";
import { NearFields, preparing } from "./depths";
import type { Placing } from "./leftmost";
import { Overlaps } from "./overlap";
import type { Task } from "./strip";

/** Pieces that overlap by no more than so many cells at the deepest may lie clear on exact places nearby. */
const NEARLY = 3;
/** Moves on exact places until they are given up. */
const EXACT_MOVES = 600;

/**
 * A lay on exact places, each piece near to where it lies in `from`, whose pieces may overlap; null where none is found
 * that is no longer than `length`. Yields after every move.
 */
export function* clearNear(
  task: Task,
  random: () => number,
  from: Placing,
  length: Mm,
): Generator<null, Placing | null, void> {
  const near = new NearFields(task, from);
  yield* preparing(task, near, from);
  const overlaps = new Overlaps(task, near, random, from);
  if (!overlaps.fits || !overlaps.shrink(length)) return null;
  for (;;) {
    const state = overlaps.advance(EXACT_MOVES);
    yield null;
    if (state === "clear") return overlaps.result();
    if (state === "stuck") return null;
  }
}

/**
 * Moves pieces that overlap apart on a strip of a length, until they are clear, or nearly so and lie clear on exact
 * places; null where they are given up after `most` moves. Yields after every move.
 */
export function* movedApart(
  task: Task,
  random: () => number,
  overlaps: Overlaps,
  length: Mm,
  most: number,
): Generator<null, Placing | null, void> {
  if (!overlaps.shrink(length)) return null;
  let tried = Infinity;
  for (;;) {
    const state = overlaps.advance(most);
    yield null;
    if (state === "clear" && overlaps.isExact) return overlaps.result();
    if (state === "stuck") return null;
    if (state === "moved" && (overlaps.deepest > NEARLY || overlaps.deepest >= tried)) continue;
    tried = overlaps.deepest;
    const clear = yield* clearNear(task, random, overlaps.result(), length);
    if (clear) {
      overlaps.lie(clear);
      return clear;
    }
    // Clear on cells, and on no exact place: another arrangement is looked for.
    if (state === "clear") overlaps.shake();
  }
}
