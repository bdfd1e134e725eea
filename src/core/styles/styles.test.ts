import { said } from "../testing/said";
import fc from "fast-check";
import { deriveShape } from "../derive/shape";
import type { Job } from "../files";
import { STYLES } from ".";
import { badPattern } from "../testing/badOutline";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { styleCase } from "../testing/styleRanges";

describe("every style on random bodies, its parameters anywhere in their range", () => {
  test.each(Object.keys(STYLES))("%s: sound, its seams equal, its numbers met", (id) => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const body = plausibleBody(seed);
        const asked = styleCase(id, body, seededRandom(seed));
        const shape = deriveShape(palazzoJob(body, { style: { id, params: asked.params } }));
        if (!shape.ok) {
          expect([id, shape.status, said(shape.errors[0]?.says).endsWith(".")]).toEqual([id, 422, true]);
          return;
        }
        expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
        const passed = shape.worksheet.some((l) => l.passed !== null);
        for (const [what, wanted, measured] of passed ? [] : asked.met(shape))
          expect([what, wanted, Math.abs(measured - wanted) < 1 || measured]).toEqual([what, wanted, true]);
        // A move is passed over only where it makes no sense on so odd a body, and says so.
        for (const l of shape.worksheet) expect(l.passed === null || said(l.passed).endsWith(".")).toBe(true);
      }),
      { numRuns: 40, seed: 20261123 },
    );
  });

  test.each(Object.keys(STYLES))("%s: changing hip, school or length re-derives it with no move lost", (id) => {
    const job = palazzoJob(HAND_BODY, { style: { id, params: {} } });
    const variants: Partial<Job>[] = [
      { body: { ...HAND_BODY, measures: { ...HAND_BODY.measures, hip: 1180 } } },
      { block: { school: "traced", rules: {} } },
      { block: { school: "hinged", rules: {} } },
      { style: { id, params: { length: "ankle" } } },
    ];
    const made = (j: Job): string[] =>
      shapeOf(j)
        .worksheet.filter((l) => l.index !== null && l.on && !l.passed)
        .map((l) => l.move);
    for (const change of variants) expect(made({ ...job, ...change })).toEqual(made(job));
  });

  test.each(Object.keys(STYLES))("%s is made whole at every length, from the floor to shorts", (id) => {
    for (const length of ["full", "ankle", "calf", "mid-calf", "knee", "shorts"]) {
      const shape = shapeOf(palazzoJob(HAND_BODY, { style: { id, params: { length } } }));
      const passed = shape.worksheet.filter((l) => l.passed).map((l) => l.move);
      // Under the shortest legs there is no room left to hang a flounce.
      expect([length, passed]).toEqual([length, id === "bell-flounce" && length === "shorts" ? ["flounce"] : []]);
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
  });
});
