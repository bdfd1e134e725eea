import type { Point } from "../geometry";
import type { Mm } from "../units";
import { search } from "./lay/search";
import { layShape } from "./lay/shape";
import { tooWide, type Laid, type Strip } from "./lay/strip";

/** Where an outline lies: the middle of its box along and across the strip, and whether it is turned end for end. */
interface Nested {
  readonly along: Mm;
  readonly across: Mm;
  readonly isTurned: boolean;
}

/** Steps of the search: a few tenths of a second. */
const STEPS = 200;
/** Turns by number: as drawn, and half a turn. */
const AS_DRAWN = 0;
const HALF_TURN = 3;

/** Outlines laid into each other on a strip so wide, `gap` apart, in any order; null where one is wider than the strip. */
export function nested(outlines: readonly (readonly Point[])[], width: Mm, gap: Mm): readonly Nested[] | null {
  const strip: Strip = {
    width,
    gap,
    shapes: outlines.map((outline) => layShape(outline, gap)),
    items: outlines.map((_, shape) => ({ shape, turns: [AS_DRAWN, HALF_TURN] })),
  };
  if (tooWide(strip).length > 0) return null;
  let best: readonly Laid[] | null = null;
  let steps = 0;
  for (const found of search(strip, 1)) {
    if (found) best = found.lay.laid;
    if (++steps >= STEPS && best) break;
  }
  return best && best.map(({ x, y, turn }) => ({ along: x, across: y, isTurned: turn === HALF_TURN }));
}
