import { panelWidthAt, edgeOf, landmarkOf } from "../pattern";
import { pathAt, pathCrossings, pathLength } from "../geometry";
import type { Job } from "../files";
import { badPattern } from "../testing/badOutline";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { said } from "../testing/said";

const draft = (
  rules: Job["block"]["rules"],
  more: Partial<Job> = {},
  school: Job["block"]["school"] = "proportional",
) => shapeOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, block: { school, rules }, ...more }));

/** From the centre line, carried down straight from the hip, to the side. */
function fromSlant(shape: ReturnType<typeof draft>, y: number): number {
  const { centreAtCrotch, centreAtWaist } = shape.plan.back;
  const centre =
    centreAtCrotch + ((centreAtWaist - centreAtCrotch) * (shape.plan.levels.crotch - y)) / shape.plan.levels.crotch;
  return (pathCrossings(edgeOf(shape.back, "side").path, y)[0] as number) - centre;
}

describe("the hip inch at the hip line only", () => {
  test("is gone at the crotch line, measured from the slanted centre, whatever the leg does below", () => {
    for (const style of ["straight", "flare", "jogger"]) {
      const shape = draft(
        { hipInch: "hipOnly", ease: { front: 0, back: "25 mm" } },
        { style: { id: style, params: {} } },
      );
      const { hip, crotch } = shape.plan.levels;
      expect([style, fromSlant(shape, hip)]).toEqual([style, expect.closeTo(260 + 25, 1)]);
      expect([style, fromSlant(shape, crotch)]).toEqual([style, expect.closeTo(260, 1)]);
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
  });

  test("left to itself it runs out at the knee, and throughout it goes down to the hem", () => {
    const usual = draft({});
    expect(fromSlant(usual, usual.plan.levels.crotch)).toBeGreaterThan(275);
    const through = draft({ hipInch: "throughout" });
    const hem = (shape: typeof usual) => panelWidthAt(shape.back, 1000) - panelWidthAt(shape.front, 1000);
    expect(hem(through) - hem(usual)).toBeCloseTo(25, 1);
    const steps = draft({ hipInch: "hipOnly" }).block.steps.map((s) => said(s.sentence));
    expect(steps.join()).toMatch(/On the crotch line it is 260 mm/);
  });
});

describe("a dart that is stated", () => {
  test("is drawn where the surplus would give none", () => {
    const body = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist: 1010 } };
    const shape = (rules: Job["block"]["rules"]) =>
      shapeOf(palazzoJob(body, { style: { id: "straight", params: {} }, block: { school: "proportional", rules } }));
    const darts = (s: ReturnType<typeof draft>) => s.front.edges.filter((e) => e.role === "dart").length;
    expect(darts(shape({}))).toBe(0);
    const stated = shape({ waist: { frontIntake: "25 mm" } });
    expect(darts(stated)).toBe(1);
    expect(stated.block.numbers.frontDartIntake?.mm).toBeCloseTo(25, 6);
    // The sewn waist is the body's all the same: the side gives what the dart takes.
    expect(stated.readings.waistGirth).toBeCloseTo(1010, 1);
    expect(darts(shape({ waist: { frontIntake: 0 } }))).toBe(0);
  });
});

describe("a lower back crotch line", () => {
  test("as depth: what reconciling took back is told", () => {
    const { block } = draft({ back: { drop: "25 mm" } });
    const { backCrotchDrop, reconcilingTook } = block.numbers;
    expect((backCrotchDrop?.mm ?? 0) + (reconcilingTook?.mm ?? 0)).toBeCloseTo(25, 6);
    expect(block.steps.map((s) => said(s.sentence)).join()).toMatch(/takes .* back of what was asked/);
  });

  test("as rise: the centre back is longer by it", () => {
    const plain = draft({});
    const raised = draft({ back: { drop: "25 mm", lower: "rise" } });
    const top = (s: ReturnType<typeof draft>) => landmarkOf(s.back, "waistCentre")[1];
    expect(top(plain) - top(raised)).toBeCloseTo(25, 1);
    expect(raised.readings.crotchSeam - plain.readings.crotchSeam).toBeGreaterThan(22);
    expect(raised.block.numbers.riseForLower?.mm).toBe(25);
  });
});

test("a transferred back is as wide at the hip as the front: the side goes out by what the centre came in", () => {
  const shape = draft({ back: { how: "transferred" }, hipInch: "none" });
  const { hip } = shape.plan.levels;
  const front = 260;
  expect(fromSlant(shape, hip)).toBeCloseTo(front, 1);
  const { numbers } = shape.block;
  const side = pathCrossings(edgeOf(shape.back, "side").path, hip)[0] as number;
  const frontSide = Math.abs(pathCrossings(edgeOf(shape.front, "side").path, hip)[0] as number);
  expect(side - frontSide).toBeCloseTo(numbers.sideAtHip?.mm ?? NaN, 1);
});

test("a transferred back set out 2 in further than its centre comes in is 2 in wider at the hip", () => {
  const back = (sideAdd: string) => {
    const shape = draft({ back: { how: "transferred", inAtWaist: "2 in", sideAdd }, hipInch: "none" });
    return fromSlant(shape, shape.plan.levels.hip);
  };
  expect(back("4 in") - back("2 in")).toBeCloseTo(50.8, 1);
});

test("the front shaped at its side, the back at its centre: both sides run alike, what is left over is told", () => {
  const shape = draft({ waist: { shaping: "frontSide" } });
  const frontWaist = shape.front.edges
    .filter((e) => e.role === "waist")
    .reduce((sum, e) => sum + pathLength(e.path), 0);
  expect(frontWaist).toBeCloseTo(190, 1);
  const { sideTakes, centreBackIntake, waistLeft } = shape.block.numbers;
  expect((sideTakes?.mm ?? 0) > 0 && (centreBackIntake?.mm ?? 0) > 0).toBe(true);
  // Front and back sides lean alike: from the waist to the hip both come in by the same.
  const leanOf = (panel: typeof shape.front): number => {
    const side = edgeOf(panel, "side").path;
    return Math.abs(landmarkOf(panel, "hipSide")[0]) - Math.abs(pathAt(side, 0).point[0]);
  };
  expect(Math.abs(leanOf(shape.front) - leanOf(shape.back))).toBeLessThan(4);
  expect(shape.readings.waistGirth).toBeCloseTo(760 + (waistLeft?.mm ?? 0), 0);
  expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
});
