import { landmarkOf } from "../pattern";
import type { Job } from "../files";
import { badPair } from "../testing/badOutline";
import { derivedOf } from "../testing/jobs";
import { ownBlockJob, ownBlockOf } from "../testing/ownBlock";
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

  test("the inseam gains a share, an amount, or what a hem asks", () => {
    const inner = (params: Record<string, unknown>): number =>
      113.75 - Math.abs(landmarkOf(made(["widen-leg", { side: "25 mm", ...params }]).front, "hemInseam")[0]);
    const gain = 156 + 25 - 113.75;
    expect(inner({ inseamShare: 0 })).toBeCloseTo(0, 6);
    expect(inner({ inseamShare: 1 })).toBeCloseTo(0 - gain, 6);
    expect(inner({ inseam: "10 mm" })).toBeCloseTo(-10, 6);
    expect(made(["widen-leg", { hemGirth: "720 mm" }], ["set-length"]).readings.hemGirth).toBeCloseTo(720, 1);
  });

  test("a stated share beats the style's hem; a stated hem beats the share", () => {
    const both = made(["widen-leg", { hemGirth: "700 mm", inseamShare: 0 }], ["set-length"]);
    expect(both.readings.hemGirth).toBeCloseTo(700, 1);
  });

  test("taken in, the side moves in; too far is passed over", () => {
    const slim = made(["widen-leg", { side: "-10 mm" }]);
    expect(Math.abs(landmarkOf(slim.front, "hipSide")[0])).toBeCloseTo(146, 6);
    expect(made(["widen-leg", { side: "300 mm" }]).worksheet[0]?.passed).toSay(/−6 to 20 cm/);
  });

  test("a block brought in keeps its hem square to the grain, at the level where each panel had it", () => {
    // The back's hip is marked 7.5 mm higher than it lies: laid hip line on hip line, its hem comes out lower.
    const raised = ownBlockOf(({ hipSide: [x, y], ...marks }, which) => ({
      ...marks,
      hipSide: [x, which === "back" ? y - 7.5 : y],
    }));
    const hems = (moves: Job["moves"]): readonly (readonly number[])[] => {
      const made = derivedOf(ownBlockJob(raised, moves));
      return made.panels.map((p) => [landmarkOf(p, "hemSide")[1], landmarkOf(p, "hemInseam")[1]]);
    };
    const wide = [{ id: "w", move: "widen-leg", on: true, params: { side: "25 mm" } }];
    const [before, after] = [hems([]), hems(wide)];
    expect(after[1]).toEqual([expect.closeTo(1077.5, 1), expect.closeTo(1077.5, 1)]);
    after.forEach((hem, i) => expect(hem).toEqual(before[i]?.map((y) => expect.closeTo(y, 2))));
    expect(derivedOf(ownBlockJob(raised, wide)).checks.find((c) => c.id === "smooth-waist")?.status).toBe("pass");
  });
});
