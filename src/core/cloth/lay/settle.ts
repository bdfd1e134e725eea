import { GRID } from "./pairs";
import { endOf, type Leftmost, type Placing } from "./leftmost";
import { shapeOf, type LayItem, type Task } from "./strip";

const ROUNDS = 12;

/**
 * Takes pieces out one at a time, the last first, and puts each back as far to the left as it goes among all the others;
 * repeated while the lay grows shorter or a piece moves. The lay is never longer than it was. Yields after each piece.
 */
export function* settle(task: Task, leftmost: Leftmost, placing: Placing): Generator<null, void, void> {
  const { strip, free } = task;
  const all = strip.items.map((_, i) => i);
  for (let round = 0; round < ROUNDS; round++) {
    let moved = false;
    const byEnd = [...free].sort(
      (a, b) => endOf(task, b, placing.x[b] as number) - endOf(task, a, placing.x[a] as number),
    );
    const byStart = [...free].sort(
      (a, b) =>
        (placing.x[a] as number) * GRID -
        shapeOf(task, a).own[0] -
        ((placing.x[b] as number) * GRID - shapeOf(task, b).own[0]),
    );
    for (const item of round % 2 === 0 ? byStart : byEnd) {
      const others = all.filter((i) => i !== item);
      const [x, y, turn] = [placing.x[item] as number, placing.y[item] as number, placing.turn[item] as number];
      let best = { x, y, turn };
      for (const t of (strip.items[item] as LayItem).turns) {
        if (leftmost.place(placing, others, others.length, item, t, best.x - 1))
          best = { x: placing.x[item] as number, y: placing.y[item] as number, turn: t };
      }
      placing.x[item] = best.x;
      placing.y[item] = best.y;
      placing.turn[item] = best.turn;
      moved ||= best.x !== x;
      yield null;
    }
    if (!moved) return;
  }
}
