import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
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
            milliseconds: 60_000,
          })
        : null,
    );
    expect(before?.ok && after?.ok && before.lay.length - after.lay.length).toBeGreaterThan(0);
  }
});

test("a strip across the cloth and a narrower band are tried too, and a cloth of the cupboard where it is long enough", () => {
  const job = palazzoJob(HAND_BODY, { cloth: { width: 900 } });
  const narrow: LayCloth = { ...CLOTH, fold: "open", width: 900 };
  const kept = { id: "wide", name: "Wide twill", width: "1600 mm", remnants: [] };
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
