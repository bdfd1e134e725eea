/** @alone: it loads the engine anew. */
import type * as Engine from "./shape";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import type { Job } from "../files";

/** The engine as a page has it that was just opened. */
function opened(): typeof Engine {
  let fresh: typeof Engine | null = null;
  jest.isolateModules(() => (fresh = jest.requireActual<typeof Engine>("./shape")));
  if (!fresh) throw new Error("the engine did not load");
  return fresh;
}

/** A palazzo whose hem differs for each n, and whose hip is wider every third time. */
function pulled(n: number): Job {
  const measures = { ...HAND_BODY.measures, ...(n % 3 === 0 && { hip: 1060 }) };
  return palazzoJob({ ...HAND_BODY, measures }, { style: { id: "palazzo", params: { hemGirth: 700 + 40 * n } } });
}

describe("what the engine remembers", () => {
  it("never shows: after many other jobs a job comes to just what it comes to on a page just opened", () => {
    const worked = opened();
    const orders = [0, 1, 2, 3, 4, 5, 4, 3, 0, 6, 1, 5];
    for (const n of orders) {
      const after = worked.deriveShape(pulled(n));
      const anew = opened().deriveShape(pulled(n));
      if (!after.ok || !anew.ok) throw new Error("the palazzo draws");
      expect(JSON.stringify([after.panels, after.readings, after.worksheet, after.block])).toBe(
        JSON.stringify([anew.panels, anew.readings, anew.worksheet, anew.block]),
      );
    }
  });
});
