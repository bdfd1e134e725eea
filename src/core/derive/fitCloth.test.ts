import type { LayCloth } from "../cloth";
import type { Job } from "../files";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { faultsOf } from "../testing/layProof";
import { fitCloth, type Fitted, type Fitting } from "./fitCloth";
import { layWithin, shapesOf } from "./lay";
import { movesOfStyle } from "./newJob";

const CLOTH: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 3, repeat: null };

/** A job of a style with a number of one of its moves as stated. */
const stated = (style: string, move: string, number: string, value: number): Job => ({
  ...palazzoJob(HAND_BODY, { style: { id: style, params: {} } }),
  moves: movesOfStyle(style, {}).map((m) =>
    m.move === move ? { ...m, params: { ...m.params, [number]: `${value} mm` } } : m,
  ),
});

function largest(job: Job, move: string, number: string, length: number, more: Partial<Fitting> = {}): Fitted {
  const search = fitCloth(job, CLOTH, length, { move, number, seed: 1, milliseconds: 1000, ...more });
  let step = search.next();
  while (!step.done) step = search.next();
  if ("ok" in step.value) throw new Error("none fits");
  return step.value;
}

const spread = (start: number, length = 2100, more: Partial<Fitting> = {}): Fitted =>
  largest(stated("palazzo", "spread", "hemSpread", start), "spread", "hemSpread", length, more);

const free = spread(0);

test("the largest number is the same wherever the search begins, and its lay is on the cloth", () => {
  const high = spread(700);
  expect(Math.abs(free.value - high.value)).toBeLessThanOrEqual(3);
  for (const { lay } of [free, high]) {
    expect(lay.length).toBeLessThanOrEqual(2100);
    expect(faultsOf(lay, CLOTH)).toEqual([]);
  }
});

test("pieces that are locked stay, and give no more than pieces that are free", () => {
  const smaller = shapesOf(stated("palazzo", "spread", "hemSpread", free.value - 30), "shell", CLOTH);
  const small = smaller.ok && layWithin(smaller.shapes, CLOTH, 1, { steps: 4000, until: 2100 });
  if (!small || !small.ok) throw new Error("laid");
  const locked = new Map(small.lay.placements.slice(0, 2).map(({ x, y, turn }, i) => [i, { x, y, turn }] as const));
  const held = spread(0, 2100, { locked });
  expect(held.locked).toBe(2);
  expect(held.value).toBeLessThanOrEqual(free.value + 3);
  for (const [i, at] of locked) expect(held.lay.placements[i]).toMatchObject(at);
});

test("what lies on the table is never undercut", () => {
  const onTable = spread(free.value, 2100, { laid: free.lay, milliseconds: 10 });
  expect(onTable.value).toBeGreaterThanOrEqual(free.value - 0.1);
});

test("a number that can be made in a small part of its range alone is found there", () => {
  const depth = largest(stated("pleated", "pleats", "depth", 30), "pleats", "depth", 2000);
  expect(depth.value).toBeGreaterThan(30);
  expect(depth.value).toBeLessThan(150);
});
