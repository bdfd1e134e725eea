import "fake-indexeddb/auto";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import {
  throwAway,
  findJob,
  HeldUnreadable,
  listBin,
  listJobs,
  putBack,
  removeJob,
  SavedElsewhere,
  writeJob,
  type StoredJob,
} from "./database";
import { shelves } from "./shelf";
import { ownMoves, setAtPath } from "@/core/derive/changes";
import { changeJob, flush, keepMineAsCopy, openJob, redo, takeTheirs, undo, useJobStore } from "./jobStore";

const job = palazzoJob(HAND_BODY);
let n = 0;

/** A fresh job in the store, opened. */
async function opened(): Promise<string> {
  const id = `job-${n++}`;
  await writeJob(id, job, 0);
  await openJob(id);
  return id;
}

async function stored(id: string): Promise<StoredJob> {
  const found = await findJob(id);
  if (!found || "raw" in found) throw new Error(`${id} cannot be read`);
  return found;
}

const name = (): string | undefined => useJobStore.getState().job?.name;
const rename = (to: string): void => changeJob((draft) => void (draft.name = to));

describe("the browser's store", () => {
  test("keeps jobs with a rising revision and lists the newest first", async () => {
    const first = await writeJob("a", job, 0);
    const second = await writeJob("a", { ...job, name: "Again" }, first.revision);
    expect(second.revision).toBe(first.revision + 1);
    await writeJob("b", job, 0);
    expect(
      (await listJobs()).records
        .map((r) => r.id)
        .slice(0, 2)
        .sort(),
    ).toEqual(["a", "b"]);
    await removeJob(await stored("b"));
    expect(await findJob("b")).toBeUndefined();
  });

  test("never writes over a revision it has not read", async () => {
    const first = await writeJob("c", job, 0);
    await writeJob("c", { ...job, name: "Theirs" }, first.revision);
    await expect(writeJob("c", { ...job, name: "Mine" }, first.revision)).rejects.toBeInstanceOf(SavedElsewhere);
    expect((await stored("c")).job.name).toBe("Theirs");
  });
});

describe("what cannot be read", () => {
  const odd: readonly (readonly [string, unknown])[] = [
    ["newer", { job: { ...job, version: 99, name: "From tomorrow" } }],
    ["damaged", { job: { ...job, body: { unit: "furlong" } } }],
    ["emptied", {}],
    ["foreign", { job: "no job at all" }],
    ["later", { version: 2, job }],
  ];

  test("is listed by name with the reason, and lies in the store as it lay", async () => {
    const kept = await shelves();
    await kept.put(
      "jobs",
      odd.map(([id, record]) => ({ id, version: 1, revision: 3, updated: "2026-11-23", ...(record as object) })),
    );
    const before = JSON.stringify(await kept.all("jobs"));
    const { unreadable } = await listJobs();
    expect(unreadable.map((u) => u.id).sort()).toEqual(odd.map(([id]) => id).sort());
    expect(unreadable.filter((u) => u.isNewer).map((u) => u.id)).toEqual(["later", "newer"]);
    expect(unreadable.find((u) => u.id === "newer")?.name).toBe("From tomorrow");
    for (const { errors } of unreadable) expect(errors.length).toBeGreaterThan(0);
    expect(JSON.stringify(await kept.all("jobs"))).toBe(before);
  });

  test.each(odd.map(([id]) => [id]))("%s: opened it is said, and it is never written over", async (id) => {
    await openJob(id);
    expect(useJobStore.getState()).toMatchObject({ save: "unreadable", job: null });
    await expect(writeJob(id, job, 3)).rejects.toBeInstanceOf(HeldUnreadable);
  });
});

describe("the bin", () => {
  test("holds a removed job until it is put back as it was", async () => {
    await throwAway((await listBin()).records);
    await writeJob("binned", { ...job, name: "Thrown" }, 0);
    await removeJob(await stored("binned"));
    expect((await listBin()).records.map((b) => b.record.job.name)).toEqual(["Thrown"]);
    for (const binned of (await listBin()).records) await putBack(binned);
    expect((await stored("binned")).job.name).toBe("Thrown");
    expect((await listBin()).records).toEqual([]);
  });
});

describe("the bin, used twice for one id", () => {
  test("keeps both jobs, and puts each back beside what has taken its place; what cannot be read is not thrown away", async () => {
    await throwAway((await listBin()).records);
    for (const called of ["First", "Second"]) {
      await writeJob("again", { ...job, name: called }, 0);
      await removeJob(await stored("again"));
      await new Promise((resolve) => setTimeout(resolve, 2));
    }
    await (await shelves()).put("bin", [{ id: "torn" }]);
    const bin = await listBin();
    expect(bin.records.map((b) => b.record.job.name)).toEqual(["Second", "First"]);
    expect(bin.unreadable.map((u) => u.id)).toEqual(["torn"]);
    for (const binned of bin.records) await putBack(binned);
    expect((await stored("again")).job.name).toBe("Second");
    expect((await listJobs()).records.map((r) => r.job.name)).toContain("First");
    await throwAway((await listBin()).records);
    expect((await listBin()).unreadable.map((u) => u.id)).toEqual(["torn"]);
  });
});

describe("the open job", () => {
  test("saves what is changed, and says so only when it is in the store", async () => {
    const id = await opened();
    rename("Changed");
    expect(useJobStore.getState().save).toBe("saving");
    await flush();
    expect(useJobStore.getState().save).toBe("saved");
    expect((await stored(id)).job.name).toBe("Changed");
  });

  test("undoes and redoes by the step, over 150 of them, and saves where it stands", async () => {
    const id = await opened();
    for (let i = 1; i <= 150; i++) rename(`Step ${i}`);
    for (let i = 0; i < 150; i++) undo();
    expect(name()).toBe("Test");
    redo();
    redo();
    expect(name()).toBe("Step 2");
    await flush();
    expect((await stored(id)).job.name).toBe("Step 2");
  });

  test("opening another job starts a new history", async () => {
    await opened();
    rename("Before");
    await opened();
    undo();
    expect(name()).toBe("Test");
  });

  test("what was done to a job can still be undone after another was open, if nobody changed it since", async () => {
    const id = await opened();
    rename("One");
    rename("Two");
    await opened();
    await openJob(id);
    undo();
    expect(name()).toBe("One");
    await opened();
    const held = await stored(id);
    await writeJob(id, { ...held.job, name: "Theirs" }, held.revision);
    await openJob(id);
    undo();
    expect(name()).toBe("Theirs");
  });

  test("undo never takes back what another tab has done", async () => {
    const id = await opened();
    rename("Mine");
    await flush();
    const held = await stored(id);
    const { revision } = await writeJob(id, { ...held.job, name: "Theirs" }, held.revision);
    expect(revision).toBe(held.revision + 1);
    useJobStore.setState({ save: "conflict", theirs: await stored(id) });
    await takeTheirs();
    expect(name()).toBe("Theirs");
    undo();
    expect(name()).toBe("Theirs");
  });

  test("a job changed elsewhere is a conflict; theirs can be taken", async () => {
    const id = await opened();
    await writeJob(id, { ...job, name: "Theirs" }, useJobStore.getState().revision);
    rename("Mine");
    await flush();
    expect(useJobStore.getState().save).toBe("conflict");
    expect((await stored(id)).job.name).toBe("Theirs");
    await writeJob(id, { ...job, name: "Theirs again" }, useJobStore.getState().theirs?.revision ?? 0);
    await takeTheirs();
    expect([name(), useJobStore.getState().save]).toEqual(["Theirs again", "saved"]);
  });

  test("or mine kept as a copy, with nothing lost", async () => {
    const id = await opened();
    await writeJob(id, { ...job, name: "Theirs" }, useJobStore.getState().revision);
    rename("Mine");
    await flush();
    const copy = await keepMineAsCopy(`${id}-copy`);
    expect((await stored(copy)).job.name).toBe("Mine (my copy)");
    expect((await stored(id)).job.name).toBe("Theirs");
  });

  test("a job that is not there is said to be missing", async () => {
    await openJob("nowhere");
    expect(useJobStore.getState()).toMatchObject({ save: "missing", job: null });
  });
});

describe("changing by path", () => {
  test("makes what is missing on the way, and keeps the rest", () => {
    const draft = structuredClone(job);
    setAtPath(draft, ["allowances", "side"], "15 mm");
    setAtPath(draft, ["block", "rules", "ease", "front"], 5);
    expect(draft.allowances).toEqual({ side: "15 mm" });
    expect(draft.block).toEqual({ school: "proportional", rules: { ease: { front: 5 } } });
    expect(draft.body).toEqual(job.body);
  });

  test("a job that follows its style gets its own moves once", () => {
    const draft = structuredClone(job);
    const moves = ownMoves(draft);
    expect(moves.map((m) => m.move)).toEqual(["shape-leg", "set-length", "spread"]);
    moves[2]!.params.hemSpread = 10;
    expect(ownMoves(draft)).toBe(moves);
  });
});
