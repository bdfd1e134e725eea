import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { layWithin, shapesOf } from "./lay";
import { recutOf } from "./recut";

const onCloth = (length: number) =>
  palazzoJob(HAND_BODY, { cloth: { width: "1500 mm", length: `${length} mm` }, style: { id: "straight", params: {} } });

test("void pieces are laid on what is left behind the lay: a band fits a remnant that a back does not", () => {
  const job = onCloth(2600);
  expect(recutOf(job, ["waistband"], 1700)).toMatchObject({ kind: "fits", left: 900 });
  const back = recutOf(job, ["back"], 1700);
  expect(back.kind).toBe("short");
  expect(back).toMatchObject({ left: 900, needs: expect.any(Number) as number });
});

test("what it needs is a lay of those pieces alone, and no longer than one of all", () => {
  const job = onCloth(5000);
  const all = shapesOf(job, "shell");
  if (!all.ok) throw new Error("drawn");
  const cloth = { width: 1500, fold: "open" as const, foldWidth: null, nap: false, gap: 2, repeat: null };
  const whole = layWithin(all.shapes, cloth, 1, { steps: 260, milliseconds: 4000 });
  const legs = recutOf(job, ["front", "back"], 2000);
  if (legs.kind === "unknown" || !whole.ok) throw new Error("laid");
  expect(legs.needs).toBeLessThanOrEqual(whole.lay.length + 40);
  expect(legs.needs).toBeGreaterThan(900);
  expect(derivedOf(job).pieces.some((p) => p.id === "front")).toBe(true);
});

test.each([
  [palazzoJob(HAND_BODY), 2000, /How wide and long the cloth is was not said/],
  [onCloth(2600), null, /No lay was kept/],
])("what is not known is said", (job, laid, sentence) => {
  const recut = recutOf(job, ["front"], laid);
  expect(recut.kind === "unknown" ? said(recut.why) : "").toMatch(sentence);
});

test("nothing void needs nothing", () => {
  expect(recutOf(onCloth(2600), [], 2000)).toEqual({ kind: "fits", needs: 0, left: 600 });
});
