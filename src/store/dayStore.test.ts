import "fake-indexeddb/auto";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { findJob, writeJob } from "./database";
import { listDays } from "./dayStore";
import { shelves } from "./shelf";

const JOB = palazzoJob(HAND_BODY, { name: "First" });
const named = (name: string) => ({ ...JOB, name });

beforeEach(() =>
  jest.useFakeTimers({ doNotFake: ["setTimeout", "setImmediate", "nextTick", "queueMicrotask", "performance"] }),
);
afterEach(() => jest.useRealTimers());

test("with the first change of a day a job is kept as the day before left it, once a day", async () => {
  jest.setSystemTime(new Date("2026-05-03T10:00:00"));
  await writeJob("a", named("Morning"), 0);
  await writeJob("a", named("Evening"), 1);
  expect(await listDays("a")).toEqual([]);
  jest.setSystemTime(new Date("2026-05-05T09:00:00"));
  await writeJob("a", named("Two days on"), 2);
  await writeJob("a", named("Later"), 3);
  expect((await listDays("a")).map(({ date, job }) => [date, job.name])).toEqual([["2026-05-03", "Evening"]]);
  jest.setSystemTime(new Date("2026-05-06T00:10:00"));
  await writeJob("a", named("Past midnight"), 4);
  expect((await listDays("a")).map(({ date, job }) => [date, job.name])).toEqual([
    ["2026-05-05", "Later"],
    ["2026-05-03", "Evening"],
  ]);
  expect(await listDays("b")).toEqual([]);
});

test("a change that is refused keeps no day", async () => {
  jest.setSystemTime(new Date("2026-05-03T10:00:00"));
  await writeJob("r", named("One"), 0);
  jest.setSystemTime(new Date("2026-05-04T10:00:00"));
  await expect(writeJob("r", named("Two"), 7)).rejects.toThrow(/another tab/);
  expect(await listDays("r")).toEqual([]);
  expect(await findJob("r")).toMatchObject({ job: { name: "One" } });
});

test("thirty days are kept, the oldest go; what cannot be read is left as it lies", async () => {
  const store = await shelves();
  const day = (n: number): string => new Date(Date.UTC(2026, 0, n)).toISOString().slice(0, 10);
  await store.put(
    "days",
    Array.from({ length: 34 }, (_, i) => ({
      ...{ id: `m|${day(i + 1)}`, version: 1, job: "m", date: day(i + 1), kept: named(`Day ${i + 1}`) },
    })),
  );
  await store.put("days", [{ ...{ id: "m|odd", version: 9, job: "m" } }]);
  const days = await listDays("m");
  expect(days.length).toBe(30);
  expect([days[0]?.job.name, days.at(-1)?.job.name]).toEqual(["Day 34", "Day 5"]);
  expect((await store.all("days")).filter(({ id }) => id.startsWith("m|")).length).toBe(31);
});
