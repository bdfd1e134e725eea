import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { faultsOf } from "../testing/layProof";
import { said } from "../testing/said";
import { applyChanges } from "./changes";
import { layWithin, shapesOf } from "./lay";
import { savingsOf, type Saving } from "./shortCloth";
import type { LayCloth } from "../cloth";

const CLOTH: LayCloth = { width: 1500, fold: "lengthwise", foldWidth: null, nap: false, gap: 2, repeat: null };

test("what would bring short cloth in: each saves what it says, in its own words, and is one press", () => {
  const job = palazzoJob(HAND_BODY, { cloth: { fold: "lengthwise" } });
  const found = [...savingsOf(job, derivedOf(job), CLOTH)].filter((s): s is Saving => s !== null);
  expect(found.length).toBeGreaterThan(0);
  const words = found.map((s) => said(s.says));
  expect(words.some((w) => /lay it open/i.test(w))).toBe(true);
  for (const { changes, saves } of found) {
    expect(saves).toBeGreaterThan(5);
    const next = structuredClone(job);
    applyChanges(next, changes);
    const made = shapesOf(next, "shell");
    const [before, after] = [shapesOf(job, "shell"), made].map((shapes, i) =>
      shapes.ok
        ? layWithin(shapes.shapes, { ...CLOTH, fold: i === 1 ? (next.cloth?.fold ?? "open") : "lengthwise" }, 1, {
            steps: 260,
          })
        : null,
    );
    expect(before?.ok && after?.ok && before.lay.length - after.lay.length).toBeGreaterThan(0);
  }
});

test("a strip across the cloth and a narrower band are tried too, and a cloth of the cupboard where it is long enough", () => {
  const job = palazzoJob(HAND_BODY, { cloth: { width: 900 } });
  const narrow: LayCloth = { ...CLOTH, fold: "open", width: 900 };
  const kept = { id: "wide", name: "Wide twill", width: "1600 mm" };
  const found = [
    ...savingsOf(
      job,
      derivedOf(job),
      narrow,
      [],
      [
        { ...kept, length: "6000 mm" },
        { ...kept, id: "end", name: "Short end", length: "600 mm" },
      ],
    ),
  ].filter((s): s is Saving => s !== null);
  const words = found.map((s) => said(s.says));
  expect(words.some((w) => w.includes("Wide twill"))).toBe(true);
  expect(words.some((w) => w.includes("Short end"))).toBe(false);
  const wide = found.find((s) => said(s.says).includes("Wide twill"));
  const next = structuredClone(job);
  applyChanges(next, wide?.changes ?? []);
  expect(next.cloth).toMatchObject({ width: "1600 mm", length: "6000 mm" });
  expect(next.cloth).not.toHaveProperty("id");
});

test("large pieces a little off the thread may save cloth: they then lie three degrees off it, and nothing overlaps", () => {
  const job = palazzoJob(HAND_BODY, { style: { id: "cigarette", params: {} }, cloth: { width: 1150 } });
  const cloth: LayCloth = { ...CLOTH, fold: "open", width: 1150 };
  const leaning = [...savingsOf(job, derivedOf(job), cloth)].filter(
    (s): s is Saving => s !== null && /turned 3/.test(said(s.says)),
  );
  expect(Math.max(...leaning.map((s) => s.saves))).toBeGreaterThan(50);
  for (const { changes } of leaning) {
    const next = structuredClone(job);
    applyChanges(next, changes);
    const found = shapesOf(next, "shell");
    if (!found.ok) throw new Error("not drawn");
    const laid = layWithin(found.shapes, cloth, 1, { steps: 120 });
    expect(laid.ok && faultsOf(laid.lay, cloth)).toEqual([]);
    const [leans] = Object.keys(next.cloth?.grain ?? {});
    const shape = found.shapes.find((s) => s.piece === leans);
    const straight = shapesOf(job, "shell");
    const upright = straight.ok ? straight.shapes.find((s) => s.piece === leans) : undefined;
    const way = ({ frame }: { frame: { along: readonly [number, number] } }): number =>
      (Math.atan2(frame.along[1], frame.along[0]) * 180) / Math.PI;
    expect(Math.abs(way(shape as NonNullable<typeof shape>) - way(upright as NonNullable<typeof upright>))).toBeCloseTo(
      3,
      6,
    );
  }
});
