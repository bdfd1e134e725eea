import { landmarkOf, panelById, panelWidthAt, roleLength } from "../pattern";
import { said } from "../testing/said";
import { deriveShape } from "../derive/shape";
import { newJob } from "../derive/newJob";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { edgeLength, legGirth, panelOf, seamLengths } from "../testing/worksheet";
import { STYLES } from ".";

/** Every style as it starts, on the card whose sums can be done by hand; lengths in millimetres. */
const start = (id: string, params: Record<string, unknown> = {}) =>
  shapeOf(palazzoJob(HAND_BODY, { style: { id, params } }));
const numbers = (id: string, move: string) => {
  const line = start(id).worksheet.find((l) => l.move === move);
  if (!line) throw new Error(`${id} has no ${move}`);
  return line.numbers;
};
describe("what a style starts from", () => {
  test("straight: knee and hem the larger of 0.80 thigh and knee + 60", () => {
    expect(start("straight").readings).toMatchObject({
      hemGirth: expect.closeTo(480, 6),
      kneeGirth: expect.closeTo(480, 6),
    }); // 0.8 x 600
    expect(numbers("straight", "shape-leg").hem?.sum).toSum("the larger of 0.80 x thigh 600 and knee 390 + 60");
  });

  test("straight: on a slim thigh the knee decides", () => {
    const slim = { ...HAND_BODY, measures: { ...HAND_BODY.measures, thigh: 540 } };
    expect(shapeOf(palazzoJob(slim, { style: { id: "straight", params: {} } })).readings.hemGirth).toBeCloseTo(450, 6);
  });

  test("cigarette: the bent knee + 40, the foot's own 350, to the ankle, from a waist line 50 higher", () => {
    const { readings, plan } = start("cigarette");
    expect(readings.hemGirth).toBeCloseTo(350, 0); // the larger of 240 + 60 and 340 + 10
    expect(plan.levels).toMatchObject({ waist: -50, crotch: 280, hem: 970 });
    expect(numbers("cigarette", "shape-leg").knee?.mm).toBe(460); // 420 + 40
  });

  test("palazzo: straight from hip and crotch point, 38 in on each edge; then 240 a panel in two equal gaps; 10 of ease a panel", () => {
    const spread = numbers("palazzo", "spread");
    const { front, back } = start("palazzo").plan;
    const straight = front.hipX - front.crotchX + back.hipX - back.crotchX;
    expect(spread.hemBefore?.mm).toBeCloseTo(straight - 4 * 38, 0);
    expect([spread.hemSpread?.mm, spread.eachGap?.mm]).toEqual([240, 120]);
    expect(Math.abs((spread.hemAfter?.mm ?? 0) / (straight - 4 * 38 + 480) - 1)).toBeLessThan(0.02);
    expect(start("palazzo").rules.ease).toEqual({ front: 10, back: 10 });
  });

  test("flare: the bent knee + 50 at the knee line, 25 above the knee; 60 out on each of four edges", () => {
    const { readings, plan } = start("flare");
    expect(plan.turns.map((t) => t.level)).toEqual([575]);
    expect(legGirth(start("flare"), "right", 575)).toBeCloseTo(470, 0);
    expect(readings.hemGirth).toBeCloseTo(710, 0);
  });

  test("bell with flounce: cut off 80 below the knee, a full circle to the floor", () => {
    const flounce = numbers("bell-flounce", "flounce");
    expect([flounce.start?.mm, flounce.depth?.mm]).toEqual([680, 380]);
    expect(flounce.radius?.mm).toBeCloseTo((flounce.seam?.mm ?? 0) / (2 * Math.PI), 6);
    expect(start("bell-flounce").readings.hemGirth).toBeCloseTo((flounce.seam?.mm ?? 0) + 2 * Math.PI * 380, 0);
  });

  test("side fullness: from 75 above the hip line to the dart line, twice as full, 20 of ease a panel", () => {
    const panel = numbers("side-fullness", "side-panel");
    expect([panel.above?.mm, panel.reach?.mm]).toEqual([75, 0]);
    const shape = start("side-fullness");
    const [seam, top] = seamLengths(shape, "side-panel-top-front");
    expect(top / seam).toBeCloseTo(2, 6);
    expect(shape.rules.ease).toEqual({ front: 20, back: 20 });
  });

  test("paper-bag: the bent knee + 100, the ankle + 140 at the ankle, channel 35 under a frill of 45", () => {
    const { readings, plan, rules } = start("paper-bag");
    expect(numbers("paper-bag", "shape-leg").knee?.mm).toBe(520);
    expect(readings.hemGirth).toBeCloseTo(380, 0);
    expect([plan.levels.hem, rules.waist.shaping, rules.ease.front]).toEqual([970, "hipWide", 15]);
    const casing = numbers("paper-bag", "casing");
    expect([casing.depth?.mm, casing.frill?.mm, casing.beyond?.mm]).toEqual([35, 45, 163]); // 2 x 80 + 3
  });

  test("pleated: two pleats of 30 in each front that run out at the knee, the ankle + 150 at the hem", () => {
    const pleats = numbers("pleated", "pleats");
    expect(pleats.depth?.mm).toBeCloseTo(30, 6);
    expect(start("pleated").readings.hemGirth).toBeCloseTo(390, 0);
    const tips = panelOf(start("pleated"), "front").lines.filter((l) => l.kind === "pleat");
    expect(tips.length).toBeGreaterThanOrEqual(4);
    for (const line of tips) expect(line.points.at(-1)?.[1]).toBeCloseTo(575, -1);
    // The backs keep their darts.
    expect(panelOf(start("pleated"), "back").lines.some((l) => l.kind === "dart")).toBe(true);
  });

  test("jogger: the knee + 80, a foot's 350 gathered into a cuff whose 60 come off the length, casing 40", () => {
    const { readings, plan } = start("jogger");
    expect(numbers("jogger", "shape-leg").knee?.mm).toBe(470);
    expect(readings.hemGirth).toBeCloseTo(350, 0); // 1.35 x 240 = 324 would not pass the heel
    expect([plan.levels.hem, numbers("jogger", "set-length").length?.mm]).toEqual([910, 970]);
    expect(numbers("jogger", "casing").depth?.mm).toBe(40);
  });

  test("sweat: 25 out at the hip, the crotch 15 lower, a third of the hem's gain at the inseam, casings of 45", () => {
    const widen = numbers("sweat", "widen-leg");
    expect([widen.side?.mm, numbers("sweat", "drop-crotch").by?.mm]).toEqual([25, 15]);
    expect(widen.inner?.mm).toBeCloseTo((widen.gain?.mm ?? 0) / 3, 9);
    const casings = start("sweat").worksheet.filter((l) => l.move === "casing");
    expect(casings.map((l) => l.numbers.depth?.mm)).toEqual([45, 45]);
  });

  test("front slit: the knee + 40 all the way, the left front split at its crease, 50 on both sides of the slit", () => {
    const shape = start("front-slit");
    expect(shape.readings.hemGirth).toBeCloseTo(430, 6);
    expect(shape.panels.map((p) => p.id)).toEqual(["front-right", "front-left-centre", "front-left-side", "back"]);
    expect(edgeLength(panelOf(shape, "front-left-side"), "split-top")).toBeCloseTo(50, 6);
    // Buttoned, it is as wide as the plain leg.
    for (const y of [400, 700, 1000]) expect(legGirth(shape, "left", y)).toBeCloseTo(legGirth(shape, "right", y), 3);
  });

  test("yoke and flare: narrowest 120 below the knee at the bent knee + 30, 50 out from there, a yoke of 90", () => {
    const shape = start("yoke-flare");
    expect(shape.plan.turns.map((t) => t.level)).toEqual([720]);
    expect(legGirth(shape, "right", 720)).toBeCloseTo(450, 0);
    expect(shape.readings.hemGirth).toBeCloseTo(650, 0);
    expect(roleLength(panelById(shape.panels, "back-yoke"), "fold")).toBeCloseTo(90, 6);
  });

  test("culotte: half-way between knee and ankle, straight down from hip and crotch point", () => {
    const { panels, plan } = start("culotte");
    expect(plan.levels.hem).toBe(785); // (600 + 970) / 2
    for (const panel of panels) {
      expect(landmarkOf(panel, "hemSide")[0]).toBeCloseTo(landmarkOf(panel, "hipSide")[0], 6);
      expect(panelWidthAt(panel, 500)).toBeCloseTo(panelWidthAt(panel, 700), 6);
    }
  });

  test("a culotte falls straight down whatever the school it is drafted by", () => {
    for (const school of ["proportional", "traced", "hinged"] as const) {
      const shape = shapeOf(
        palazzoJob(HAND_BODY, { block: { school, rules: {} }, style: { id: "culotte", params: {} } }),
      );
      const front = panelById(shape.panels, "front");
      expect(landmarkOf(front, "hemSide")[0]).toBeCloseTo(landmarkOf(front, "hipSide")[0], 6);
    }
  });
});

describe("how a style is finished", () => {
  /** Parts that have to be among the pieces, beside front and back; each as the piece's id begins. */
  const PARTS: Readonly<Record<string, readonly string[]>> = {
    straight: ["band"],
    cigarette: ["band-front", "band-back"],
    palazzo: ["band", "pocket"],
    flare: ["facing"],
    "bell-flounce": ["flounce"],
    "side-fullness": ["side-panel", "band"],
    "paper-bag": ["belt", "belt-loops", "patch"],
    pleated: ["band", "fly", "pocket"],
    jogger: ["cuff", "pocket"],
    sweat: ["pocket"],
    "front-slit": ["waistband"],
    "yoke-flare": ["back-yoke", "front-yoke", "fly"],
    culotte: [],
    "cowl-top": ["bodice-front", "bodice-back", "neck-facing-back", "armhole-facing"],
    "one-piece": ["bodice-front", "bodice-back", "neck-facing", "armhole-facing", "pocket"],
  };

  test.each(Object.keys(STYLES))(
    "%s has its parts, each cut once, with nothing but what is undecided left open",
    (id) => {
      const whole = derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} }, finish: STYLES[id]?.finish }));
      const ids = whole.pieces.map((p) => p.id);
      for (const part of PARTS[id] ?? [])
        expect([id, ids.some((piece) => piece.includes(part)) || ids]).toEqual([id, true]);
      expect(new Set(ids).size).toBe(ids.length);
      const faults = whole.checks.filter((c) => c.status === "fault").map((c) => `${c.id}: ${said(c.message)}`);
      expect([id, faults]).toEqual([id, []]);
    },
  );

  test("what is pulled on has no zip, and its waist opens over the hip", () => {
    for (const id of ["paper-bag", "jogger", "sweat", "front-slit"]) {
      const shape = start(id);
      expect([id, shape.zip]).toEqual([id, null]);
      expect(shape.readings.waistOpening).toBeGreaterThan(1040);
    }
    for (const id of ["straight", "palazzo", "flare", "bell-flounce", "side-fullness"])
      expect([id, start(id).zip?.at]).toEqual([id, "centre-back"]);
    expect(start("cigarette").zip?.at).toBe("side");
    expect(start("pleated").zip?.at).toBe("centre-front");
  });
});

describe("a style's parameters", () => {
  test.each(Object.keys(STYLES))("%s refuses what it does not know, by name and in a sentence", (id) => {
    const refused = deriveShape(palazzoJob(HAND_BODY, { style: { id, params: { colour: "red" } } }));
    expect(refused).toMatchObject({ ok: false, status: 400 });
    if (!refused.ok) expect(said(refused.errors[0]?.says)).toMatch(/colour/);
  });

  test.each(Object.keys(STYLES))("%s says which of its moves each length belongs to", (id) => {
    for (const length of ["knee", "80 cm", 820] as const) {
      const shape = shapeOf(palazzoJob(HAND_BODY, { style: { id, params: { length } } }));
      const set = shape.worksheet.find((l) => l.numbers.length)?.numbers.length?.mm;
      expect([id, set]).toEqual([id, length === "knee" ? 600 : length === "80 cm" ? 800 : 820]);
    }
  });

  test("a new job starts as its style does, in its style's school", () => {
    for (const [id, style] of Object.entries(STYLES)) {
      const job = newJob("New", HAND_BODY, id, "2026-11-25");
      expect(job.block.school).toBe(style.school);
      expect(job.moves?.map((m) => m.move)).toEqual(style.moves.map((m) => m.move));
      expect(deriveShape(job).ok).toBe(true);
    }
  });
});
