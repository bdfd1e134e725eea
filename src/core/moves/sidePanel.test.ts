import { edgeOf } from "../pattern";
import { pathEnd, pathFlatten, pointDistance } from "../geometry";
import { edgeLength, lastLine, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

const plain = made(...STRAIGHT);

describe("a side panel", () => {
  const sides = made(...STRAIGHT, ["side-panel", { fullness: 2.5, above: "80 mm" }]);
  const panel = panelOf(sides, "side-panel");

  test("its top is the ratio times the seam, its plain edges equal, its hem level", () => {
    for (const half of ["front", "back"]) {
      const [seam, top] = seamLengths(sides, `side-panel-top-${half}`);
      expect(top / seam).toBeCloseTo(2.5, 6);
      const [leg, edge] = seamLengths(sides, `side-panel-plain-${half}`);
      expect(Math.abs(leg - edge)).toBeLessThan(0.01);
    }
    const hem = pathFlatten(edgeOf(panel, "hem").path).map((p) => p[1]);
    expect(Math.max(...hem) - Math.min(...hem)).toBeLessThan(1);
    expect(sides.plan.levels.hem - (hem[0] ?? 0)).toBeLessThan(1);
  });

  test("starts where asked on both sides, and the curve is what it replaces", () => {
    const hip = plain.front.landmarks.hipSide ?? [0, 0];
    const start = pathEnd(edgeOf(panelOf(sides, "front"), "side").path);
    expect(pointDistance(start, hip)).toBeCloseTo(80, 0);
    expect(edgeLength(panelOf(sides, "front"), "side")).toBeCloseTo(edgeLength(panelOf(sides, "back"), "side"), 6);
    expect(sides.readings.waistGirth).toBeCloseTo(760, 3);
  });

  test("refuses a panel that leaves nothing to replace or starts at the waist", () => {
    expect(lastLine(made(...STRAIGHT, ["side-panel", { reach: "300 mm" }])).passed).toSay(/nearer to the crease/);
    expect(lastLine(made(...STRAIGHT, ["side-panel", { above: "400 mm" }])).passed).toSay(/at least 2\.0 cm below/);
  });

  test("gathered instead of pleated, the seam says so and nothing else changes", () => {
    const gathered = made(...STRAIGHT, ["side-panel", { fullness: 2.5, above: "80 mm", how: "gathered" }]);
    const how = (shape: typeof sides): string | undefined =>
      shape.joins.find((j) => j.id === "side-panel-top-front")?.how;
    expect([how(sides), how(gathered)]).toEqual(["pleated", "gathered"]);
    expect(gathered.readings.hemGirth).toBeCloseTo(sides.readings.hemGirth, 6);
  });

  test("at a fullness of one the panel is what was cut away: the leg keeps its width", () => {
    const one = made(...STRAIGHT, ["side-panel", { fullness: 1 }]);
    // Flat and straight below, where the leg was curved: a little wider than the leg, never narrower.
    expect(one.readings.hemGirth).toBeGreaterThan(480);
    expect(one.readings.hemGirth).toBeLessThan(480 * 1.5);
  });

  test("further from the crease less is replaced", () => {
    const at = (reach: string): number => made(...STRAIGHT, ["side-panel", { reach }]).readings.hemWidthFront;
    expect(at("30 mm") - at("0 mm")).toBeCloseTo(30, 3);
  });

  test("the curve may run out lower; below the hem or through a dart it is passed over", () => {
    expect(lastLine(made(...STRAIGHT, ["side-panel", { drop: "300 mm" }])).passed).toBeNull();
    expect(lastLine(made(...STRAIGHT, ["side-panel", { drop: "20 mm" }])).passed).toSay(/6 to 50 cm below/);
    const short = made(["shape-leg"], ["set-length", { length: "shorts" }], ["side-panel", { drop: "300 mm" }]);
    expect(lastLine(short).passed).toSay(/run out below the hem/);
  });
});
