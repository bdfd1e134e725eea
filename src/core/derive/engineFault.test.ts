import { derive, type Derived } from "../derive";
import { FINISHES } from "../finish";
import { CHECKS } from "../inspect";
import { MOVES } from "../moves";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { tell } from "../units";

const made = (): Derived => {
  const derived = derive(palazzoJob(HAND_BODY, { style: { id: "yoke-flare", params: {} } }));
  if (!derived.ok) throw new Error("refused");
  return derived;
};

/** Has a function of a registry throw while something is made. */
function failing<K extends string>(entry: Readonly<Record<K, unknown>>, name: K, make: () => Derived): Derived {
  const spy = jest.spyOn(entry as Record<string, () => unknown>, name).mockImplementation(() => {
    throw new TypeError("no such side");
  });
  try {
    return make();
  } finally {
    spy.mockRestore();
  }
}

const SAID = /Eland failed at “(.+)”: the fault is its own/;

test("a move that throws is left out with its line, and the others are made", () => {
  const [whole, without] = [made(), failing(MOVES.yoke as never, "apply", made)];
  const line = without.worksheet.find((l) => l.move === "yoke");
  expect(line?.passed).toSay(SAID);
  expect(without.faults).toEqual([{ act: MOVES.yoke?.label, error: "TypeError: no such side" }]);
  expect(without.checks.find((c) => c.id === "lines-made")?.status).toBe("fault");
  // The leg below is as it would be.
  expect(without.readings.hemGirth).toBeCloseTo(whole.readings.hemGirth ?? 0, 6);
  expect(whole.faults).toEqual([]);
});

test("a finish that throws is left out and said to be undecided", () => {
  const band = FINISHES.waist.find((k) => k.kind === "contour-band");
  const job = palazzoJob(HAND_BODY, { finish: { waist: { kind: "contour-band" }, pockets: [] } });
  const without = failing(band as never, "make", () => derive(job) as Derived);
  expect(without.ok).toBe(true);
  expect(without.undecided.filter((says) => SAID.test(tell(says, "cm")))).toHaveLength(1);
  expect(without.faults.map((f) => f.act)).toEqual([band?.words]);
  expect(without.pieces.length).toBeGreaterThan(1);
});

test("a check that throws says so, and the others are made", () => {
  const check = CHECKS.find((c) => c.id === "side-seams") ?? CHECKS[0];
  const [whole, without] = [made(), failing(check as never, "measure", made)];
  expect(without.checks.find((c) => c.id === check?.id)?.message).toSay(SAID);
  expect(without.checks.length).toBe(whole.checks.length);
  expect(without.faults).toHaveLength(1);
});
