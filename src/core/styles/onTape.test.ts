import { derive } from "../derive";
import { deriveShape } from "../derive/shape";
import { newJob } from "../derive/newJob";
import { hemTurnOf, waistTold } from "../finish";
import type { Body } from "../body";
import { STYLES } from ".";

const CARD = { hip: 1040, waist: 760, height: 1680 };
const body = (unit: "in" | "cm"): Body => ({
  name: "Tape",
  unit,
  measures: Object.fromEntries(Object.entries(CARD).map(([key, mm]) => [key, mm / (unit === "in" ? 25.4 : 10)])),
});

/** True for what lies on eighths of an inch. */
const onEighths = (mm: number): boolean => Math.abs(mm / 3.175 - Math.round(mm / 3.175)) < 1e-6;

describe("what nobody states lies on the maker's tape", () => {
  test("band and hem: 1 1/2 in, or 4 cm", () => {
    for (const [unit, mm] of [
      ["in", 38.1],
      ["cm", 40],
    ] as const) {
      const derived = derive(newJob("", body(unit), "straight", "2026-11-28"));
      if (!derived.ok) throw new Error(unit);
      expect(waistTold(derived.finish)?.depth).toBeCloseTo(mm, 6);
      expect(hemTurnOf(derived.finish)?.depth).toBe("auto");
      expect(derived.hemDepth?.mm).toBeCloseTo(mm, 6);
    }
  });

  test.each(Object.keys(STYLES))("%s: rules, and the style's own numbers", (id) => {
    const shape = deriveShape(newJob("", body("in"), id, "2026-11-28"));
    if (!shape.ok) throw new Error(id);
    const { ease, waist, back } = shape.rules;
    const stated = [
      ease.front,
      ease.back,
      waist.frontIn,
      waist.frontDrop,
      waist.sideRise,
      waist.frontLength,
      back.inAtWaist,
    ];
    expect(stated.filter((mm) => !onEighths(mm))).toEqual([]);
    const own = shape.worksheet
      .filter((l) => l.move !== "flounce")
      .flatMap((l) => ["depth", "frill", "side", "by"].flatMap((n) => l.numbers[n]?.mm ?? []));
    expect(own.filter((mm) => !onEighths(mm))).toEqual([]);
  });

  test("metric work is as it was", () => {
    const shape = deriveShape(newJob("", body("cm"), "palazzo", "2026-11-28"));
    if (!shape.ok) throw new Error("palazzo");
    expect([shape.rules.ease.front, shape.rules.waist.sideRise, shape.rules.back.rise]).toEqual([10, 10, 40]);
  });
});
