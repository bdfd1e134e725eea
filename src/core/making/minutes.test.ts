import { minutesLearned, type Taken } from "./minutes";

const step = (doing: Taken["doing"], minutes: number) => ({ doing, minutes });
const took = (doing: Taken["doing"], at: number, minutes: number, guess = 10): Taken => ({
  doing,
  at: `2026-11-${String(at).padStart(2, "0")}`,
  minutes,
  guess,
});

test("a kind that was never timed keeps its guess", () => {
  expect(minutesLearned([step("seam", 12)], [took("hem", 1, 30)])).toEqual([{ ...step("seam", 12), isLearned: false }]);
});

test("the median of the last five of a kind tells how a maker works; one slow day does not", () => {
  const taken = [
    took("seam", 1, 90),
    took("seam", 2, 20),
    took("seam", 3, 15),
    took("seam", 4, 200),
    took("seam", 5, 15),
    took("seam", 6, 12),
  ];
  // Of the last five: 20, 15, 200, 15, 12 over a guess of 10.
  expect(minutesLearned([step("seam", 20)], taken)[0]).toMatchObject({ minutes: 30, isLearned: true });
});

test("an even number of them lies between the two in the middle; nothing takes less than a minute", () => {
  expect(minutesLearned([step("hem", 10)], [took("hem", 1, 10), took("hem", 2, 20)])[0]).toMatchObject({ minutes: 15 });
  expect(minutesLearned([step("hem", 4)], [took("hem", 1, 1, 40)])[0]).toMatchObject({ minutes: 1 });
});
