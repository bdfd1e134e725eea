import { PDFDocument } from "pdf-lib";
import { guidePdf } from "@/core/files/paper/guidePdf";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { keyWords } from "../command";
import { STAGES, type StageId } from "../stages";
import { BEFORE_CUTTING, GUIDE, type Seen } from "./guide";

test.each(["a4", "letter"] as const)("the guide is one page of %s, and all of it is on the page", async (paper) => {
  const stages = STAGES.map(({ id, label }) => ({ label, ...GUIDE[id] }));
  const file = await guidePdf({ title: "Guide", stages, keys: keyWords(), before: BEFORE_CUTTING }, paper);
  const doc = await PDFDocument.load(file.bytes);
  expect(doc.getPageCount()).toBe(1);
  const { height } = doc.getPage(0).getSize();
  expect(height / (72 / 25.4)).toBeCloseTo(paper === "a4" ? 297 : 279.4, 0);
  expect(file.name).toBe(`eland-guide-${paper}.pdf`);
});

test("every key of the frame is told once", () => {
  const keys = keyWords().map((k) => k.keys);
  expect(new Set(keys).size).toBe(keys.length);
  for (const { text } of keyWords()) expect(text).toMatch(/^\S/);
});

describe("what a hint asks", () => {
  const job = palazzoJob(HAND_BODY);
  const then: Seen = { job, isPulling: false, tool: "none", turned: 3 };
  const DONE: Readonly<Record<StageId, Seen>> = {
    body: { ...then, job: { ...job, body: { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist: 770 } } } },
    block: { ...then, job: { ...job, block: { school: "traced", rules: {} } } },
    restyle: { ...then, isPulling: true },
    pieces: { ...then, tool: "tape" },
    cloth: { ...then, job: { ...job, cloth: { width: "150 cm" } } },
    make: { ...then, turned: 4 },
    diary: {
      ...then,
      job: {
        ...job,
        fittings: [
          {
            id: "a",
            date: "2026-05-03",
            seen: "hem-long",
            pinned: "both",
            words: "",
            changes: [{ move: "set-length", param: "length", by: -10 }],
          },
        ],
      },
    },
  };

  test.each(STAGES.map(({ id }) => id))("in %s is done by doing it, and by nothing else", (stage) => {
    const { isDone } = GUIDE[stage];
    expect(isDone(then, then)).toBe(false);
    expect(isDone(then, DONE[stage])).toBe(true);
    for (const { id } of STAGES.filter((s) => s.id !== stage))
      expect([id, isDone(then, DONE[id])]).toEqual([id, false]);
    expect(GUIDE[stage].first).toMatch(/\.$/);
  });
});
