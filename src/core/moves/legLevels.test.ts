import { said } from "../testing/said";
import { panelWidthAt, roleLength } from "../pattern";
import { deriveShape } from "../derive/shape";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { jobWith, legGirth, made, type Line } from "../testing/worksheet";

const IN = 25.4;
const inches = (n: number): string => `${n} in`;
const shaped = (...lines: readonly Line[]) => made(...lines, ["set-length", {}]);
const rulesJob = (rules: object, ...lines: readonly Line[]) => ({
  ...jobWith([...lines]),
  block: { school: "proportional" as const, rules },
});

describe("several widths down one leg", () => {
  test("a later line adds to what was asked before, and leaves the hem as it was", () => {
    const leg = shaped(
      ["shape-leg", { knee: inches(18), hem: inches(20) }],
      ["shape-leg", { levels: [{ at: "ankle", girth: inches(15) }] }],
    );
    expect(legGirth(leg, "right", leg.plan.levels.knee)).toBeCloseTo(18 * IN, 0);
    expect(legGirth(leg, "right", 970)).toBeCloseTo(15 * IN, 0);
    expect(leg.readings.hemGirth).toBeCloseTo(20 * IN, 0);
  });

  test("one at the same level takes its place, and says so", () => {
    for (const knee of [18, 24, 30]) {
      const leg = shaped(["shape-leg", { knee: inches(18) }], ["shape-leg", { knee: inches(knee), hem: inches(24) }]);
      expect(legGirth(leg, "right", leg.plan.levels.knee)).toBeCloseTo(knee * IN, 0);
      expect(said(leg.worksheet[1]?.sentence)).toMatch(/takes the place of .* asked there before/);
    }
  });

  test("in a style that falls straight as well: a later line keeps the widths of the first", () => {
    const job = jobWith(
      [
        ["shape-leg", { levels: [{ at: "calf", girth: "560 mm" }] }],
        ["shape-leg", { levels: [{ at: "ankle", girth: "600 mm" }] }],
        ["set-length"],
      ],
      HAND_BODY,
      "palazzo",
    );
    const leg = shapeOf(job);
    expect(leg.plan.turns).toHaveLength(2);
    expect(legGirth(leg, "right", leg.plan.turns[0]?.level ?? 0)).toBeCloseTo(560, 0);
  });

  test("knee, ankle and then straight to the floor", () => {
    const leg = shaped([
      "shape-leg",
      {
        knee: "460 mm",
        hem: "380 mm",
        levels: [{ at: "ankle", girth: "380 mm" }],
      },
    ]);
    expect(legGirth(leg, "right", 970)).toBeCloseTo(380, 0);
    expect(legGirth(leg, "right", 1020)).toBeCloseTo(380, 0);
    expect(said(leg.worksheet[0]?.sentence)).toMatch(/^Lead the leg through .* at the knee line, .* below the waist/);
  });

  test("a level counts from another, or from where the leg ends", () => {
    const leg = shaped([
      "shape-leg",
      {
        levels: [
          { at: { of: "knee", by: "80 mm" }, girth: "440 mm" },
          { at: { of: "end", by: "-100 mm" }, girth: "500 mm" },
          { at: "thigh", girth: "640 mm" },
        ],
      },
    ]);
    const { knee, crotch } = leg.plan.levels;
    expect(legGirth(leg, "right", knee + 80)).toBeCloseTo(440, 0);
    expect(legGirth(leg, "right", 1060 - 100)).toBeCloseTo(500, 0);
    expect(legGirth(leg, "right", crotch + 25)).toBeCloseTo(640, -1);
  });

  test("what cannot be read or cut is refused at its own entry", () => {
    const refusal = (levels: unknown) => {
      const result = deriveShape(jobWith([["shape-leg", { levels }], ["set-length"]]));
      return result.ok ? result.worksheet[0]?.passed : result.errors[0];
    };
    expect(refusal([{ at: "knee", girth: "wide" }])).toMatchObject({ path: "moves.0.params.levels.0.girth" });
    expect(refusal([{ at: "hip", girth: "500 mm" }])).toSay(/can turn between/);
    expect(refusal([{ at: "knee", girth: "5 mm" }])).toSay(/cannot be cut/);
  });
});

describe("the worksheet tells the leg that is drawn", () => {
  test("a width below the hem is passed over with its reason, and the hem is met", () => {
    const flare = shapeOf(
      palazzoJob(HAND_BODY, { style: { id: "flare", params: { length: "knee", hemGirth: "800 mm" } } }),
    );
    const [line] = flare.worksheet;
    expect(said(line?.sentence)).toMatch(
      /Too little of the leg is left below the knee line to turn there: .* there is passed over/,
    );
    expect(flare.readings.hemGirth).toBeCloseTo(800, 0);
    expect(line?.numbers.hem?.mm).toBeCloseTo(800, 0);
  });

  test("every width a line tells is the outline's own within half a millimetre", () => {
    for (const length of ["full", "ankle", "mid-calf", "knee", "shorts"] as const)
      for (const id of ["flare", "cigarette", "straight", "jogger"]) {
        const shape = shapeOf(palazzoJob(HAND_BODY, { style: { id, params: { length } } }));
        const { knee, start, hem } = shape.worksheet[0]?.numbers ?? {};
        const [front, back] = shape.panels.filter((p) => p.is.component === "legs");
        if (!front || !back || !hem) throw new Error("no legs");
        expect(Math.abs(hem.mm - roleLength(front, "hem") - roleLength(back, "hem"))).toBeLessThan(0.5);
        if (
          knee &&
          start &&
          shape.plan.turns.some((t) => Math.abs(t.level - start.mm) < 1) &&
          start.mm < shape.plan.levels.hem - 100
        ) {
          const drawn = panelWidthAt(front, start.mm) + panelWidthAt(back, start.mm);
          expect([id, length, Math.abs(knee.mm - drawn) < 0.5]).toEqual([id, length, true]);
        }
      }
  });
});

describe("half widths hold at the hem wherever it lies", () => {
  test.each([80, 120, 200, 420])("shorts %d mm below the crotch line, 22 in round, the back an inch wider", (below) => {
    const job = jobWith([
      ["shape-leg", { hem: inches(22), backExtra: inches(1) }],
      ["set-length", { length: `${280 + below} mm` }],
    ]);
    const shape = shapeOf(job);
    const [front, back] = shape.panels;
    expect(front && roleLength(front, "hem") / IN).toBeCloseTo(10.5, 1);
    expect(back && roleLength(back, "hem") / IN).toBeCloseTo(11.5, 1);
  });
});

describe("a leg hung from the side", () => {
  const hung = (from: "side" | "inseam", params: object) =>
    shapeOf(rulesJob({ hang: { from } }, ["shape-leg", { ...params }], ["set-length"]));

  test.each(["side", "inseam"] as const)("%s: a flare goes out on both edges alike", (from) => {
    const shape = hung(from, { knee: "460 mm", out: inches(2.5) });
    const [turn] = shape.plan.turns;
    for (const panel of ["front", "back"] as const) {
      const { hem } = shape.plan[panel];
      const knee = turn?.[panel] ?? hem;
      expect([(hem.side - knee.side) / IN, (knee.inseam - hem.inseam) / IN]).toEqual([
        expect.closeTo(2.5, 1),
        expect.closeTo(2.5, 1),
      ]);
    }
  });

  test("width goes from the inseam's half to the side's there as well", () => {
    const plain = hung("side", { knee: "460 mm", hem: "460 mm" });
    const moved = hung("side", { knee: "460 mm", hem: "460 mm", hemToSide: "10 mm" });
    expect(moved.plan.front.hem.side - plain.plan.front.hem.side).toBeCloseTo(10, 6);
  });

  test("its sentence says how it hangs, and its crease halves the crotch line", () => {
    const shape = hung("side", { knee: "460 mm", hem: "420 mm" });
    expect(said(shape.worksheet[0]?.sentence)).toMatch(/hung from the side/);
    for (const panel of ["front", "back"] as const)
      expect(shape.plan[panel].hipX + shape.plan[panel].crotchX).toBeCloseTo(0, 6);
  });
});
