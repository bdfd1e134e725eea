import { deriveShape } from "./shape";
import { plausibleBody } from "../testing/bodies";
import { palazzoJob, shapeOf } from "../testing/jobs";
import { said } from "../testing/said";

/** A child's card, on which a palazzo's usual opening is more than short legs can take. */
const CHILD = {
  name: "Child",
  unit: "mm" as const,
  measures: { hip: 620, waist: 560, height: 1100 },
};

test("a style's own number gives way with a word; the same number stated is refused with one that works", () => {
  const style = { id: "palazzo", params: { length: "shorts" } };
  const shape = shapeOf(palazzoJob(CHILD, { style }));
  const spread = shape.worksheet.find((l) => l.move === "spread");
  expect(said(spread?.sentence)).toMatch(/The style's own number gives way/);
  const drawn = spread?.numbers.hemSpread?.mm ?? 0;
  expect(drawn).toBeGreaterThan(20);
  expect(drawn).toBeLessThan(240);
  const refused = deriveShape(
    palazzoJob(CHILD, { style: { id: "palazzo", params: { length: "shorts", hemSpread: "240 mm" } } }),
  );
  expect(refused).toMatchObject({ ok: false, status: 422, errors: [{ path: "style.params.hemSpread" }] });
  if (refused.ok) return;
  const works = refused.errors[0]?.most ?? 0;
  expect(Math.abs(works - drawn)).toBeLessThan(1);
  expect(
    deriveShape(palazzoJob(CHILD, { style: { id: "palazzo", params: { length: "shorts", hemSpread: `${works} mm` } } }))
      .ok,
  ).toBe(true);
});

test("no style refuses a random body at any named length over a number that nobody stated", () => {
  for (let seed = 1; seed <= 40; seed++)
    for (const length of ["shorts", "knee", "full"]) {
      const body = plausibleBody(seed);
      const shape = deriveShape(palazzoJob(body, { style: { id: "palazzo", params: { length } } }));
      const wrong = shape.ok ? [] : shape.errors.filter((e) => e.most !== undefined || e.least !== undefined);
      expect([seed, length, wrong.map((e) => e.path)]).toEqual([seed, length, []]);
    }
});

describe("style lines on a child's short body", () => {
  const INFANT = {
    name: "Infant",
    unit: "mm" as const,
    measures: { hip: 500, waist: 480, height: 800, waistToHip: 60 },
  };
  const line = (move: string, params = {}) => {
    const shape = shapeOf(
      palazzoJob(INFANT, { style: { id: "straight", params: {} }, moves: [{ id: "a", move, on: true, params }] }),
    );
    return shape.worksheet.find((l) => l.move === move);
  };

  test.each([
    ["yoke", "centre"],
    ["side-panel", "above"],
  ])("%s: its own number gives way, a stated one is passed over with what can be made", (move, param) => {
    const made = line(move);
    expect(made?.passed).toBeNull();
    expect(said(made?.sentence)).toMatch(/The style's own number gives way/);
    const given = made?.numbers[param]?.mm ?? NaN;
    expect(given).toBeGreaterThan(20);
    const stated = line(move, { [param]: "90 mm" });
    expect(stated?.passed).not.toBeNull();
    expect(line(move, { [param]: `${given} mm` })?.passed).toBeNull();
  });

  test("a leg too short for a flounce says so", () => {
    const shape = shapeOf(palazzoJob(CHILD, { style: { id: "bell-flounce", params: { length: "shorts" } } }));
    expect(shape.worksheet.find((l) => l.move === "flounce")?.passed).toSay(/too short for a flounce/);
  });
});
