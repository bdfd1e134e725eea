import { panelWidthAt } from "../pattern";
import { said } from "../testing/said";
import { deriveShape } from "../derive/shape";
import { edgeLength, jobWith, made } from "../testing/worksheet";

const plain = made();

describe("move the waist line", () => {
  test("lowered, the panels are cut again further down: hip and hem stay, the edge is as wide as they are there", () => {
    const low = made(["waist-level", { by: "-40 mm" }]);
    expect(low.plan.levels).toMatchObject({ waist: 40, hip: 210, hem: 1060 });
    expect(edgeLength(low.front, "side")).toBeLessThan(edgeLength(plain.front, "side") - 35);
    // The outline below is the one that was there: 60 lower down it is as wide as before.
    for (const id of ["front", "back"] as const)
      expect(Math.abs(panelWidthAt(low[id], 130) - panelWidthAt(plain[id], 130))).toBeLessThan(2.5);
    expect(low.readings.hipGirth).toBeCloseTo(plain.readings.hipGirth, 0);
    expect(low.worksheet[0]?.numbers.waist?.mm).toBeCloseTo(low.readings.waistGirth, 0);
  });

  test("every step lower is wider, evenly, from nothing on", () => {
    const girths = [0, 5, 10, 20, 30, 60, 90].map(
      (down) => made(["waist-level", { by: `${-down} mm` }]).readings.waistGirth,
    );
    expect(girths[0]).toBeCloseTo(760, 1);
    girths.slice(1).forEach((girth, i) => expect(girth).toBeGreaterThan(girths[i] as number));
    // From the waist 760 to the hip 210 lower; no jump at the first millimetres.
    expect((girths[1] as number) - 760).toBeLessThan(20);
  });

  test("darts keep their tips: lowered they are shorter and narrower, and gone where their tip is passed", () => {
    const darts = (by: number) => made(["waist-level", { by: `${by} mm` }]).plan.front.darts;
    expect(darts(-60).length).toBe(65); // 125 - 60
    expect(darts(-60).intake).toBeCloseTo(25 * (65 / 125), -1);
    expect(darts(-140).count).toBe(0);
  });

  test("raised, the girth stays and the darts still end where they ended", () => {
    const high = made(["waist-level", { by: "50 mm" }]);
    expect(high.plan.levels).toMatchObject({ waist: -50, hip: 210, hem: 1060 });
    expect(high.readings.waistGirth).toBeCloseTo(760, 1);
    expect(edgeLength(high.front, "side") - edgeLength(plain.front, "side")).toBeGreaterThan(45);
    expect(said(high.worksheet[0]?.sentence)).toMatch(/^Raise/);
  });

  test("lowered far, darts are shortened to stay clear of the hip line", () => {
    const low = made(["waist-level", { by: "-90 mm" }]);
    for (const panel of [low.front, low.back])
      for (const dart of panel.lines.filter((l) => l.kind === "dart"))
        expect(Math.max(...dart.points.map((p) => p[1]))).toBeLessThan(210 - 20);
  });

  test("no lower than 40 above the hip line, no higher than 200: told with the nearest that works", () => {
    for (const [by, works] of [
      ["-200 mm", { least: -170 }], // waist 0 - hip line 210 + 40
      ["260 mm", { most: 200 }],
    ] as const) {
      const refused = deriveShape(jobWith([["waist-level", { by }]]));
      expect(refused).toMatchObject({ ok: false, errors: [{ path: "moves.0.params.by", ...works }] });
    }
  });
});
