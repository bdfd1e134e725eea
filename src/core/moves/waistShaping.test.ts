import { deriveShape } from "../derive/shape";
import { netWaist } from "../drafting";
import { edgeLength, jobWith, made } from "../testing/worksheet";

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

  test("wide darts become two, and what they do not take the side takes", () => {
    const two = made(["waist-shaping", { to: "darts", backIntake: "56 mm" }]);
    expect(two.back.edges.filter((e) => e.role === "dart")).toHaveLength(2);
    const mouths = two.back.edges.filter((e) => e.role === "dart").map((e) => edgeLength(two.back, e.id));
    // Measured along the slanted waist, a mouth is a little wider than its intake.
    for (const mouth of mouths) expect(Math.abs(mouth - 28)).toBeLessThan(1);
    expect(two.readings.waistGirth).toBeCloseTo(760, 1);
  });

  test("under 3 mm there is no dart; beyond what two darts can hold it is refused with the most", () => {
    const none = made(["waist-shaping", { to: "darts", frontIntake: "2 mm" }]);
    expect(none.front.edges.some((e) => e.role === "dart")).toBe(false);
    const refused = deriveShape(jobWith([["waist-shaping", { to: "darts", frontIntake: "200 mm" }]]));
    if (refused.ok) throw new Error("it should be refused");
    expect(refused.errors[0]).toMatchObject({ path: "moves.0.params.frontIntake" });
    const most = refused.errors[0]?.most ?? 0;
    expect(deriveShape(jobWith([["waist-shaping", { to: "darts", frontIntake: `${most} mm` }]])).ok).toBe(true);
  });

  test("ease left alone is what the darts held: 2 legs x (front + back darts)", () => {
    const before = made();
    const held =
      before.plan.front.darts.intake * before.plan.front.darts.count +
      before.plan.back.darts.intake * before.plan.back.darts.count;
    const eased = made(["waist-shaping", { to: "ease" }]);
    expect(eased.readings.waistGirth).toBeCloseTo(760 + 2 * held, 0);
    expect(eased.worksheet[0]?.numbers.ease?.mm).toBeCloseTo(2 * held, 6);
  });

  test("sides stay equal however the waist is shaped", () => {
    for (const to of ["darts", "side", "ease", "hip-wide"]) {
      const shape = made(["waist-shaping", { to }]);
      expect(edgeLength(shape.front, "side")).toBeCloseTo(edgeLength(shape.back, "side"), 2);
    }
  });
});
