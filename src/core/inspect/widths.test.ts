import { legGirths, silhouetteOf, widthBudget } from ".";
import { halves } from "../body";
import { pathFlatten } from "../geometry";
import { compareBlocks, variantLabel } from "../derive/compare";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";

const shape = shapeOf(palazzoJob(HAND_BODY));
const sources = {
  panels: [shape.front, shape.back],
  easeProfile: shape.readings.easeProfile,
  crotch: shape.plan.levels.crotch,
  wedges: shape.shown,
  allowances: shape.allowances.widths,
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
    expect(front?.allowance).toBe(shape.allowances.widths.side + shape.allowances.widths.crotch);
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
    const compared = compareBlocks(
      shape.measures,
      [{ school: "proportional" }, { school: "traced", back: "hinged" }, { school: "hinged", depth: "hipLine" }],
      "cm",
    );
    expect(compared.map((c) => c.label)).toEqual(["Proportional", "Traced, back hinged", "Hinged, depth waist to hip"]);
    expect(compared[0]?.readings?.crotchSeam).toBeGreaterThan(600);
    expect(compared[1]?.block?.numbers.opening?.mm).toBeCloseTo(50, 6);
    // The hip line itself leaves no room for a crotch line below it.
    expect(compared[2]).toMatchObject({ block: null, refused: expect.toSay(/crotch line/i) });
  });

  test("a variant is named by what it changes alone", () => {
    expect(variantLabel({ school: "eased-metric", back: "repeated", depth: "auto" }, "cm")).toBe("Eased metric");
  });
});

describe("the silhouette", () => {
  const m = shape.measures;
  const drawn = silhouetteOf([shape.front, shape.back], shape.plan, m, 30);
  const points = drawn.outline.flatMap((path) => pathFlatten(path, 0.5));
  const outermost = (y: number): number => Math.max(...points.filter((p) => Math.abs(p[1] - y) < 2).map((p) => p[0]));

  test("stands from the waist to the hem, and grows with the spread", () => {
    expect(drawn.floor).toBe(1080); // 1050 and a shoe of 30
    expect(drawn.hem).toBeCloseTo(shape.plan.levels.hem, -1);
    const narrow = shapeOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } }));
    const close = silhouetteOf([narrow.front, narrow.back], narrow.plan, narrow.measures, 30);
    const wide = (s: typeof drawn): number =>
      Math.max(...s.outline.flatMap((path) => pathFlatten(path, 1)).map((p) => p[0]));
    expect(wide(drawn)).toBeGreaterThan(wide(close) + 60);
  });

  test("is as wide at the hip as a hip of its girth", () => {
    expect(outermost(210)).toBeCloseTo(halves(shape.readings.hipGirth, 1.36).width, 0);
  });

  test("leg girths are those of the pattern", () => {
    const girths = legGirths([shape.front, shape.back], shape.plan);
    expect(girths[0]?.girth).toBeCloseTo(shape.readings.thighGirth, 3);
    expect(girths.every((g, i) => i === 0 || g.y > (girths[i - 1]?.y ?? 0))).toBe(true);
  });
});

describe("the silhouette of garments that are cut into parts", () => {
  const widthAtTop = (id: string): number => {
    const s = shapeOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }));
    const points = silhouetteOf(s.panels, s.plan, s.measures, 30).outline.flatMap((path) => pathFlatten(path, 0.5));
    return Math.max(...points.filter(([, y]) => Math.abs(y) < 12).map(([x]) => Math.abs(x)));
  };

  test("a yoke changes nothing at the waist; elastic draws a hip-wide waist in to the wearer", () => {
    expect(widthAtTop("yoke-flare")).toBeCloseTo(widthAtTop("flare"), 0);
    const waist = halves(760, 1.36).width;
    for (const id of ["paper-bag", "jogger", "sweat"])
      expect(Math.abs(widthAtTop(id) - waist)).toBeLessThan(waist * 0.35);
    expect(widthAtTop("front-slit")).toBeGreaterThan(waist * 1.3);
  });

  test("a casing at the hem draws the leg in to the ankle", () => {
    const s = shapeOf(palazzoJob(HAND_BODY, { style: { id: "sweat", params: {} } }));
    const q = silhouetteOf(s.panels, s.plan, s.measures, 30);
    const points = q.outline.flatMap((path) => pathFlatten(path, 0.5));
    const across = (y: number): number => Math.max(...points.filter((p) => Math.abs(p[1] - y) < 6).map((p) => p[0]));
    expect(across(q.hem - 4)).toBeLessThan(across(q.hem - 120) * 0.7);
  });
});
