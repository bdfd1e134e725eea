import fc from "fast-check";
import { edgeOf, landmarkOf, netWaist, roleLength } from "../drafting";
import { pathLength, polygonSections } from "../geometry";
import { panelOutline, type Panel } from "../drafting";
import { badOutline, badPair, badPattern } from "../testing/badOutline";
import { STYLES } from "../styles";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { styleCase } from "../testing/styleRanges";
import { deriveShape } from "../derive";
import type { Job } from "../files";

type Moves = NonNullable<Job["moves"]>;
const moves = (...list: readonly (readonly [string, Record<string, unknown>])[]): Moves =>
  list.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params }));

const made = (list: Moves, more: Partial<Job> = {}) =>
  shapeOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, moves: list, ...more }));
const plain = made([]);

const widthAt = (panel: Panel, y: number): number =>
  polygonSections(panelOutline(panel), y).reduce((sum, [a, b]) => sum + b - a, 0);
const both = (s: typeof plain, y: number): number => widthAt(s.front, y) + widthAt(s.back, y);
const length = (panel: Panel, id: string): number => pathLength(edgeOf(panel, id).path);

describe("shape the leg", () => {
  test("a flare is as wide as asked at its start and along its trued hem", () => {
    const flared = made(moves(["shape-leg", { knee: "460 mm", out: "60 mm" }], ["set-length", {}]));
    expect(both(flared, flared.plan.levels.knee)).toBeCloseTo(460, 0);
    expect(Math.abs(flared.readings.hemGirth - 700)).toBeLessThan(1); // 460 + 4 x 60
    expect(badPair(flared.front, flared.back, 3)).toEqual([]);
  });

  test("it may start anywhere below the crotch: narrow at the calf, and out from there", () => {
    const low = made(moves(["shape-leg", { start: "720 mm", knee: "400 mm", hem: "600 mm" }], ["set-length", {}]));
    expect(both(low, 720)).toBeCloseTo(400, 0);
    expect(Math.abs(low.readings.hemGirth - 600)).toBeLessThan(1);
    expect(both(low, 575)).toBeGreaterThan(400);
  });

  test("a start above the crotch makes no sense: it is passed over with the reason, and the rest is made", () => {
    const odd = made(moves(["shape-leg", { start: "hip", out: "60 mm" }], ["set-length", { length: "900 mm" }]));
    expect(odd.worksheet[0]?.passed).toMatch(/can turn between/);
    expect(odd.plan.levels.hem).toBe(900);
  });
});

describe("moves that redraw", () => {
  test("widen-leg: out at the hip, squared down, a third of the hem's gain at the inseam", () => {
    const wide = made(moves(["widen-leg", { side: "25 mm" }]));
    expect(Math.abs(landmarkOf(wide.front, "hipSide")[0])).toBeCloseTo(156 + 25, 6);
    expect(landmarkOf(wide.front, "hemSide")[0]).toBeCloseTo(landmarkOf(wide.front, "hipSide")[0], 6);
    const gain = 156 + 25 - (480 - 25) / 4; // the side was 113.75 from the crease
    expect(Math.abs(landmarkOf(wide.front, "hemInseam")[0])).toBeCloseTo(113.75 + gain / 3, 6);
    expect(badPair(wide.front, wide.back, 3)).toEqual([]);
  });

  test("drop-crotch lowers the crotch line and shortens both inseams alike", () => {
    const low = made(moves(["drop-crotch", { by: "30 mm" }]));
    expect(low.plan.levels.crotch).toBe(310);
    expect(length(low.front, "inseam")).toBeLessThan(length(plain.front, "inseam") - 25);
    expect(length(low.front, "inseam") - length(low.back, "inseam")).toBeCloseTo(3, 2);
  });

  test("waist-level moves the edge, keeps its girth, and leaves hip and hem", () => {
    const low = made(moves(["waist-level", { by: "-40 mm" }]));
    expect(low.plan.levels).toMatchObject({ waist: 40, hip: 210, hem: 1060 });
    expect(low.readings.waistGirth).toBeCloseTo(760, 1);
    expect(length(low.front, "side")).toBeLessThan(length(plain.front, "side") - 35);
  });

  test("waist-shaping: into the side, left as ease, or hip-wide", () => {
    const shaped = (params: Record<string, unknown>) => made(moves(["waist-shaping", params]));
    const darts = (s: typeof plain): number => s.front.lines.filter((l) => l.kind === "dart").length;
    const side = shaped({ to: "side" });
    expect([darts(side), Math.round(side.readings.waistGirth)]).toEqual([0, 760]);
    const eased = shaped({ to: "ease", ease: "40 mm" });
    expect(eased.readings.waistGirth).toBeCloseTo(800, 1);
    expect(shaped({ to: "hip-wide" }).readings.waistGirth).toBeGreaterThan(1080);
    const wider = shaped({ to: "darts", frontIntake: "32 mm" });
    expect(wider.worksheet[0]?.numbers.frontIntake?.mm).toBe(32);
    expect(2 * (netWaist(wider.front.edges) + netWaist(wider.back.edges))).toBeCloseTo(760, 1);
  });

  test("numbers beyond what can be drawn are refused with the largest that works", () => {
    const refused = deriveShape(palazzoJob(HAND_BODY, { moves: moves(["drop-crotch", { by: "400 mm" }]) }));
    expect(refused).toMatchObject({ ok: false, status: 422, errors: [{ path: "moves.0.params.by", largest: 235 }] });
  });
});

test("full-spread adds exactly its amount to waist and hem, and leaves every seam as it was", () => {
  const open = made(moves(["full-spread", { gap: "60 mm" }]));
  for (const panel of ["front", "back"] as const) {
    expect(roleLength(open[panel], "waist") - roleLength(plain[panel], "waist")).toBeCloseTo(60, 6);
    expect(length(open[panel], "hem") - length(plain[panel], "hem")).toBeCloseTo(60, 6);
    for (const id of ["side", "inseam", "crotch"])
      expect(length(open[panel], id)).toBeCloseTo(length(plain[panel], id), 9);
    expect(widthAt(open[panel], 400) - widthAt(plain[panel], 400)).toBeCloseTo(60, 3);
  }
  const one = made(moves(["full-spread", { gap: "60 mm", panels: "front" }]));
  expect(roleLength(one.back, "waist")).toBe(roleLength(plain.back, "waist"));
});

test("full-spread laid over takes its amount from the hem, keeps every seam, and trues the waist fairly", () => {
  const laid = made(moves(["full-spread", { gap: "-20 mm" }]));
  const before = made(moves());
  for (const id of ["front", "back"] as const) {
    expect(roleLength(laid[id], "hem")).toBeCloseTo(roleLength(before[id], "hem") - 20, 6);
    for (const seam of ["side", "inseam", "crotch"] as const)
      expect(roleLength(laid[id], seam)).toBeCloseTo(roleLength(before[id], seam), 6);
    const lost = roleLength(before[id], "waist") - roleLength(laid[id], "waist");
    expect(Math.abs(lost - 20)).toBeLessThan(1);
    expect(badOutline(laid[id])).toEqual([]);
  }
  const line = laid.worksheet.at(-1);
  expect(line?.numbers.lost?.mm).toBe(80);
  expect(line?.numbers.waistLost?.mm).toBeCloseTo(before.readings.waistGirth - laid.readings.waistGirth, 6);
  const tooMuch = made(moves(["full-spread", { gap: "-60 mm" }]));
  expect(tooMuch.worksheet.at(-1)?.passed).toMatch(/no room to lay 60 mm over/);
});

describe("every style on random bodies, its parameters anywhere in their range", () => {
  test.each(Object.keys(STYLES))("%s: sound, its seams equal, its numbers met", (id) => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const body = plausibleBody(seed);
        const asked = styleCase(id, body, seededRandom(seed));
        const shape = deriveShape(palazzoJob(body, { style: { id, params: asked.params } }));
        if (!shape.ok) {
          expect([id, shape.status, shape.errors[0]?.message.endsWith(".")]).toEqual([id, 422, true]);
          return;
        }
        expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
        const passed = shape.worksheet.some((l) => l.passed !== null);
        for (const [what, wanted, measured] of passed ? [] : asked.met(shape))
          expect([what, wanted, Math.abs(measured - wanted) < 1 || measured]).toEqual([what, wanted, true]);
        // A move is passed over only where it makes no sense on so odd a body, and says so.
        for (const l of shape.worksheet) expect(l.passed === null || l.passed.endsWith(".")).toBe(true);
      }),
      { numRuns: 40, seed: 20261123 },
    );
  });

  test.each(Object.keys(STYLES))("%s: changing hip, school or length re-derives it with no move lost", (id) => {
    const job = palazzoJob(HAND_BODY, { style: { id, params: {} } });
    const variants: Partial<Job>[] = [
      { body: { ...HAND_BODY, measures: { ...HAND_BODY.measures, hip: 1180 } } },
      { block: { school: "traced", rules: {} } },
      { block: { school: "hinged", rules: {} } },
      { style: { id, params: { length: "ankle" } } },
    ];
    const made = (j: Job): string[] =>
      shapeOf(j)
        .worksheet.filter((l) => l.index !== null && l.on && !l.passed)
        .map((l) => l.move);
    for (const change of variants) expect(made({ ...job, ...change })).toEqual(made(job));
  });

  test.each(Object.keys(STYLES))("%s is made whole at every length, from the floor to shorts", (id) => {
    for (const length of ["full", "ankle", "calf", "mid-calf", "knee", "shorts"]) {
      const shape = shapeOf(palazzoJob(HAND_BODY, { style: { id, params: { length } } }));
      const passed = shape.worksheet.filter((l) => l.passed).map((l) => l.move);
      // Under the shortest legs there is no room left to hang a flounce.
      expect([length, passed]).toEqual([length, id === "bell-flounce" && length === "shorts" ? ["flounce"] : []]);
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
  });
});
