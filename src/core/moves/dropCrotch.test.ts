import { deriveShape } from "../derive";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { edgeLength, made, movesOf } from "../testing/worksheet";

const plain = made();

describe("drop the crotch", () => {
  test("drop-crotch lowers the crotch line and shortens both inseams alike", () => {
    const low = made(["drop-crotch", { by: "30 mm" }]);
    expect(low.plan.levels.crotch).toBe(310);
    expect(edgeLength(low.front, "inseam")).toBeLessThan(edgeLength(plain.front, "inseam") - 25);
    expect(edgeLength(low.front, "inseam") - edgeLength(low.back, "inseam")).toBeCloseTo(3, 2);
  });

  test("numbers beyond what can be drawn are refused with the largest that works", () => {
    const refused = deriveShape(palazzoJob(HAND_BODY, { moves: movesOf(["drop-crotch", { by: "400 mm" }]) }));
    expect(refused).toMatchObject({ ok: false, status: 422, errors: [{ path: "moves.0.params.by", largest: 235 }] });
  });
});
