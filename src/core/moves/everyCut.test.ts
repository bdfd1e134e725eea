import { RUNS } from "../testing/runs";
import { said } from "../testing/said";
import fc from "fast-check";
import { deriveShape } from "../derive/shape";
import { badPattern } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { HIP_WIDE, jobWith, STRAIGHT, type Line } from "../testing/worksheet";

test("every cut on 60 random bodies: sound outlines and equal seams, or passed over with a sentence", () => {
  const cuts: readonly (readonly Line[])[] = [
    [...STRAIGHT, ["yoke", { centre: "70 mm", side: "50 mm" }]],
    [...STRAIGHT, ["yoke", { joined: true, centre: "60 mm", side: "50 mm" }]],
    [...HIP_WIDE, ["split", { leg: "right" }], ["placket"]],
    [...STRAIGHT, ["split"], ["godet", { at: "split", length: "150 mm", spread: "100 mm" }]],
    [...STRAIGHT, ["flounce", { share: 0.75, points: 4 }]],
    [...STRAIGHT, ["spread", { hemSpread: "120 mm" }], ["side-panel", { fullness: 3 }]],
    [...HIP_WIDE, ["casing", { frill: "40 mm" }]],
  ];
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), fc.integer({ min: 0, max: cuts.length - 1 }), (seed, which) => {
      const shape = deriveShape(jobWith(cuts[which] as readonly Line[], plausibleBody(seed)));
      if (!shape.ok) throw new Error(`${which}: ${said(shape.errors[0]?.says)}`);
      expect([which, badPattern(shape.panels, shape.joins, 3)]).toEqual([which, []]);
      for (const l of shape.worksheet) expect(l.passed === null || said(l.passed).endsWith(".")).toBe(true);
    }),
    { numRuns: RUNS, seed: 20261123 },
  );
});
