import { landmarkOf, panelById } from "../pattern";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { said } from "../testing/said";
import { badPair } from "../testing/badOutline";
import { legGirth, made } from "../testing/worksheet";

describe("shape the leg", () => {
  test("a flare is as wide as asked at its start and along its trued hem", () => {
    const flared = made(["shape-leg", { knee: "460 mm", out: "60 mm" }], ["set-length", {}]);
    expect(legGirth(flared, "right", flared.plan.levels.knee)).toBeCloseTo(460, 0);
    expect(Math.abs(flared.readings.hemGirth - 700)).toBeLessThan(1); // 460 + 4 x 60
    expect(badPair(flared.front, flared.back, 3)).toEqual([]);
  });

  test("it may start anywhere below the crotch: narrow at the calf, and out from there", () => {
    const low = made(["shape-leg", { start: "720 mm", knee: "400 mm", hem: "600 mm" }], ["set-length", {}]);
    expect(legGirth(low, "right", 720)).toBeCloseTo(400, 0);
    expect(Math.abs(low.readings.hemGirth - 600)).toBeLessThan(1);
    expect(legGirth(low, "right", 575)).toBeGreaterThan(400);
  });

  test("a start above the crotch makes no sense: it is passed over with the reason, and the rest is made", () => {
    const odd = made(["shape-leg", { start: "hip", out: "60 mm" }], ["set-length", { length: "900 mm" }]);
    expect(odd.worksheet[0]?.passed).toSay(/can turn between/);
    expect(odd.plan.levels.hem).toBe(900);
  });

  test("the back is wider by what is asked, at knee and hem alike, the whole girth staying", () => {
    for (const extra of [0, 25, 40]) {
      const leg = made(["shape-leg", { knee: "480 mm", hem: "480 mm", backExtra: `${extra} mm` }], ["set-length"]);
      expect(leg.readings.hemWidthBack - leg.readings.hemWidthFront).toBeCloseTo(extra, 6);
      expect(leg.readings.hemGirth).toBeCloseTo(480, 6);
    }
  });

  test("width goes across the crease from the inseam's half to the side's, on front and back, the girth staying", () => {
    const even = made(["shape-leg", { hem: "480 mm" }], ["set-length"]);
    const moved = made(["shape-leg", { hem: "480 mm", hemToSide: "12 mm" }], ["set-length"]);
    for (const id of ["front", "back"] as const) {
      const side = (of: typeof even): number => Math.abs(landmarkOf(of[id], "hemSide")[0]);
      const inseam = (of: typeof even): number => Math.abs(landmarkOf(of[id], "hemInseam")[0]);
      expect([side(moved) - side(even), inseam(even) - inseam(moved)]).toEqual([
        expect.closeTo(12, 6),
        expect.closeTo(12, 6),
      ]);
    }
    expect(moved.readings.hemGirth).toBeCloseTo(480, 6);
    // An eighth of the leg is the most: beyond it the crease would leave the leg.
    expect(made(["shape-leg", { hem: "480 mm", hemToSide: "61 mm" }]).worksheet[0]?.passed).toSay(
      /an eighth of the leg, 6\.0 cm/,
    );
  });

  test("a hem beats what the edges flare, as it was stated last or not", () => {
    const both = made(["shape-leg", { knee: "400 mm", hem: "520 mm", out: "60 mm" }], ["set-length"]);
    expect(both.readings.hemGirth).toBeCloseTo(520, 0);
    expect(both.worksheet[0]?.numbers.out?.mm).toBeCloseTo(30, 6); // (520 - 400) / 4
  });

  test("its sentence says what the leg does: falls straight, flares or tapers", () => {
    const says = (params: Record<string, unknown>): string => said(made(["shape-leg", params]).worksheet[0]?.sentence);
    expect(says({ knee: "480 mm", hem: "480 mm" })).toMatch(/fall straight/);
    expect(says({ knee: "420 mm", hem: "600 mm" })).toMatch(/flare it from there/);
    expect(says({ knee: "420 mm", hem: "340 mm" })).toMatch(/taper it/);
    expect(says({ knee: "420 mm", hem: "340 mm", start: "700 mm" })).toMatch(/700 mm below the waist/);
  });

  test("a flare whose edges go out unlike says so, and each as it is drawn", () => {
    const told = (params: Record<string, unknown>): string =>
      said(made(["shape-leg", { knee: "440 mm", hem: "640 mm", ...params }]).worksheet[0]?.sentence);
    expect(told({})).toMatch(/50 mm on each of the four edges/);
    expect(told({ hemToSide: "10 mm" })).toMatch(/60 mm on each side and 40 mm on each inseam/);
    expect(told({ kneeToSide: "10 mm" })).toMatch(/40 mm on each side and 60 mm on each inseam/);
  });

  test("a width that is not drawn is passed over for its true reason", () => {
    const told = (level: string, ends: string): string =>
      said(
        made(["shape-leg", { knee: "508 mm", start: level, hem: "640 mm" }], ["set-length", { length: ends }])
          .worksheet[0]?.sentence,
      );
    expect(told("600 mm", "560 mm")).toMatch(/The leg ends above 600 mm below the waist: 508 mm there is passed over/);
    expect(told("600 mm", "640 mm")).toMatch(/Too little of the leg is left below 600 mm/);
    const twice = made(
      ["shape-leg", { knee: "508 mm", hem: "640 mm" }],
      ["shape-leg", { knee: "480 mm", hem: "640 mm" }],
    );
    expect(said(twice.worksheet[0]?.sentence)).toMatch(/Another line leads the leg at the knee line: 508 mm there/);
    expect(said(twice.worksheet[1]?.sentence)).toMatch(/takes the place of 508 mm/);
  });

  test.each([
    ["shared", "palazzo", { hemSpread: "0 mm" }],
    ["down", "culotte", {}],
  ] as const)("a crease set off stays so where a leg falls straight: a %s block, %s", (fall, id, params) => {
    const shape = shapeOf(
      palazzoJob(HAND_BODY, {
        block: { school: "proportional", rules: { leg: { fall }, hang: { from: "offset", by: "20 mm" } } },
        style: { id, params },
      }),
    );
    const front = panelById(shape.panels, "front");
    const middle = (a: string, b: string): number => (landmarkOf(front, a)[0] + landmarkOf(front, b)[0]) / 2;
    const crease = landmarkOf(front, "creaseHem")[0];
    expect(Math.abs(middle("hipSide", "crotchPoint") - crease)).toBeCloseTo(20, 6);
    expect(Math.abs(middle("hemSide", "hemInseam") - crease)).toBeCloseTo(20, 6);
    // Nothing leans: side and inseam run alike from hip and crotch point to the hem.
    const lean = (from: string, to: string): number => Math.abs(landmarkOf(front, from)[0] - landmarkOf(front, to)[0]);
    expect(lean("hipSide", "hemSide")).toBeCloseTo(lean("crotchPoint", "hemInseam"), 6);
  });

  test("what no leg can be cut to is passed over with the range", () => {
    for (const [params, words] of [
      [{ hem: "60 mm" }, /Choose 12 to 250 cm/],
      [{ knee: "3000 mm" }, /Choose 12 to 250 cm/],
      [{ start: "1400 mm" }, /can turn between 34\.0 cm/],
    ] as const)
      expect(made(["shape-leg", params]).worksheet[0]?.passed).toSay(words);
  });
});
