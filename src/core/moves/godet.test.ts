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
    expect(lastLine(made(...STRAIGHT, ["godet", { at: "split" }])).passed).toSay(/no split seam/);
    expect(lastLine(made(...STRAIGHT, ["godet", { length: "2000 mm" }])).passed).toSay(/opened between/);
  });

  test("one part is half a circle at most, and no narrower than 2 cm", () => {
    const spread = (mm: number) => lastLine(made(...STRAIGHT, ["godet", { length: "200 mm", spread: `${mm} mm` }]));
    expect(spread(600).passed).toBeNull();
    expect(spread(640).passed).toSay(/2\.0 to 62\.8 cm wide/); // pi x 200
    expect(spread(10).passed).toSay(/2\.0 to 62\.8 cm wide/);
  });

  test("its angle is its width over its length", () => {
    const { angle } = lastLine(made(...STRAIGHT, ["godet", { length: "300 mm", spread: "300 mm" }])).figures;
    expect(angle?.kind === "angle" ? angle.degrees : NaN).toBeCloseTo(180 / Math.PI, 6);
  });

  test("left and right each have their own where one leg was split before", () => {
    const legs = made(...STRAIGHT, ["split", { leg: "left" }], ["godet", { at: "split" }]);
    const godets = legs.panels.filter((p) => p.id.startsWith("godet-"));
    expect(godets.map((p) => p.half)).toEqual(["left"]);
    expect(lastLine(made(...STRAIGHT, ["split", { leg: "left" }], ["godet", { at: "side" }])).passed).toSay(
      /Let the godet in before that split/,
    );
  });
});
