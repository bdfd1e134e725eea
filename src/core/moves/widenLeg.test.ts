import { landmarkOf } from "../drafting";
import { badPair } from "../testing/badOutline";
import { made } from "../testing/worksheet";

describe("widen the leg", () => {
  test("widen-leg: out at the hip, squared down, a third of the hem's gain at the inseam", () => {
    const wide = made(["widen-leg", { side: "25 mm" }]);
    expect(Math.abs(landmarkOf(wide.front, "hipSide")[0])).toBeCloseTo(156 + 25, 6);
    expect(landmarkOf(wide.front, "hemSide")[0]).toBeCloseTo(landmarkOf(wide.front, "hipSide")[0], 6);
    const gain = 156 + 25 - (480 - 25) / 4; // the side was 113.75 from the crease
    expect(Math.abs(landmarkOf(wide.front, "hemInseam")[0])).toBeCloseTo(113.75 + gain / 3, 6);
    expect(badPair(wide.front, wide.back, 3)).toEqual([]);
  });
});
