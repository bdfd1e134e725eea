import { RUNS } from "../testing/runs";
import { landmarkOf, roleLength } from "../pattern";
import { said } from "../testing/said";
import fc from "fast-check";
import { netWaist } from ".";
import { dartBudget } from "./darts";
import { kneeSlope } from "./legSeams";
import { deriveShape } from "../derive/shape";
import { badPair } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";

const noStyle = { rules: { ease: { front: 0, back: "25 mm" } }, school: "proportional" as const };
const hand = shapeOf(palazzoJob(HAND_BODY, { block: noStyle }));
const number = (name: string): number => hand.block.numbers[name]?.mm ?? NaN;
const [front, back] = hand.block.panels;

describe("the proportional block, worked by hand", () => {
  test.each([
    ["crotchDepth", 280], // from the card
    ["frontWidth", 260], // 1040 / 4 + 0
    ["backWidth", 285], // 1040 / 4 + 25
    ["frontExtension", 52], // 1040 / 20
    ["backExtension", 104], // 1040 / 10
    ["backExtensionMore", 52], // 104 - 52
    ["waistQuarter", 190], // 760 / 4
    ["kneeLevel", 575], // 600 - 25
    ["blockLength", 1060], // 1050 + 30 - 20
    ["blockLegGirth", 480], // the larger of 0.80 x 600 and 390 + 60
    ["backRise", 40],
    ["frontDartIntake", 25], // 260 - 190 - 10 = 60: one of 25 leaves the side 35
  ])("%s is %p", (name, expected) => {
    expect(number(name)).toBeCloseTo(expected, 6);
  });

  test("places on the front: the crease halves the crotch line, centre in 10 and down 8, side up 10", () => {
    // Crotch line 260 + 52 = 312, half 156. Centre line at 156 - 52 = 104 from the crease.
    expect(landmarkOf(front, "crotchPoint")).toEqual([156, 280]);
    expect(landmarkOf(front, "hipSide")).toEqual([-156, 210]);
    expect(landmarkOf(front, "waistCentre")).toEqual([94, 8]);
    expect(landmarkOf(front, "waistSide")[1]).toBeCloseTo(-10, 5);
    // Leg 480 shared with the back 25 wider: front 227.5, half 113.75.
    expect(landmarkOf(front, "kneeSide")[0]).toBeCloseTo(-113.75, 9);
  });

  test("places on the back: slanted from 20 in at the crotch line to 50 in at the waist, 40 up", () => {
    // At the crotch line -104 + 20 = -84; extension 104 more: -188. Slant 30 in 280.
    expect(landmarkOf(back, "crotchPoint")[0]).toBeCloseTo(-188, 9);
    expect(landmarkOf(back, "waistCentre")[0]).toBeCloseTo(-84 + (30 * 320) / 280, 9);
    expect(landmarkOf(back, "waistCentre")[1]).toBe(-40);
    // At the hip line, 70 above the crotch line: -84 + 30 x 70 / 280 = -76.5; width 285 more.
    expect(landmarkOf(back, "hipSide")[0]).toBeCloseTo(208.5, 9);
  });

  test("every step reads as a sentence with its numbers filled in", () => {
    expect(hand.block.steps.length).toBeGreaterThan(12);
    for (const step of hand.block.steps) expect(said(step.sentence)).not.toMatch(/[{}]/);
    expect(hand.block.steps.map((s) => said(s.sentence)).join(" ")).toContain("Crotch line 280 mm below the waist");
  });

  test("a hollow the extension cannot take is kept as asked and as drawn", () => {
    const narrow = shapeOf(
      palazzoJob(HAND_BODY, { block: { school: "proportional", rules: { hollow: { front: "38 mm" } } } }),
    );
    expect(narrow.block.numbers.frontHollow).toMatchObject({ asked: 38 });
    expect(narrow.block.numbers.frontHollow?.mm).toBeCloseTo(26, 1); // half of 52
  });
});

describe("dart budget", () => {
  test.each([
    [10, { count: 0, side: 10 }],
    [20, { count: 1, intake: 20, side: 0 }],
    [60, { count: 1, intake: 25, side: 35 }],
    [68, { count: 1, intake: 33, side: 35 }],
    [90, { count: 2, intake: 27.5, side: 35 }],
  ])("a surplus of %p", (surplus, expected) => {
    expect(dartBudget(surplus, "auto", 125, 35, 210)).toMatchObject(expected);
  });
});

test.each([
  [10, 25, { count: 1, intake: 25, side: -15 }],
  [5, 12, { count: 1, intake: 12, side: -7 }],
  [60, 0, { count: 0, side: 60 }],
  [60, 60, { count: 2, intake: 30, side: 0 }],
])(
  "a surplus of %p with darts of %p asked: the stated width is drawn, the side gives or takes the rest",
  (surplus, asked, expected) => {
    expect(dartBudget(surplus, asked, 125, 35, 210)).toMatchObject(expected);
  },
);

test("a seam through the knee is upright where the leg narrows above and widens below", () => {
  expect(kneeSlope(0.2, -0.1)).toBe(0);
  expect(kneeSlope(0.1, 0.5)).toBeCloseTo(0.3);
  expect(kneeSlope(-0.4, -0.1)).toBeCloseTo(-0.1);
});

describe("random plausible bodies", () => {
  test("blocks are sound, reconciled, and as wide at the waist as asked", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const body = plausibleBody(seed);
        const shape = shapeOf(palazzoJob(body));
        const [f, b] = shape.block.panels;
        expect(badPair(f, b, 3)).toEqual([]);
        const waist = 2 * (netWaist(f.edges) + netWaist(b.edges));
        expect(Math.abs(waist - (body.measures.waist as number))).toBeLessThan(0.05);
        expect(roleLength(b, "crotch")).toBeGreaterThan(roleLength(f, "crotch"));
      }),
      { numRuns: RUNS, seed: 20261123 },
    );
  });
});

describe("cards no trousers can be drawn for", () => {
  const refused = (measures: Record<string, number | string>) => {
    const result = deriveShape(palazzoJob({ name: "", unit: "mm", measures }));
    return result.ok
      ? null
      : { status: result.status, path: result.errors[0]?.path, message: said(result.errors[0]?.says) };
  };
  test.each([
    [{ waist: 2000, hip: 1000 }, 422, "body.measures.waist"],
    [{ waist: 760, hip: 1040, crotchDepth: 180, waistToHip: 210 }, 422, "body.measures.crotchDepth"],
    [{ waist: 760, hip: 1040, waistToFloor: 500 }, 422, "body.measures.crotchDepth"],
    [{ waist: "seventy", hip: 1040 }, 400, "body.measures.waist"],
    [{ hip: 1040 }, 400, "body.measures.waist"],
    [{ waist: 0, hip: 1040 }, 400, "body.measures.waist"],
  ])("%j", (measures, status, path) => {
    const fault = refused(measures as Record<string, number | string>);
    expect(fault).toMatchObject({ status, path });
    expect(fault?.message).toMatch(/\.$/);
  });
});
