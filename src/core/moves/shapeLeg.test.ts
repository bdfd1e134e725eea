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
    expect(odd.worksheet[0]?.passed).toMatch(/can turn between/);
    expect(odd.plan.levels.hem).toBe(900);
  });
});
