import { landmarkOf } from "../pattern";
import { complaintsOf, said } from "../testing/said";
import { deriveShape } from "../derive/shape";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { edgeLength, made, spreadBy } from "../testing/worksheet";
import { processorTime } from "../testing/processorTime";

/** The line that sets the length: the reconciling comes after it. */
const setOf = (shape: ReturnType<typeof made>) => shape.worksheet[0] as NonNullable<(typeof shape.worksheet)[0]>;

describe("length and leg", () => {
  test.each([
    ["full", 1060], // 1050 + 30 - 20
    ["ankle", 970],
    ["mid-calf", 785], // half-way between 600 and 970
    ["calf", 803.5], // 600 + 0.55 x 370
    ["knee", 600],
    ["shorts", 360], // 280 + 80
    ["900 mm", 900],
  ])("length %s ends at %p on the front", (name, level) => {
    const { front, back } = spreadBy(HAND_BODY, { hemSpread: 0 }, { length: name });
    expect(landmarkOf(front, "hemSide")[1]).toBeCloseTo(level, 3);
    expect(edgeLength(front, "side") - edgeLength(back, "side")).toBeCloseTo(0, 5);
    expect(edgeLength(front, "inseam") - edgeLength(back, "inseam")).toBeCloseTo(3, 5);
  });

  test("the palazzo before it is spread comes straight down, 38 in on each edge", () => {
    expect(spreadBy(HAND_BODY, { hemSpread: 0 }).readings.hemGirth).toBeCloseTo(551.5, 1); // (310 + 2) + (382 + 9.5) - 4 x 38
  });

  test("a move that redraws the seams may not follow a spread", () => {
    const result = deriveShape(
      palazzoJob(HAND_BODY, {
        moves: [
          { id: "a", move: "spread", on: true, params: {} },
          { id: "b", move: "set-length", on: true, params: {} },
        ],
      }),
    );
    // It is passed over and says why; the spread is made without it.
    expect(result).toMatchObject({
      ok: true,
      worksheet: [{ passed: null }, { passed: expect.toSay(/Move it up/) }],
    });
  });

  test.each([
    [[{ id: "a", move: "fold", on: true, params: {} }], "moves.0.move"],
    [[{ id: "a", move: "spread", on: true, params: { width: 3 } }], "moves.0.params"],
    [[{ id: "a", move: "spread", on: true, params: { hemSpread: "wide" } }], "moves.0.params.hemSpread"],
    [[{ id: "a", move: "set-length", on: true, params: { length: "4 mm wide" } }], "moves.0.params.length"],
  ])("bad moves are refused with their place: %j", (moves, path) => {
    expect(deriveShape(palazzoJob(HAND_BODY, { moves }))).toMatchObject({ ok: false, errors: [{ path }] });
  });

  test("a cuff comes off the length, but leaves what a leg needs to be sewn", () => {
    const cuffed = made(["set-length", { length: "900 mm", less: "60 mm" }]);
    expect(cuffed.plan.levels.hem).toBe(840);
    expect(setOf(cuffed).numbers.length?.mm).toBe(900);
    const short = made(["set-length", { length: "shorts", less: "60 mm" }]);
    expect(short.plan.levels.hem).toBe(340); // the crotch line 280 + 60
    expect(setOf(short).numbers.hemLevel?.asked).toBe(300); // 360 - 60
  });

  test("near the floor the sentence says by how much it clears it in shoes", () => {
    const says = (length: string): string => said(setOf(made(["set-length", { length }])).sentence);
    expect(says("full")).toMatch(/off the floor in 30 mm shoes/);
    expect(says("knee")).not.toMatch(/floor/);
    expect(setOf(made(["set-length", { length: "full" }])).numbers.offFloor?.mm).toBe(20); // 1050 + 30 - 1060
  });

  test("no leg at all, or a unit gone wrong, is passed over with what works", () => {
    expect(setOf(made(["set-length", { length: "300 mm" }])).passed).toSay(/The shortest is 34\.0 cm/);
    expect(setOf(made(["set-length", { length: "2500 mm" }])).passed).toSay(/Check the unit/);
  });
});

test.each([1e308, 5000, -1])(
  "what is sewn on below the leg has a bound: %s is refused at once, with the most that works",
  (cuff) => {
    const job = palazzoJob(HAND_BODY, { style: { id: "jogger", params: { cuff } } });
    const from = processorTime();
    const shape = deriveShape(job);
    expect(processorTime() - from).toBeLessThan(2000);
    if (shape.ok) {
      const line = shape.worksheet.find((l) => l.move === "set-length");
      expect(line?.passed && said(line.passed)).toMatch(/sewn on below is 0 to 30/);
    } else
      expect(complaintsOf(shape.errors)).toMatch(
        /sewn on below is 0 to 30|No garment has a length of more than|is not a length/,
      );
  },
);
