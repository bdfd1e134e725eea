import { said } from "../testing/said";
import { deriveShape, type Shape } from "./shape";
import type { Job } from "../files";
import { STYLES } from "../styles";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, FOUR_BODIES, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { jobWith, lastLine, STRAIGHT } from "../testing/worksheet";

const ofStyle = (id: string, params: Record<string, unknown>, body: Job["body"] = HAND_BODY): Job =>
  palazzoJob(body, { style: { id, params } });
const hemOf = (id: string, params: Record<string, unknown>): number => shapeOf(ofStyle(id, params)).readings.hemGirth;

/** A hem each style can be given on the card whose sums can be done by hand. */
const HEMS: Readonly<Record<string, readonly [number, number]>> = {
  straight: [420, 640],
  cigarette: [340, 460],
  palazzo: [620, 1240],
  flare: [520, 900],
  "bell-flounce": [1200, 3000],
  "side-fullness": [900, 1800],
  "paper-bag": [340, 560],
  pleated: [360, 560],
  jogger: [345, 520],
  sweat: [560, 860],
  "front-slit": [400, 620],
  "yoke-flare": [480, 800],
  culotte: [640, 1100],
  "one-piece": [640, 800],
};

describe("a finished hem asked of a style", () => {
  test.each(Object.keys(HEMS))("%s takes it, and the trued edge measures it", (id) => {
    for (const asked of HEMS[id] as readonly [number, number])
      expect([id, hemOf(id, { hemGirth: `${asked} mm` })]).toEqual([id, expect.closeTo(asked, 0)]);
  });

  test.each(Object.keys(HEMS))("%s on four wearers: met within a millimetre, or said", (id) => {
    const [low, high] = HEMS[id] as readonly [number, number];
    for (const body of Object.values(FOUR_BODIES)) {
      const shape = deriveShape(ofStyle(id, { hemGirth: `${(low + high) / 2} mm` }, body));
      if (!shape.ok) expect(said(shape.errors[0]?.says)).toMatch(/\.$/);
      else if (shape.worksheet.every((l) => l.passed === null))
        expect(Math.abs(shape.readings.hemGirth - (low + high) / 2)).toBeLessThan(1);
    }
  });

  test("pleats that run down to the hem are allowed for: the leg below them is given less", () => {
    const parallel = shapeOf(ofStyle("pleated", { hemGirth: "600 mm", run: "parallel" }));
    expect(parallel.readings.hemGirth).toBeCloseTo(600, 1);
    const opened = parallel.worksheet.find((l) => l.move === "pleats")?.numbers.opened?.mm ?? 0;
    const leg = parallel.worksheet.find((l) => l.move === "shape-leg")?.numbers.hem?.mm ?? 0;
    expect(opened).toBeGreaterThan(30);
    expect(leg + opened).toBeCloseTo(600, 0);
  });

  test("a line of the maker's own that widens the hem is allowed for as well", () => {
    const job = ofStyle("palazzo", { hemGirth: "100 cm" });
    job.moves = [
      ...(STYLES.palazzo?.moves ?? []).map((m) => ({ ...m, params: {} })),
      { id: "more", move: "full-spread", on: true, params: { gap: "30 mm" } },
    ];
    const shape = shapeOf(job);
    expect(shape.readings.hemGirth).toBeCloseTo(1000, 1);
    expect(shape.worksheet.at(-1)?.passed).toBeNull();
  });

  test("a move's own number is the leg at its own line: what is opened below it comes on top", () => {
    const job = jobWith([["shape-leg", { hem: "500 mm" }], ["set-length"], ["full-spread", { gap: "40 mm" }]]);
    expect(shapeOf(job).readings.hemGirth).toBeCloseTo(580, 1);
  });
});

describe("what gives way to an asked hem", () => {
  test("a full circle is another share of a circle: (hem - seam) / (2 pi x depth)", () => {
    const bell = shapeOf(ofStyle("bell-flounce", { hemGirth: "1500 mm", start: "680 mm" }));
    const line = lastLine(bell);
    const [seam, depth] = [line.numbers.seam?.mm ?? 0, line.numbers.depth?.mm ?? 0];
    const share = (1500 - seam) / (2 * Math.PI * depth);
    expect(line.numbers.radius?.mm).toBeCloseTo(seam / (2 * Math.PI * share), 3);
  });

  test("points leave the circle, so their share is found by trying; the waves still close evenly", () => {
    for (const points of [3, 6, 8]) {
      const bell = shapeOf(ofStyle("bell-flounce", { hemGirth: "2200 mm", points }));
      expect(bell.readings.hemGirth).toBeCloseTo(2200, 1);
      expect(said(lastLine(bell).sentence)).toMatch(/points/);
    }
  });

  test("gathered, the strip is as long as the hem", () => {
    const bell = shapeOf(ofStyle("bell-flounce", { kind: "gathered", hemGirth: "1100 mm" }));
    const strip = bell.panels.find((p) => p.id === "flounce");
    expect(strip).toBeDefined();
    expect(bell.readings.hemGirth).toBeCloseTo(1100, 6);
    const [join] = bell.joins.filter((j) => j.id === "flounce");
    expect(join?.how).toBe("gathered");
  });

  test("a side panel's fullness; stated with the move it stays, and the hem follows it", () => {
    const asked = shapeOf(ofStyle("side-fullness", { hemGirth: "1400 mm", fullness: 1.2 }));
    expect(asked.readings.hemGirth).toBeCloseTo(1400, 1);
    const own = ofStyle("side-fullness", { hemGirth: "1400 mm" });
    own.moves = (STYLES["side-fullness"]?.moves ?? []).map((m) => ({
      ...m,
      params: m.move === "side-panel" ? { fullness: 2 } : {},
    }));
    const kept = shapeOf(own);
    const top = kept.joins.find((j) => j.id === "side-panel-top-front");
    expect(top).toBeDefined();
    expect(kept.readings.hemGirth).toBeCloseTo(hemOf("side-fullness", { fullness: 2 }), 3);
  });

  test("the inseam of a widened leg; narrower than squared down it tapers from the crotch", () => {
    const wide = shapeOf(ofStyle("sweat", { hemGirth: "820 mm" }));
    const usual = shapeOf(ofStyle("sweat", {}));
    const narrow = shapeOf(ofStyle("sweat", { hemGirth: "580 mm" }));
    for (const shape of [wide, usual, narrow]) {
      // The sides are squared down whatever the hem.
      const { hemSide, hipSide } = shape.panels[0]?.landmarks ?? {};
      expect(Math.abs((hemSide?.[0] ?? 0) - (hipSide?.[0] ?? 9))).toBeLessThan(1.5);
    }
    const knee = (shape: Shape): number => shape.readings.kneeGirth ?? 0;
    expect(knee(narrow)).toBeGreaterThan(580);
    expect(knee(wide)).toBeCloseTo(820, -0.5);
    expect(usual.readings.hemGirth).toBeGreaterThan(580);
  });
});

describe("a hem that cannot be had", () => {
  test.each([
    ["bell-flounce", "600 mm", /ends in a hem of [\d.]+ to [\d.]+ cm, not 60\.0 cm/],
    ["side-fullness", "420 mm", /hem of one leg is [\d.]+ to [\d.]+ cm, not 42\.0 cm/],
    ["sweat", "300 mm", /leave a hem of [\d.]+ to [\d.]+ cm, not 30\.0 cm/],
  ])("%s refuses %s at the place where it was stated, with the nearest that works", (id, hemGirth, words) => {
    const refused = deriveShape(ofStyle(id, { hemGirth }));
    if (refused.ok) throw new Error("it should be refused");
    expect(refused.status).toBe(422);
    expect(refused.errors[0]).toMatchObject({ path: "style.params.hemGirth", says: expect.toSay(words) });
    const [error] = refused.errors;
    const nearest = error?.most ?? error?.least ?? 0;
    expect(hemOf(id, { hemGirth: `${nearest} mm` })).toBeCloseTo(nearest, 0);
  });

  test("stated with the move, it is refused there", () => {
    const refused = deriveShape(jobWith([...STRAIGHT, ["side-panel", { hemGirth: "420 mm" }]]));
    expect(refused).toMatchObject({ ok: false, errors: [{ path: "moves.2.params.hemGirth" }] });
  });

  test("one that another move gives is told by the proof, not passed over in silence", () => {
    const job = ofStyle("straight", { hemGirth: "500 mm" });
    job.moves = [
      { id: "a", move: "shape-leg", on: true, params: {} },
      { id: "b", move: "set-length", on: true, params: {} },
      { id: "c", move: "godet", on: true, params: { at: "side", spread: "200 mm" } },
    ];
    // The godet is added to the leg; the leg is narrowed as far as a leg can be.
    const whole = derivedOf(job);
    const check = whole.checks.find((c) => c.id === "leg-sum");
    const off = Math.abs(whole.readings.hemGirth - 500);
    expect(check?.status).toBe(off < 1 ? "pass" : "fault");
  });

  test("on odd bodies: met within a millimetre, refused with a sentence, or told", () => {
    for (let seed = 0; seed < 40; seed++) {
      const id = Object.keys(STYLES)[seed % 13] as string;
      const body = plausibleBody(seed);
      const hemGirth = `${(HEMS[id] as readonly [number, number])[seed % 2]} mm`;
      const shape = deriveShape(ofStyle(id, { hemGirth }, body));
      if (!shape.ok) {
        expect(said(shape.errors[0]?.says)).toMatch(/\.$/);
        continue;
      }
      if (shape.worksheet.some((l) => l.passed)) continue;
      expect([id, seed, Math.abs(shape.readings.hemGirth - parseFloat(hemGirth)) < 1]).toEqual([id, seed, true]);
    }
  });
});
