import { curesOf } from "@/core/derive/correcting";
import { symptomOf } from "@/core/fitting";
import { HAND_BODY, palazzoJob, shapeOf } from "@/core/testing/jobs";
import { amountsOf, fittingOf, marksOf, startOf } from "./draft";

const job = palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } });
const cures = curesOf(job, shapeOf(job), symptomOf("seat-pulls"));

test("a fitting thought over begins with the usual amounts of what is tried first, and nothing of the rest", () => {
  const start = startOf("seat-pulls");
  const amounts = amountsOf(start.amounts, cures);
  const first = cures.filter((c) => c.correction.first);
  expect(first.length).toBeGreaterThan(0);
  expect(amounts).toEqual(Object.fromEntries(first.map(({ n, usual }) => [n, usual])));
  // What was set by hand is what counts, nothing too.
  expect(amountsOf({}, cures)).toEqual({});
  expect(amountsOf(start.amounts, [])).toEqual({});
});

test("it comes to a change for each amount, on its side; nothing asked is no fitting", () => {
  const start = startOf("seat-pulls");
  const settled = { ...start, amounts: amountsOf(start.amounts, cures), words: " from the chair " };
  const made = fittingOf(settled, "id", "2026-05-03");
  expect(made).toMatchObject({ seen: "seat-pulls", pinned: "both", words: "from the chair" });
  expect(made?.changes).toHaveLength(Object.keys(settled.amounts).length);
  expect(made && "alone" in made).toBe(false);
  expect(fittingOf({ ...settled, pinned: "left", alone: true }, "id", "2026-05-03")).toMatchObject({
    pinned: "left",
    alone: true,
  });
  expect(fittingOf({ ...settled, amounts: { 0: 0 } }, "id", "2026-05-03")).toBeNull();
});

test("each amount is written where the pattern changes, on the tape at hand", () => {
  const start = startOf("hem-short");
  const settled = { ...start, amounts: { 0: 25.4 } };
  expect(marksOf(settled, "in")).toEqual([{ root: "front", landmark: "hemSide", words: "longer 1 in" }]);
  expect(marksOf(settled, "cm")[0]?.words).toBe("longer 2.5 cm");
  expect(marksOf({ ...settled, amounts: { 0: 0 } }, "cm")).toEqual([]);
});
