import { said } from "../testing/said";
import { deriveShape } from "../derive/shape";
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
    expect(refused).toMatchObject({ ok: false, status: 422, errors: [{ path: "moves.0.params.by", most: 235 }] });
  });

  test("raised, the inseams grow by it and the sentence says so", () => {
    const high = made(["drop-crotch", { by: "-20 mm" }]);
    expect(high.plan.levels.crotch).toBe(260);
    expect(said(high.worksheet[0]?.sentence)).toMatch(/^Raise/);
    expect(high.worksheet[0]?.numbers.amount?.mm).toBe(20);
    expect(edgeLength(high.front, "inseam")).toBeGreaterThan(edgeLength(plain.front, "inseam") + 15);
  });

  test("the crotch seam gets longer by about twice the drop, the side seam does not change", () => {
    const low = made(["drop-crotch", { by: "20 mm" }]);
    expect(low.readings.crotchSeam - plain.readings.crotchSeam).toBeGreaterThan(25);
    expect(low.readings.crotchSeam - plain.readings.crotchSeam).toBeLessThan(45);
    expect(low.readings.outseam).toBeCloseTo(plain.readings.outseam, 0);
  });

  test("it stays 15 below the hip line, and says how far it can go", () => {
    const refused = deriveShape(palazzoJob(HAND_BODY, { moves: movesOf(["drop-crotch", { by: "-80 mm" }]) }));
    expect(refused).toMatchObject({ ok: false, errors: [{ least: -55 }] }); // hip line 210 + 15 - crotch 280
    if (!refused.ok) expect(said(refused.errors[0]?.says)).toMatch(/can move -55 to/);
  });
});
