import { badPattern } from "../testing/badOutline";
import { edgeLength, lastLine, made, panelOf, seamLengths, STRAIGHT, type Line } from "../testing/worksheet";

const plain = made(...STRAIGHT);

describe("a godet", () => {
  test("is as long as the seam is opened, as wide at the hem as asked, and meets both sides", () => {
    const flared = made(...STRAIGHT, ["godet", { at: "side", length: "300 mm", spread: "240 mm" }]);
    const godet = panelOf(flared, "godet-side");
    expect(edgeLength(godet, "hem")).toBeCloseTo(240, 2);
    for (const id of ["godet-side-1", "godet-side-2"])
      expect(seamLengths(flared, id)).toEqual([expect.closeTo(300, 6), expect.closeTo(300, 6)]);
    expect(flared.readings.hemGirth).toBeCloseTo(480 + 240, 1);
    expect(flared.readings.outseam).toBeCloseTo(plain.readings.outseam - 300, 6);
  });

  test("goes into the inseam and into a split seam as well", () => {
    for (const list of [[["godet", { at: "inseam" }]], [["split"], ["godet", { at: "split" }]]] as Line[][]) {
      const shape = made(...STRAIGHT, ...list);
      expect(lastLine(shape).passed).toBeNull();
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
    expect(lastLine(made(...STRAIGHT, ["godet", { at: "split" }])).passed).toMatch(/no split seam/);
    expect(lastLine(made(...STRAIGHT, ["godet", { length: "2000 mm" }])).passed).toMatch(/opened between/);
  });
});
