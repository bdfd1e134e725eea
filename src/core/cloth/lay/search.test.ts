import { boxOf, seededRandom, type Point } from "../../geometry";
import { clearNear } from "./apart";
import { search } from "./search";
import { layShape, turnOf } from "./shape";
import { taskOf, type Lay, type Strip } from "./strip";

const GAP = 2;

const outlined = (outlines: readonly (readonly Point[])[], width: number): Strip => ({
  width,
  gap: GAP,
  shapes: outlines.map((outline) => layShape(outline, GAP)),
  items: outlines.map((_, shape) => ({ shape, turns: [0, 3] })),
});

/** A long piece, one side along the grain, narrow at its left end and wide at its right. */
const leg = (length: number, narrow: number, wide: number): readonly Point[] => [
  [0, 0],
  [length, 0],
  [length, wide],
  [0, narrow],
];
const block = (length: number, width: number): readonly Point[] => [
  [0, 0],
  [length, 0],
  [length, width],
  [0, width],
];

/** Lays found in so many yields. */
function looked(strip: Strip, yields: number, seed = 1): readonly Lay[] {
  const lays: Lay[] = [];
  let left = yields;
  for (const found of search(strip, seed)) {
    if (found) lays.push(found.lay);
    if (--left <= 0) break;
  }
  return lays;
}
const lastOf = (lays: readonly Lay[]): Lay => lays[lays.length - 1] as Lay;

/** Of blocks as they lie: the least of what is between two of them, along or across. */
function leastBetween(strip: Strip, { laid }: Pick<Lay, "laid">): number {
  const boxes = laid.map(({ x, y, turn }, i) => {
    const { x: sx, y: sy } = turnOf(turn);
    const outline = strip.shapes[strip.items[i]?.shape as number]?.outline ?? [];
    return boxOf(outline.map(([u, v]): Point => [x + sx * u, y + sy * v]));
  });
  return Math.min(
    ...boxes.flatMap((p, i) =>
      boxes.slice(i + 1).map((q) => Math.max(p.left - q.right, q.left - p.right, p.top - q.bottom, q.top - p.bottom)),
    ),
  );
}

test("legs that fill the cloth head to tail are laid so, to within three thousandths of it", () => {
  // Two and two make a block of 1200 by 198.3; four of them and their gaps take 398.9 across.
  const strip = outlined(
    Array.from({ length: 4 }, () => leg(1200, 60, 136)),
    400,
  );
  const { length } = lastOf(looked(strip, 4000));
  expect(length).toBeGreaterThanOrEqual(1200);
  expect(length).toBeLessThan(1204);
});

test("blocks that fit in one way only, with little to spare, are found", () => {
  // Two columns, of 300 and of 200, each filled across to less than a millimetre.
  const width = 503;
  const strip = outlined([block(300, 250), block(300, 250), block(200, 100), block(200, 197), block(200, 201)], width);
  const lay = lastOf(looked(strip, 20_000));
  expect(lay.length).toBeLessThanOrEqual(504);
  expect(leastBetween(strip, lay)).toBeGreaterThanOrEqual(GAP - 1e-6);
});

test("the same seed gives the same lays, another seed others", () => {
  const random = seededRandom(7);
  const strip = outlined(
    Array.from({ length: 7 }, () => leg(300 + 500 * random(), 60 + 60 * random(), 120 + 200 * random())),
    700,
  );
  const lays = looked(strip, 5000);
  expect(looked(strip, 5000)).toEqual(lays);
  expect(lays.map(({ length }) => length)).toEqual([...lays.map(({ length }) => length)].sort((a, b) => b - a));
  expect(looked(strip, 5000, 2)).not.toEqual(lays);
});

test("pieces that overlap a little are moved clear nearby, and not where there is no room", () => {
  const strip = outlined([block(100, 100), block(100, 100), block(100, 100)], 100);
  const task = taskOf(strip);
  const from = {
    x: Int32Array.from([100, 296, 500]),
    y: Float64Array.from([50, 50, 50]),
    turn: Uint8Array.from([0, 0, 0]),
  };
  const at = (length: number) => {
    const looking = clearNear(task, seededRandom(3), from, length);
    let step = looking.next();
    while (!step.done) step = looking.next();
    return step.value;
  };
  const clear = at(306);
  if (!clear) throw new Error("three blocks and two gaps take 304 mm and what the shapes are grown by");
  const laid = [...clear.x].map((x, i) => ({ x: x / 2, y: clear.y[i] as number, turn: clear.turn[i] as number }));
  expect(leastBetween(strip, { laid })).toBeGreaterThanOrEqual(GAP - 1e-6);
  laid.forEach(({ x, y }, i) => {
    expect(Math.abs(x - (from.x[i] as number) / 2)).toBeLessThanOrEqual(12);
    expect(y).toBe(50);
  });
  expect(at(303)).toBeNull();
});
