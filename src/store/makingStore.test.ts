import "fake-indexeddb/auto";
import { changeProgress, findProgress, type MakingProgress } from "./makingStore";
import { findLay } from "./layStore";
import { shelves } from "./shelf";

const ticked =
  (step: string) =>
  (now: MakingProgress): MakingProgress => ({
    ...now,
    done: { ...now.done, [step]: { at: "2026-11-28T10:00:00Z", minutes: 5 } },
  });

test("ticks from two tabs at once are all kept, each from what the other left", async () => {
  await Promise.all(["side", "inseam", "hem", "zip"].map((step) => changeProgress("shared", ticked(step))));
  expect(Object.keys((await findProgress("shared")).done).sort()).toEqual(["hem", "inseam", "side", "zip"]);
  const after = await changeProgress("shared", (now) => ({ ...now, cards: { paper: 4 } }));
  expect(Object.keys(after.done)).toHaveLength(4);
});

test("what a newer Eland kept is left as it is", async () => {
  const newer = { id: "ahead", version: 9, done: "otherwise" };
  await (await shelves()).put("making", [newer]);
  await changeProgress("ahead", ticked("side"));
  expect(await (await shelves()).get("making", "ahead")).toEqual(newer);
});

test("a lay that was kept before garments shared a cloth is all of the job's own", async () => {
  const placement = { piece: "front", copy: 1, x: 10, y: 10, turn: 0, outline: [], layers: 1, spare: 0 };
  const lay = { length: 900, drawnWidth: 1500, placements: [placement] };
  await (await shelves()).put("lays", [{ id: "old|shell", version: 1, job: "old", sign: "s", lay } as { id: string }]);
  expect((await findLay("old", "shell"))?.lay.placements).toEqual([{ ...placement, bundle: 0 }]);
});
