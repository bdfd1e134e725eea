import fc from "fast-check";
import { derive } from "../derive";
import { layWithin, shapesOf, shapesOfAll } from "../derive/lay";
import type { Job } from "../files";
import { seededRandom } from "../geometry";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { faultsOf } from "../testing/layProof";
import { randomWorksheet } from "../testing/randomMoves";
import { said } from "../testing/said";
import { FOLDS, layCloth, type ClothLay, type LayCloth } from ".";
import { laysOf } from "./clothLay";
import type { CutShape } from "./cutShapes";
import { NONE_LOCKED, type Locked } from "./folds/oneStrip";
import { processorTime } from "../testing/processorTime";

const CLOTH: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };

const job = (style: string, more: Partial<Job> = {}): Job =>
  palazzoJob(HAND_BODY, { style: { id: style, params: {} }, ...more });
const laid = (of: Job, cloth: LayCloth, steps = 25, seed = 1) => {
  const made = shapesOf(of, "shell");
  if (!made.ok) throw new Error("the job is not drawn");
  return layWithin(made.shapes, cloth, seed, { steps });
};

describe.each(["palazzo", "jogger", "paper-bag", "front-slit", "one-piece", "cowl-top"])("%s", (style) => {
  test.each(FOLDS.flatMap((fold) => [false, true].map((nap) => [fold, nap] as const)))(
    "%s, nap %p: clear of each other, on the cloth, all counted, pairs mirrored",
    (fold, nap) => {
      const cloth = { ...CLOTH, fold, nap };
      const result = laid(job(style), cloth);
      if (!result.ok) {
        expect(said(result.errors[0]?.says)).toMatch(/\.$/);
        return;
      }
      const { lay } = result;
      expect(faultsOf(lay, cloth)).toEqual([]);
      const derived = derive(job(style));
      if (!derived.ok) throw new Error("drawn above");
      for (const piece of derived.pieces.filter((p) => p.material === "shell")) {
        const own = lay.placements.filter((p) => p.piece === piece.id);
        const cut = own.reduce((sum, p) => sum + (p.onFold ? 1 : p.layers - p.spare), 0);
        expect([piece.id, cut]).toEqual([piece.id, piece.cut.count]);
        // Face up and face down: as many of each, through one layer.
        if (piece.cut.pairs && fold === "open") {
          const down = own.filter((p) => p.turn === 1 || p.turn === 2).length;
          expect([piece.id, 2 * down]).toEqual([piece.id, own.length]);
        }
      }
      expect(lay.bound).toBeLessThanOrEqual(lay.length + 1e-6);
      expect(lay.utilisation).toBeGreaterThan(0.25);
    },
  );
});

test.each(FOLDS)(
  "two wearers and a top on one cloth, %s: every piece of each, clear of all others, less than apart",
  (fold) => {
    const cloth = { ...CLOTH, fold };
    const jobs = [
      job("jogger"),
      palazzoJob(plausibleBody(7), { style: { id: "jogger", params: {} } }),
      job("cowl-top"),
    ];
    const made = shapesOfAll(jobs, "shell", cloth);
    if (!made.ok) throw new Error("drawn");
    // Ways of parting what is cut folded from the rest are looked into in turns, so each has fewer of the steps.
    const steps = fold === "partly" ? 900 : 30;
    const result = layWithin(made.shapes, cloth, 1, { steps });
    if (!result.ok) throw new Error(said(result.errors[0]?.says));
    expect(faultsOf(result.lay, cloth)).toEqual([]);
    jobs.forEach((own, bundle) => {
      const derived = derive(own);
      if (!derived.ok) throw new Error("drawn above");
      for (const piece of derived.pieces.filter((p) => p.material === "shell")) {
        const placed = result.lay.placements.filter(
          (p) => p.bundle === bundle && p.piece === (bundle === 0 ? piece.id : `${bundle}:${piece.id}`),
        );
        const cut = placed.reduce((sum, p) => sum + (p.onFold ? 1 : p.layers - p.spare), 0);
        expect([bundle, piece.id, cut]).toEqual([bundle, piece.id, piece.cut.count]);
      }
    });
    const apart = jobs.reduce((sum, own) => {
      const alone = laid(own, cloth);
      return sum + (alone.ok ? alone.lay.length : Infinity);
    }, 0);
    expect(result.lay.length).toBeLessThan(apart + 1);
  },
);

test("of many pieces a first lay is there after one step for each, and is sound", () => {
  const jobs = [3, 7, 11, 15].map((seed) => palazzoJob(plausibleBody(seed), { style: { id: "cowl-top", params: {} } }));
  jobs.push(job("one-piece"), job("yoke-flare"), job("front-slit"));
  const made = shapesOfAll(jobs, "shell", CLOTH);
  if (!made.ok) throw new Error("drawn");
  const count = made.shapes.reduce((sum, s) => sum + s.plain + s.mirrored, 0);
  expect(count).toBeGreaterThan(30);
  let steps = 0;
  for (const found of layCloth(made.shapes, CLOTH, 1)) {
    steps++;
    if (!found) continue;
    expect(found.lay.placements.length).toBe(count);
    expect(faultsOf(found.lay, CLOTH)).toEqual([]);
    break;
  }
  expect(steps).toBe(count + 1);
});

/** The first lay that is found: pieces leftmost, the largest first. */
function firstLaid(shapes: readonly CutShape[], cloth: LayCloth): ClothLay {
  for (const found of laysOf(shapes, cloth, 1, NONE_LOCKED, null)) if (found) return found.lay;
  throw new Error("nothing was laid");
}

test.each(FOLDS)(
  "the first lay that is shown, %s, is worth a look: shorter than one laid leftmost, or as short",
  (fold) => {
    const cloth = { ...CLOTH, fold };
    let [leftmost, shown] = [0, 0];
    for (const style of ["jogger", "pleated", "front-slit"]) {
      const made = shapesOf(job(style), "shell", cloth);
      if (!made.ok) throw new Error("drawn");
      const first = firstLaid(made.shapes, cloth);
      for (const found of layCloth(made.shapes, cloth, 1)) {
        if (!found) continue;
        expect(found.lay.length).toBeLessThanOrEqual(first.length + 1e-6);
        shown += found.lay.length;
        break;
      }
      leftmost += first.length;
    }
    if (fold === "open") expect(shown).toBeLessThan(0.95 * leftmost);
  },
);

test.each(["front-slit", "paper-bag", "pleated"])(
  "%s: pieces moved apart on exact places lie clear of each other, and shorter than in any order",
  (style) => {
    const made = shapesOf(job(style), "shell");
    if (!made.ok) throw new Error("drawn");
    let [steps, ordered, length] = [0, Infinity, Infinity];
    for (const found of layCloth(made.shapes, CLOTH, 1)) {
      steps++;
      if (found) {
        expect(faultsOf(found.lay, CLOTH)).toEqual([]);
        ({ length } = found.lay);
        // Orders alone are tried at first.
        if (found.steps <= 1000) ordered = length;
      }
      if (steps > 7000) break;
    }
    expect(length).toBeLessThan(ordered * 0.985);
  },
);

/** Every lay found in so many steps is sound; the last of them. */
function soundIn(style: string, cloth: LayCloth, most: number, locked?: Locked): ClothLay {
  const made = shapesOf(job(style), "shell", cloth);
  if (!made.ok) throw new Error("drawn");
  let last: ClothLay | null = null;
  let steps = 0;
  for (const found of layCloth(made.shapes, cloth, 1, locked && { locked })) {
    if (found) {
      last = found.lay;
      expect(faultsOf(last, cloth)).toEqual([]);
    }
    if (last && ++steps > most) break;
  }
  if (!last) throw new Error("laid");
  return last;
}

test.each([
  ["lengthwise", "yoke-flare", 2],
  ["lengthwise", "pleated", 3.3],
  ["partly", "palazzo", 2],
  ["across", "pleated", 2],
] as const)(
  "pieces on a %s fold are moved apart as well: %s, %f mm apart, is sound in every lay",
  (fold, style, gap) => {
    const cloth = { ...CLOTH, fold, gap };
    const [first, last] = [10, 6000].map((steps) => soundIn(style, cloth, steps).length) as [number, number];
    expect(last).toBeLessThanOrEqual(first);
  },
);

test("what is locked by hand stays where it is to the hundredth, while the rest is moved apart about it", () => {
  const before = soundIn("paper-bag", CLOTH, 200);
  const [first, second] = before.placements;
  if (!first || !second) throw new Error("laid");
  const locked: Locked = new Map([
    [0, first],
    [1, second],
  ]);
  const after = soundIn("paper-bag", CLOTH, 6000, locked);
  expect(after.length).toBeLessThan(before.length);
  [first, second].forEach(({ x, y, turn }, i) => {
    const now = after.placements[i];
    expect([now?.turn, now && Math.abs(now.x - x) < 0.01, now && Math.abs(now.y - y) < 0.01]).toEqual([
      turn,
      true,
      true,
    ]);
  });
});

test("pieces that are locked one on the other are refused by name", () => {
  const [first] = soundIn("paper-bag", CLOTH, 20).placements;
  if (!first) throw new Error("laid");
  const onIt: Locked = new Map([
    [0, first],
    [1, first],
  ]);
  expect(() => soundIn("paper-bag", CLOTH, 20, onIt)).toThrow(/are locked one on the other/);
});

test("a garment that cannot be drawn is named where it shares a cloth", () => {
  const lost = { ...job("palazzo", { name: "Lost one" }), block: { school: "own" as const, rules: {} } };
  const made = shapesOfAll([job("palazzo"), lost], "shell", CLOTH);
  expect(made.ok ? "" : said(made.errors[0]?.says)).toMatch(/^Lost one: There is no own block yet/);
});

test("any garment on any cloth: clear of each other and on the cloth, or a sentence", () => {
  let made = 0;
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const random = seededRandom(seed);
      const { style, moves } = randomWorksheet(seed);
      const cloth: LayCloth = {
        width: 900 + 900 * random(),
        fold: FOLDS[Math.floor(random() * 3)] ?? "open",
        foldWidth: null,
        nap: random() < 0.3,
        gap: 4 * random(),
        repeat: random() < 0.3 ? { along: 60 + 400 * random(), first: 30 } : null,
      };
      const found = shapesOf(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves }), "shell");
      if (!found.ok) return;
      const result = layWithin(found.shapes, cloth, seed % 97, { steps: 40 });
      if (!result.ok) expect(said(result.errors[0]?.says)).toMatch(/\.$/);
      else {
        made++;
        expect(faultsOf(result.lay, cloth)).toEqual([]);
      }
    }),
    { numRuns: 40, seed: 20261128 },
  );
  expect(made).toBeGreaterThan(15);
});

test("the same seed and steps give the same lay, and more steps never a longer one", () => {
  const one = laid(job("palazzo"), CLOTH, 400, 5);
  const again = laid(job("palazzo"), CLOTH, 400, 5);
  expect(again).toEqual(one);
  const [few, many] = [laid(job("palazzo"), CLOTH, 30, 5), one];
  expect(many.ok && few.ok && many.lay.length <= few.lay.length).toBe(true);
});

test("marks of sides lie on the same line of a repeat, within a millimetre", () => {
  const made = shapesOf(job("palazzo"), "shell");
  if (!made.ok) throw new Error("drawn");
  const cloth = { ...CLOTH, repeat: { along: 240, first: 100 } };
  const result = layWithin(made.shapes, cloth, 1, { steps: 60 });
  if (!result.ok) throw new Error("laid");
  let seen = 0;
  for (const p of result.lay.placements) {
    const shape = made.shapes.find((s) => s.piece === p.piece);
    if (!shape || shape.mark === null) continue;
    seen++;
    const xs = shape.whole.map(([x]) => x);
    const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
    const at = p.x + (p.turn & 1 ? -1 : 1) * (shape.mark - middle);
    const over = (((at - 100) % 240) + 240) % 240;
    expect(Math.min(over, 240 - over)).toBeLessThan(1.001);
  }
  expect(seen).toBeGreaterThanOrEqual(4);
});

test("a piece wider than the cloth is named, a fold that is no fold refused", () => {
  const narrow = laid(job("palazzo"), { ...CLOTH, width: 350 });
  expect(narrow.ok ? null : narrow.errors[0]).toMatchObject({
    path: "cloth.width",
    says: expect.toSay(/is .* wide, the cloth 35/i),
  });
  const deep = laid(job("palazzo"), { ...CLOTH, fold: "lengthwise", foldWidth: 900 });
  expect(deep.ok ? null : deep.errors[0]).toMatchObject({
    path: "cloth.foldWidth",
    says: expect.toSay(/folded by 75/i),
  });
  const across = laid(job("palazzo"), { ...CLOTH, fold: "across", nap: true });
  expect(across.ok ? null : across.errors[0]).toMatchObject({ says: expect.toSay(/nap is not folded across/i) });
});

test("a search yields after every step, so that it can be stopped", () => {
  const made = shapesOf(job("one-piece"), "shell");
  if (!made.ok) throw new Error("drawn");
  let longest = 0;
  let [steps, from] = [0, processorTime()];
  for (const _ of layCloth(made.shapes, CLOTH, 1)) {
    if (steps > 12) longest = Math.max(longest, processorTime() - from);
    from = processorTime();
    if (++steps > 300) break;
  }
  expect(longest).toBeLessThan(400);
});
