import { edgeOf, type Ring } from "../pattern";
import { said } from "../testing/said";
import { pathFlatten } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { edgeLength, lastLine, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

describe("a flounce", () => {
  const bell = made(...STRAIGHT, ["flounce", { start: "700 mm" }]);

  test("its inner edge is the sewn leg, its depth runs to the set length", () => {
    const [leg, ring] = seamLengths(bell, "flounce");
    expect(Math.abs(leg - ring)).toBeLessThan(0.01);
    expect(lastLine(bell).numbers.depth?.mm).toBe(1060 - 700);
    expect(lastLine(bell).numbers.radius?.mm).toBeCloseTo(leg / (2 * Math.PI), 6);
    expect(bell.readings.lowestPoint).toBeCloseTo(1060, 6);
    // A full circle: the hem is longer than the seam by 2 pi x depth.
    expect(bell.readings.hemGirth - leg).toBeCloseTo(2 * Math.PI * 360, 0);
  });

  test("side and inseam are cut at equal lengths and the leg's new edges run on", () => {
    expect(edgeLength(panelOf(bell, "front"), "side")).toBeCloseTo(edgeLength(panelOf(bell, "back"), "side"), 6);
    expect(badPattern(bell.panels, bell.joins, 3)).toEqual([]);
  });

  test("a half circle is one part with twice the radius; points close evenly and reach the full depth", () => {
    const half = made(...STRAIGHT, ["flounce", { share: 0.5, points: 7, valley: "90 mm" }]);
    const ring = panelOf(half, "flounce");
    expect(lastLine(half).numbers.radius?.mm).toBeCloseTo(480 / Math.PI, 0);
    const hem = pathFlatten(edgeOf(ring, "hem").path).map(([x, y]) => Math.hypot(x, y));
    const r = ring?.worn?.ring as Ring;
    expect(Math.max(...hem)).toBeCloseTo(r.radius + r.depth, 3);
    expect(Math.min(...hem)).toBeCloseTo(r.radius + r.depth - 90, 1);
    expect(edgeLength(ring, "start")).toBeCloseTo(edgeLength(ring, "end"), 9);
  });

  test("gathered: a strip as long as its ratio asks", () => {
    const strip = made(...STRAIGHT, ["flounce", { kind: "gathered", fullness: 2.5 }]);
    const [leg, top] = seamLengths(strip, "flounce");
    expect(top / leg).toBeCloseTo(2.5, 9);
  });

  test("too many degrees for one part, or a start below the hem, are refused with what works", () => {
    expect(lastLine(made(...STRAIGHT, ["flounce", { share: 0.8, parts: 1 }])).passed).toSay(/at least 2 parts/);
    expect(lastLine(made(...STRAIGHT, ["flounce", { start: "1040 mm" }])).passed).toSay(/starts between/);
  });

  test("parts share the seam as front and back do, and every join of them is as deep as the flounce", () => {
    const four = made(...STRAIGHT, ["flounce", { start: "700 mm", parts: 4 }]);
    const rings = four.panels.filter((p) => p.worn?.ring);
    expect(rings).toHaveLength(4);
    const tops = rings.map((p) => edgeLength(p, "top"));
    expect(tops.reduce((sum, l) => sum + l, 0)).toBeCloseTo(seamLengths(four, "flounce")[0], 2);
    for (let i = 1; i <= 4; i++) {
      const [a, b] = seamLengths(four, `flounce-join-${i}`);
      expect([a, b]).toEqual([expect.closeTo(360, 6), expect.closeTo(360, 6)]);
    }
  });

  test("a deeper one hangs lower, one of its own depth wherever the length is", () => {
    const own = made(...STRAIGHT, ["flounce", { start: "700 mm", depth: "200 mm" }]);
    expect(own.readings.lowestPoint).toBeCloseTo(900, 6);
    expect(lastLine(made(...STRAIGHT, ["flounce", { depth: "20 mm" }])).passed).toSay(/between 4 and 120 cm deep/);
  });

  test("valleys as deep as the flounce would cut into its seam", () => {
    const deep = made(...STRAIGHT, ["flounce", { start: "700 mm", points: 5, valley: "300 mm" }]);
    expect(lastLine(deep).passed).toSay(/cut into the flounce's seam/);
  });

  test("its sentence names the share, the parts and the points", () => {
    const says = (params: Record<string, unknown>): string =>
      said(lastLine(made(...STRAIGHT, ["flounce", params])).sentence);
    expect(says({})).toMatch(/a full circle in 2 parts/);
    expect(says({ share: 0.5 })).toMatch(/half a circle from/);
    expect(says({ share: 0.75 })).toMatch(/0\.75 of a circle in 2 parts/);
    expect(says({ points: 9 })).toMatch(/9 points/);
    expect(says({ kind: "gathered" })).toMatch(/gather a strip/);
  });
});
