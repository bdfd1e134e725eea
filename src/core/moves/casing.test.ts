import { edgeOf } from "../drafting";
import { pathAt, pointDistance } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { edgeLength, HIP_WIDE, lastLine, made, panelOf, STRAIGHT } from "../testing/worksheet";
import { mirroredIn } from "./foldedWaist";

describe("a casing", () => {
  test("twice the channel and its room, folded back on to what it covers", () => {
    const cased = made(...HIP_WIDE, ["casing", { depth: "45 mm" }]);
    const front = panelOf(cased, "front");
    const [a, b] = front.lines.find((l) => l.kind === "fold")?.points as readonly [
      readonly [number, number],
      readonly [number, number],
    ];
    const side = edgeOf(front, "side").path;
    for (const down of [10, 30, 45]) {
      // 48 of the side lie beyond the fold; mirrored in it they lie on the side below.
      const beyond = pathAt(side, 48 - down).point;
      expect(pointDistance(mirroredIn(beyond, a, b), pathAt(side, 48 + down).point)).toBeLessThan(0.01);
    }
    expect(edgeLength(front, "side") - edgeLength(panelOf(made(...HIP_WIDE), "front"), "side")).toBeCloseTo(93, 6);
    expect(cased.readings.crotchSeam).toBeCloseTo(made(...HIP_WIDE).readings.crotchSeam, 6);
    expect(badPattern(cased.panels, cased.joins, 3)).toEqual([]);
  });

  test("at a tapered hem the finished girth is still what was asked", () => {
    const cuffed = made(
      ["waist-shaping", { to: "hip-wide" }],
      ["shape-leg", { knee: "480 mm", hem: "380 mm" }],
      ["set-length"],
      ["casing", { at: "hem", sits: "on", depth: "30 mm" }],
    );
    expect(cuffed.readings.hemGirth).toBeCloseTo(380, 0);
    expect(cuffed.readings.lowestPoint).toBeCloseTo(1060, 0);
  });

  test("darts in a pull-on waist, and a placket beside it, are told", () => {
    expect(lastLine(made(...STRAIGHT, ["casing"])).passed).toMatch(/darts or pleats/);
    expect(lastLine(made(...HIP_WIDE, ["split", { leg: "left" }], ["placket"], ["casing"])).passed).toMatch(/placket/);
  });
});
