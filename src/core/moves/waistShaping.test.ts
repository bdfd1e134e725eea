import { netWaist } from "../drafting";
import { made } from "../testing/worksheet";

describe("shape the waist", () => {
  test("waist-shaping: into the side, left as ease, or hip-wide", () => {
    const shaped = (params: Record<string, unknown>) => made(["waist-shaping", params]);
    const darts = (s: ReturnType<typeof made>): number => s.front.lines.filter((l) => l.kind === "dart").length;
    const side = shaped({ to: "side" });
    expect([darts(side), Math.round(side.readings.waistGirth)]).toEqual([0, 760]);
    const eased = shaped({ to: "ease", ease: "40 mm" });
    expect(eased.readings.waistGirth).toBeCloseTo(800, 1);
    expect(shaped({ to: "hip-wide" }).readings.waistGirth).toBeGreaterThan(1080);
    const wider = shaped({ to: "darts", frontIntake: "32 mm" });
    expect(wider.worksheet[0]?.numbers.frontIntake?.mm).toBe(32);
    expect(2 * (netWaist(wider.front.edges) + netWaist(wider.back.edges))).toBeCloseTo(760, 1);
  });
});
