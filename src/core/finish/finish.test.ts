import { panelById, type Panel } from "../pattern";
import { said } from "../testing/said";
import { pathLength } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { derive, type Derived } from "../derive";
import { deriveShape } from "../derive/shape";
import { resolveAllowances, resolveFinish, waistLevelEffect, type Finish } from ".";

const style: Finish = {
  waist: { kind: "straight-band", depth: "40 mm", sits: "above", overlap: "30 mm" },
  fastening: { kind: "zip-centre-back", length: "auto" },
  hem: { kind: "turned", depth: "auto" },
  pockets: [],
  inside: "overlocked",
};

const CARD = { measures: shapeOf(palazzoJob(HAND_BODY)).measures, unit: "cm" } as const;

describe("finish", () => {
  test("the maker's entry lies over the style's; what it leaves out stays the style's", () => {
    const { finish } = resolveFinish(style, { waist: { kind: "straight-band", depth: "2 in" } }, CARD);
    expect(finish.waist).toMatchObject({ kind: "straight-band", sits: "above", overlap: { mm: 30 } });
    expect(finish.waist && "depth" in finish.waist && finish.waist.depth.mm).toBeCloseTo(50.8, 6);
    expect(finish.undecided).toEqual([]);
  });

  test("undecided is a value: listed, never invented", () => {
    const { finish } = resolveFinish(style, { waist: "undecided", hem: "undecided", fastening: "undecided" }, CARD);
    expect(finish).toMatchObject({ waist: null, fastening: null, hem: null });
    expect(finish.undecided).toHaveLength(3);
  });

  test("a band on the waist lowers the panels by its depth, one above does not", () => {
    const sits = (where: "on" | "above") =>
      waistLevelEffect(resolveFinish(style, { waist: { kind: "straight-band", sits: where } }, CARD).finish);
    expect([sits("on"), sits("above")]).toEqual([-40, 0]);
  });

  test("a straight band is no deeper than lies on the body, unless its maker says so", () => {
    const bandOn = (waist: number, depth?: string, unit: "cm" | "in" = "cm") => {
      const { measures } = shapeOf(
        palazzoJob({ name: "Plain", unit, measures: { hip: "1200 mm", waist: `${waist} mm`, waistToHip: "200 mm" } }),
      );
      const asked = resolveFinish(
        {},
        { waist: { kind: "straight-band", ...(depth && { depth }) } },
        { measures, unit },
      );
      return asked.finish.waist && "depth" in asked.finish.waist ? asked.finish.waist.depth.mm : NaN;
    };
    // Over 40 of the 200 to its hip the body widens by a fifth of hip less waist: 60 at the most.
    expect([bandOn(900), bandOn(899), bandOn(800), bandOn(700)]).toEqual([40, 35, 30, 20]);
    expect(bandOn(700, "60 mm")).toBe(60);
    expect(bandOn(800, undefined, "in")).toBeCloseTo(25.4, 6);
  });

  test.each([
    [{ waist: { kind: "straight-band", depth: "1 mm" } }, "finish.waist.depth"],
    [{ hem: { kind: "turned", depth: "deep" } }, "finish.hem.depth"],
    [{ fastening: { kind: "zip-centre-back", length: "2 cm" } }, "finish.fastening.length"],
  ])("what cannot be sewn is refused with its place: %j", (own, path) => {
    const { errors } = resolveFinish(style, own as Finish, CARD);
    expect(errors).toEqual([{ path, says: expect.toSay(/\.$/) }]);
  });

  test("allowances: the set's own, the maker's over them, limits kept", () => {
    expect(resolveAllowances({ side: "1 in" }, "cm").set.widths).toMatchObject({ side: 25.4, inseam: 15, zip: 25 });
    expect(resolveAllowances({ side: "20 cm" }, "cm").errors[0]?.path).toBe("allowances.side");
  });
});

const partOf = (derived: Derived, id: string): Panel => panelById(derived.sewn, id);

describe("the zip", () => {
  test("left to itself it ends at the hip line or where the crotch begins to turn", () => {
    const { zip, readings, back } = shapeOf(palazzoJob(HAND_BODY));
    expect(zip?.length.mm).toBeCloseTo(Math.min(zip?.hipAlong ?? 0, zip?.smoothAlong ?? 0), 6);
    expect(readings.waistOpening).toBeCloseTo(readings.waistGirth + 2 * (zip?.length.mm ?? 0), 6);
    const crotch = back.edges.find((e) => e.id === "crotch")?.path ?? [];
    expect(zip?.length.mm).toBeLessThan(pathLength(crotch));
  });

  test("it grows when the hip would not pass otherwise", () => {
    const slim = shapeOf(
      palazzoJob({
        ...HAND_BODY,
        measures: { ...HAND_BODY.measures, waist: 620, hip: 1180, crotchDepth: 320, waistToHip: 130 },
      }),
    );
    expect(slim.readings.waistOpening).toBeGreaterThanOrEqual(1200 - 1e-6);
    expect(said(slim.zip?.length.sum)).toContain("so that the hip passes");
  });
});

test("an undecided hem leaves its edge without an allowance: that is listed, and no fault", () => {
  const derived = derivedOf(palazzoJob(HAND_BODY, { finish: { hem: "undecided" } }));
  expect(derived.hemDepth).toBeNull();
  expect(derived.undecided.map(said)).toContain("The hem is not decided.");
  expect(derived.pieces[0]?.edges.find((e) => e.role === "hem")).toMatchObject({ allowance: 0, fate: "undecided" });
  expect(derived.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
  expect(derived.checks.some((c) => c.id === "hem-turn")).toBe(false);
});

test("rules out of reach are refused with their place", () => {
  const bad = deriveShape(
    palazzoJob(HAND_BODY, {
      block: { school: "proportional", rules: { inseam: { backShorter: "9 mm" }, back: { rise: "high" } } },
    }),
  );
  expect(bad).toMatchObject({ ok: false, status: 400 });
  if (!bad.ok)
    expect(bad.errors.map((e) => e.path).sort()).toEqual(["block.rules.back.rise", "block.rules.inseam.backShorter"]);
});

describe("a shaped facing", () => {
  const faced = derivedOf(palazzoJob(HAND_BODY, { style: { id: "flare", params: {} } }));
  const piece = (id: string) => faced.pieces.find((p) => p.id === id);

  test("turns the waist: as long as the sewn waist, its darts closed, front on the fold, back open for the zip", () => {
    expect(faced.pieces.map((p) => p.id)).toEqual(["front", "back", "facing-back", "facing-front"]);
    for (const root of ["front", "back"]) {
      const seam = faced.seams.find((s) => s.id === `waist-facing-${root}`);
      expect(Math.abs((seam?.lengthA ?? 0) - (seam?.lengthB ?? NaN))).toBeLessThan(0.02);
      expect(piece(`facing-${root}`)?.panel.edges.some((e) => e.role === "dart")).toBe(false);
    }
    expect(piece("facing-front")?.cut).toMatchObject({ count: 1, onFold: true });
    expect(piece("facing-back")?.cut).toMatchObject({ count: 2, pairs: true });
    expect(faced.checks.filter((c) => c.status === "fault")).toEqual([]);
  });

  test("the fold has no allowance, every other edge has one, once", () => {
    const edges = piece("facing-front")?.edges ?? [];
    expect(edges.filter((e) => e.role === "fold").map((e) => e.allowance)).toEqual([0]);
    expect(edges.filter((e) => e.role !== "fold" && !e.isFree).every((e) => e.allowance > 0)).toBe(true);
    // Its free edge is overlocked, and needs none.
    expect(edges.filter((e) => e.isFree).map((e) => e.allowance)).toEqual([0]);
  });

  test("is as deep as chosen; a depth that reaches the hip is refused with its path", () => {
    const deep = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "flare", params: {} },
        finish: { waist: { kind: "facing", depth: "6 cm" } },
      }),
    );
    const side = partOf(deep, "facing-back").edges.find((e) => e.id === "side");
    expect(pathLength(side?.path ?? [])).toBeCloseTo(60, 6);
    const wrong = derive(palazzoJob(HAND_BODY, { finish: { waist: { kind: "facing", depth: "90 cm" } } }));
    expect(wrong).toMatchObject({ ok: false, errors: [{ path: "finish.waist.depth" }] });
  });
});

describe("a zip down the left side", () => {
  const sided = derivedOf(
    palazzoJob(HAND_BODY, { style: { id: "yoke-flare", params: {} }, finish: { fastening: { kind: "zip-side" } } }),
  );

  test("opens a yoke whose centre back lies on the fold, far enough for the hip", () => {
    expect(sided.zip?.at).toBe("side");
    expect(sided.checks.find((c) => c.id === "pull-on")?.status).toBe("pass");
    expect(sided.undecided).toEqual([]);
    expect(sided.checks.find((c) => c.id === "zip-length")).toMatchObject({
      status: "pass",
      message: expect.toSay("left side"),
    });
  });

  test("gives both side seams the zip's allowance, and the centre back none of it", () => {
    const edges = (role: string) => sided.pieces.flatMap((p) => p.edges.filter((e) => e.role === role));
    expect(new Set(edges("side").map((e) => e.allowance))).toEqual(new Set([25]));
    expect(new Set(edges("crotch").map((e) => e.allowance))).toEqual(new Set([12]));
  });

  test("one too short does not let the hip through", () => {
    const short = derivedOf(palazzoJob(HAND_BODY, { finish: { fastening: { kind: "zip-side", length: "80 mm" } } }));
    expect(short.checks.find((c) => c.id === "zip-length")?.status).toBe("fault");
  });
});

describe("an ankle cuff", () => {
  const jogger = (finish: Finish = {}, params: Record<string, unknown> = {}) =>
    derivedOf(palazzoJob(HAND_BODY, { style: { id: "jogger", params }, finish }));
  const cuffed = jogger();

  test("comes off the length, and is as deep as what was taken off", () => {
    expect(cuffed.plan.levels.hem).toBe(970 - 60);
    expect(jogger({ hem: { kind: "cuff", depth: "8 cm" } }).plan.levels.hem).toBe(970 - 80);
    const asked = jogger({}, { cuff: "45 mm" });
    expect(asked.plan.levels.hem).toBe(970 - 45);
    const ys = partOf(asked, "cuff").edges.flatMap((e) => e.path.flatMap((s) => s.points.map((p) => p[1])));
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(90, 6);
  });

  test("holds the ankle, lets the heel pass stretched, and the hem is gathered into it", () => {
    const seam = cuffed.seams.find((s) => s.id === "cuff");
    expect(seam?.how).toBe("gathered");
    expect(seam?.lengthB).toBeCloseTo(Math.max(0.92 * 240, 345 / 1.8), 6);
    expect(seam?.lengthA).toBeCloseTo(cuffed.readings.hemGirth, 6);
    expect(cuffed.checks.find((c) => c.id === "foot-entry")?.status).toBe("pass");
    expect(cuffed.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
    expect(cuffed.pieces.find((p) => p.id === "cuff")).toMatchObject({ material: "rib", cut: { count: 2 } });
  });

  test("one too narrow for the heel is caught", () => {
    const tight = jogger({ hem: { kind: "cuff", girth: "150 mm" } });
    expect(tight.checks.find((c) => c.id === "foot-entry")).toMatchObject({
      status: "fault",
      message: expect.toSay("stretched cuff"),
    });
  });
});
