import { widthBudget } from ".";
import { compareBlocks, variantLabel } from "../derive/compare";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";

const shape = shapeOf(palazzoJob(HAND_BODY));
const sources = {
  panels: [shape.front, shape.back],
  easeProfile: shape.readings.easeProfile,
  crotch: shape.plan.levels.crotch,
  wedges: shape.shown,
  allowances: shape.allowances,
};

describe("the width budget", () => {
  test("adds up to the panel's width at every level", () => {
    for (let y = 5; y < shape.plan.levels.hem - 5; y += 7) {
      for (const p of widthBudget(sources, y).parts) {
        expect(p.body + p.ease + p.dart + p.opening).toBeCloseTo(p.width, 6);
        expect(p.dart).toBeGreaterThanOrEqual(0);
      }
    }
  });

  test("at the hip: a quarter of the body each, and the ease that was asked", () => {
    const [front, back] = widthBudget(sources, 210).parts;
    expect(front?.body).toBe(260); // 1040 / 4
    // The style's own ease of 10 a panel, and what the spread hinged on the hip line adds.
    expect(front?.ease).toBeGreaterThan(10);
    expect(front?.ease).toBeLessThan(13);
    expect(back?.ease).toBeGreaterThan(9);
    expect(front?.allowance).toBe(shape.allowances.side + shape.allowances.crotch);
  });

  test("below the waist the dart takes its share, at the hem the slashes take theirs", () => {
    expect(widthBudget(sources, 20).parts[0]?.dart).toBeGreaterThan(15);
    expect(widthBudget(sources, 300).parts[0]?.dart).toBe(0);
    // Two gaps of 120 a panel, read a little above the hem.
    expect(widthBudget(sources, shape.plan.levels.hem - 40).parts[0]?.opening).toBeCloseTo(230, -1.4);
  });

  test("where there is no panel there is no width", () => {
    expect(widthBudget(sources, 5000).parts.every((p) => p.width === 0 && p.ease === 0)).toBe(true);
  });
});

describe("schools compared on one body", () => {
  test("each is drafted by its own preset; one that cannot be says why and stops no other", () => {
    const compared = compareBlocks(shape.measures, [
      { school: "proportional" },
      { school: "traced", back: "hinged" },
      { school: "hinged", depth: "hipLine" },
    ]);
    expect(compared.map((c) => c.label)).toEqual(["Proportional", "Traced, back hinged", "Hinged, depth hip line"]);
    expect(compared[0]?.readings?.crotchSeam).toBeGreaterThan(600);
    expect(compared[1]?.block?.numbers.opening?.mm).toBeCloseTo(50, 6);
    // The hip line itself leaves no room for a crotch line below it.
    expect(compared[2]).toMatchObject({ block: null, refused: expect.stringMatching(/crotch line/i) as string });
  });

  test("a variant is named by what it changes alone", () => {
    expect(variantLabel({ school: "eased-metric", back: "repeated", depth: "auto" })).toBe("Eased metric");
  });
});
