import { layWithin, shapesOf } from "../derive/lay";
import { clothOf } from "../derive/cloth";
import { boxOf, polygonArea, seededRandom, type Point } from "../geometry";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { faultsOf } from "../testing/layProof";
import { said } from "../testing/said";
import { HandLay, type ClothLay, type LayCloth } from ".";
import { cornerToAdd, stripOutline } from "./corners";
import { leftBy, missingOf, offcutsOf } from "./remnant";

/** A remnant: a corner cut off where the neck of something was, and a bite out of one edge. */
const REMNANT: readonly Point[] = [
  [0, 0],
  [900, 0],
  [1100, 260],
  [1400, 0],
  [3400, 0],
  [3400, 900],
  [2900, 1500],
  [0, 1500],
];
const CLOTH: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };

const shapes = () => {
  const made = shapesOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } }), "shell", CLOTH);
  if (!made.ok) throw new Error(said(made.errors[0]?.says));
  return made.shapes;
};
const laidOn = (cloth: LayCloth, seed = 1, steps = 300): ClothLay => {
  const laid = layWithin(shapes(), cloth, seed, { steps });
  if (!laid.ok) throw new Error(said(laid.errors[0]?.says));
  return laid.lay;
};

test("what is missing of a strip and the remnant make the strip, and none of it overlaps", () => {
  const random = seededRandom(7);
  for (let n = 0; n < 200; n++) {
    // A star about its middle crosses itself nowhere.
    const corners = 3 + Math.floor(random() * 12);
    const outline = Array.from({ length: corners }, (_, i): Point => {
      const [turn, away] = [(2 * Math.PI * i) / corners, 0.2 + 0.8 * random()];
      return [1000 + 1000 * away * Math.cos(turn), 750 + 750 * away * Math.sin(turn)];
    });
    const missing = missingOf(outline, 1500).reduce((sum, part) => sum + Math.abs(polygonArea([...part])), 0);
    const [from, to] = [Math.min(...outline.map(([x]) => x)), Math.max(...outline.map(([x]) => x))];
    expect(missing + Math.abs(polygonArea(outline))).toBeCloseTo((to - from) * 1500, 0);
  }
});

test.each([1, 2, 3])("pieces lie on a remnant and nowhere else, in every lay of a search (seed %i)", (seed) => {
  const cloth = { ...CLOTH, outline: REMNANT };
  const lay = laidOn(cloth, seed);
  expect(faultsOf(lay, cloth)).toEqual([]);
  // The bite and the corner cost something, and the remnant is long enough.
  expect(lay.length).toBeGreaterThan(laidOn(CLOTH, seed).length);
  expect(lay.length).toBeLessThan(3400);
});

test("on a remnant pieces are moved apart as well, and stay on it", () => {
  const cloth = { ...CLOTH, outline: REMNANT };
  const lay = laidOn(cloth, 1, 6000);
  expect(faultsOf(lay, cloth)).toEqual([]);
  expect(lay.length).toBeLessThan(laidOn(cloth, 1, 1).length * 0.97);
});

test("a remnant too small for its pieces is told by its length, not by a lay off the cloth", () => {
  const small = REMNANT.map(([x, y]): Point => [x / 2.4, y]);
  expect(laidOn({ ...CLOTH, outline: small }, 1, 60).length).toBeGreaterThan(3400 / 2.4);
});

test("a piece moved by hand stays on the remnant", () => {
  const cloth = { ...CLOTH, outline: REMNANT };
  const lay = laidOn(cloth, 1, 40);
  const hand = new HandLay(shapes(), cloth, lay.placements);
  for (const [x, y] of [
    [1100, 130],
    [3390, 1490],
    [300, 20],
  ] as const)
    lay.placements.forEach((p, i) => hand.move(i, { x, y, turn: p.turn }));
  const moved = hand.lay();
  const within = moved.placements.filter((p) => Math.max(...p.outline.map(([px]) => px)) <= 3400);
  expect(faultsOf({ ...moved, placements: within }, cloth)).toEqual([]);
});

test("what a lay leaves holds nothing of its pieces, lies on the cloth, and can be laid on again", () => {
  const strip: readonly Point[] = [
    [0, 0],
    [3400, 0],
    [3400, 1500],
    [0, 1500],
  ];
  const lay = laidOn(CLOTH);
  const offcuts = offcutsOf(lay, strip);
  const [largest] = offcuts;
  if (!largest) throw new Error("nothing is left");
  // At least the whole end of the cloth, but for what is kept clear of its edges.
  expect(largest.area).toBeGreaterThan((3400 - lay.length - 10) * 1490);
  const used = lay.placements.reduce((sum, p) => sum + Math.abs(polygonArea([...p.outline])), 0);
  expect(offcuts.reduce((sum, o) => sum + o.area, 0)).toBeLessThan(3400 * 1500 - used);
  for (const { outline } of offcuts) {
    const inside = { ...lay.placements[0], piece: "offcut", outline } as ClothLay["placements"][number];
    // It may end at the edges of the cloth, and comes near to pieces, never into them.
    const edge: readonly Point[] = strip.map(([x, y]) => [x === 0 ? -0.01 : x + 0.01, y === 0 ? -0.01 : y + 0.01]);
    const together = { ...lay, length: 3400, placements: [inside, ...lay.placements] };
    expect(faultsOf(together, { ...CLOTH, gap: 0, outline: edge })).toEqual([]);
  }
});

test("a remnant is laid open, however the cloth it was cut from was folded", () => {
  const job = palazzoJob(HAND_BODY, {
    cloth: { fold: "lengthwise", outline: REMNANT.map(([x, y]): [number, number] => [x, y]) },
  });
  const { cloth, errors } = clothOf(job);
  expect(errors).toEqual([]);
  expect([cloth.width, cloth.length, cloth.lies.fold]).toEqual([1500, 3400, "open"]);
});

/** A lay of boxes, each from one corner to the other. */
const boxes = (length: number, ...of: readonly (readonly [number, number, number, number])[]): ClothLay =>
  ({
    length,
    placements: of.map(([x0, y0, x1, y1]) => ({
      outline: [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ],
    })),
  }) as unknown as ClothLay;

test("a piece in the middle of one offcut costs that one its beginning, and no other", () => {
  // A wall across the cloth parts it; beyond it lies a piece with cloth all round.
  const lay = boxes(2000, [1000, 0, 1100, 1500], [1600, 600, 2000, 900]);
  const kept = offcutsOf(lay, stripOutline(0, 3000, 1500)).map(({ outline }) => boxOf(outline));
  const ends = kept
    .map(({ left, right }) => [Math.round(left), Math.round(right)])
    .sort((p, q) => (p[0] ?? 0) - (q[0] ?? 0));
  expect(ends).toEqual([
    [0, 997],
    [2003, 3000],
  ]);
});

test("of folded cloth the end is kept, where it is worth it; of cloth that is short, nothing", () => {
  const lay = boxes(1800, [0, 0, 1800, 700]);
  const folded = { ...CLOTH, fold: "lengthwise" as const };
  expect(leftBy(lay, folded, 2600)).toEqual([stripOutline(1800, 2600, 1500)]);
  expect(leftBy(lay, folded, 1900)).toEqual([]);
  expect(leftBy(lay, CLOTH, 1700)).toEqual([]);
  expect(leftBy(lay, CLOTH, 2600).length).toBeGreaterThan(0);
});

test("a corner is added in the middle of the longest side", () => {
  expect(cornerToAdd(stripOutline(0, 2000, 1500))).toEqual({ after: 0, at: [1000, 0] });
  expect(
    cornerToAdd([
      [0, 0],
      [100, 0],
      [0, 500],
    ]),
  ).toEqual({ after: 1, at: [50, 250] });
});
