import { seededRandom, type Point } from "../../geometry";
import { search } from "./search";
import { layShape } from "./shape";
import type { Strip } from "./strip";
import { provedBound } from "./undercut";

/** The best bound that is proved of a strip, and how many were told on the way. */
function proved(strip: Strip, length: number): { readonly bound: number; readonly told: number } {
  let [bound, told] = [0, 0];
  for (const next of provedBound(strip, length)) {
    if (next === null) continue;
    expect(next).toBeGreaterThanOrEqual(bound);
    expect(next).toBeLessThanOrEqual(length);
    bound = next;
    told++;
  }
  return { bound, told };
}

const shortest = (strip: Strip, seed: number, steps: number): number => {
  let [best, n] = [Infinity, 0];
  for (const found of search(strip, seed)) {
    if (found) best = Math.min(best, found.lay.length);
    if (++n > steps) break;
  }
  return best;
};

const stripOf = (width: number, gap: number, outlines: readonly (readonly Point[])[], turns = [0, 3]): Strip => ({
  width,
  gap,
  shapes: outlines.map((outline) => layShape(outline, gap)),
  items: outlines.map((_, shape) => ({ shape, turns })),
});

const box = (w: number, h: number): readonly Point[] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];

test("boxes too wide to lie beside each other are proved to lie one behind the other", () => {
  // 600 and 600 across 1000: 400 and 300 along, the gap of 2 between.
  const { bound } = proved(stripOf(1000, 2, [box(400, 600), box(300, 600)]), 703);
  expect(bound).toBeGreaterThan(692);
  expect(bound).toBeLessThanOrEqual(702);
});

test("wedges head to tail are not taken for the boxes round them", () => {
  const wedge: readonly Point[] = [
    [0, 0],
    [900, 0],
    [900, 100],
    [0, 500],
  ];
  // Two of them fit across 610 turned end for end; not turned, they lie beside each other on 1000 alone.
  const length = shortest(stripOf(610, 2, [wedge, wedge]), 1, 400);
  expect(length).toBeLessThan(905);
  expect(proved(stripOf(610, 2, [wedge, wedge]), length).bound).toBeLessThanOrEqual(length);
  const oneWay = stripOf(610, 2, [wedge, wedge], [0]);
  const long = shortest(oneWay, 1, 400);
  expect(long).toBeGreaterThan(1000);
  const { bound } = proved(oneWay, long);
  expect(bound).toBeLessThanOrEqual(long);
  expect(bound).toBeGreaterThan(0.97 * long);
});

test("random polygons: never above a lay, and mostly near it", () => {
  const shares: number[] = [];
  for (let seed = 1; seed <= 8; seed++) {
    const random = seededRandom(seed * 977);
    const any = (low: number, high: number): number => low + (high - low) * random();
    const outlines = Array.from({ length: 3 + (seed % 3) }, (): readonly Point[] => {
      const [w, h, n] = [any(250, 700), any(150, 420), 5 + Math.floor(4 * random())];
      return Array.from({ length: n }, (_, i): Point => {
        const [angle, far] = [(2 * Math.PI * i) / n, any(0.7, 1)];
        return [(w / 2) * far * Math.cos(angle), (h / 2) * far * Math.sin(angle)];
      });
    });
    const strip = stripOf(any(450, 800), any(0, 4), outlines, seed % 2 === 0 ? [0, 3] : [0]);
    const length = shortest(strip, seed, 600);
    const { bound } = proved(strip, length);
    expect([seed, bound <= length]).toEqual([seed, true]);
    shares.push(bound / length);
  }
  expect(shares.filter((s) => s > 0.93).length).toBeGreaterThan(3);
});

test("the same strip gives the same bounds", () => {
  const strip = stripOf(700, 2, [box(400, 380), box(500, 360), box(300, 250)]);
  expect([...provedBound(strip, 1000)]).toEqual([...provedBound(strip, 1000)]);
});
