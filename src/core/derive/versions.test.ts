import { jobFrom } from "../testing/jobFrom";
import { becomes, jobOfVersion, versionOf } from "./versions";
import { readJob, writeJobText } from "../files";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";

const wide = palazzoJob(HAND_BODY);

test("a kept version comes back as it was, on the card of today, through the file", () => {
  const kept = versionOf(wide, "v1", "Wide", "2026-11-23");
  const narrow = { ...wide, style: { id: "straight", params: {} }, versions: [kept] };
  const read = { job: jobFrom(JSON.parse(writeJobText(narrow))) };
  const version = read.job.versions?.[0];
  if (!version) throw new Error("the version is lost");
  const back = jobOfVersion({ ...read.job, body: { ...HAND_BODY, name: "Grown" } }, version);
  expect(back.body.name).toBe("Grown");
  expect(back.versions).toHaveLength(1);
  expect(shapeOf(back).readings.hemGirth).toBeCloseTo(shapeOf(wide).readings.hemGirth, 9);
  expect(shapeOf(read.job).readings.hemGirth).toBeLessThan(shapeOf(wide).readings.hemGirth - 300);
});

test("what the job did not state when it was kept is not stated when it is returned to", () => {
  const kept = versionOf(wide, "v1", "Plain", "2026-11-23");
  expect(Object.keys(kept)).not.toContain("moves");
  const own = { ...wide, moves: [{ id: "a", move: "set-length", on: true, params: { length: "knee" } }] };
  expect(jobOfVersion(own, kept).moves).toBeUndefined();
});

test("a version without a name or with an odd key is refused whole", () => {
  const kept = versionOf(wide, "v1", "Wide", "2026-11-23");
  for (const bad of [
    { ...kept, name: "" },
    { ...kept, cloth: {} },
    { ...kept, date: "today" },
  ])
    expect(readJob({ ...wide, versions: [bad] }).kind).toBe("damaged");
});

test("a job that returns to a day is what it was, and what was kept since stays kept", () => {
  const now = {
    ...wide,
    finish: { pockets: [], hem: { kind: "turned" } },
    versions: [versionOf(wide, "v1", "Wide", "2026-11-23")],
  } as typeof wide;
  const then = palazzoJob(HAND_BODY, { name: "Then", style: { id: "straight", params: {} } });
  becomes(now, then);
  expect(now).toEqual({ ...then, versions: [versionOf(wide, "v1", "Wide", "2026-11-23")] });
  expect(now.finish).toEqual(then.finish);
});
