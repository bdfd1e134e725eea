import { edgeLength, made } from "../testing/worksheet";

const plain = made();

describe("move the waist line", () => {
  test("waist-level moves the edge, keeps its girth, and leaves hip and hem", () => {
    const low = made(["waist-level", { by: "-40 mm" }]);
    expect(low.plan.levels).toMatchObject({ waist: 40, hip: 210, hem: 1060 });
    expect(low.readings.waistGirth).toBeCloseTo(760, 1);
    expect(edgeLength(low.front, "side")).toBeLessThan(edgeLength(plain.front, "side") - 35);
  });
});
