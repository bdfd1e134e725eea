import { recordedJobs } from "../../testing/recorded";
import { readJob } from "../readJob";
import { FIRST_VERSION, JOB_VERSION, MIGRATIONS, migrated } from ".";

/** A job as a form of its time kept it. */
const ofForm = <T extends object>(version: number, more: T) => ({
  format: "eland-job",
  version,
  name: "Of its time",
  edition: 3,
  body: { name: "", unit: "cm", measures: { waist: "76", hip: "104" } },
  block: { school: "proportional", rules: {} },
  style: { id: "palazzo", params: {} },
  ...more,
});

test("there is one migration to every form, in order, and each has a name", () => {
  const forms = Array.from({ length: JOB_VERSION - FIRST_VERSION }, (_, i) => FIRST_VERSION + 1 + i);
  expect(MIGRATIONS.map((m) => m.to)).toEqual(forms);
  expect(new Set(MIGRATIONS.map((m) => m.name)).size).toBe(MIGRATIONS.length);
});

test("jobs of the first form come up to today's, and what they came from is left as it was", () => {
  for (const { name, job } of recordedJobs(1)) {
    const before = JSON.stringify(job);
    const read = readJob(job);
    expect([name, read.kind]).toEqual([name, "job"]);
    if (read.kind !== "job") continue;
    expect([name, read.from, read.job.version]).toEqual([name, 1, JOB_VERSION]);
    expect(JSON.stringify(job)).toBe(before);
    // What is kept again is read again as it is.
    expect(readJob(JSON.parse(JSON.stringify(read.job)))).toEqual({ kind: "job", job: read.job, from: JOB_VERSION });
  }
});

test("a job that names no school states its style's own, and a kept version the one it was drawn by", () => {
  const body = { unit: "mm", measures: { waist: 760, hip: 1040 } };
  const job = { format: "eland-job", version: 1, body, style: { id: "jogger" } };
  const version = { id: "a", name: "Before", date: "2026-11-23", style: { id: "jogger" } };
  const now = migrated({ ...job, versions: [version] }, 1) as {
    block: { school: string };
    versions: { block: { school: string } }[];
  };
  const read = readJob(job);
  expect(read.kind === "job" && read.job.block.school).toBe(now.block.school);
  expect(now.versions[0]?.block.school).toBe("proportional");
  expect(migrated({ ...job, block: { school: "traced", rules: {} } }, 1)).toMatchObject({
    block: { school: "traced" },
  });
});

test("a block that is no block is handed on, to be refused by its place", () => {
  const read = readJob({
    format: "eland-job",
    version: 1,
    body: { unit: "mm", measures: {} },
    style: { id: "x" },
    block: 7,
  });
  expect(read.kind !== "job" && read.errors.map((e) => e.path)).toContain("block");
});

test("a job of the third form opens as it was, and may then say how its cloth lies and how it is made", () => {
  const job = ofForm(3, {
    block: { school: "traced", rules: {} },
    style: { id: "flare", params: {} },
    cloth: { name: "Dune twill", width: "150 cm", length: "290 cm", stretch: 0.1 },
  });
  const read = readJob(job);
  expect(read.kind === "job" && { ...read.job, version: 3 }).toEqual(job);
  const more = {
    ...job,
    version: 4,
    cloth: { ...job.cloth, fold: "lengthwise", nap: true },
    making: { closing: "legs-first" },
  };
  expect(readJob(more)).toMatchObject({ kind: "job", from: 4 });
  const wrong = readJob({ ...more, cloth: { fold: "rolled" } });
  expect(wrong.kind !== "job" && wrong.errors[0]?.path).toBe("cloth.fold");
});

test("a job of the form before own bodices opens without one, and a version of its time too", () => {
  const job = ofForm(4, {
    style: { id: "one-piece", params: { school: "quarters" } },
    making: { schools: {} },
  });
  const { making: _, ...kept } = job;
  const read = readJob(kept);
  expect(read).toMatchObject({ kind: "job", from: 4, job: { ...kept, version: JOB_VERSION } });
  expect(read.kind === "job" && "bodice" in read.job.block).toBe(false);
});

test("a job of the fifth form opens as it was, and its plan may then say when it is tried on", () => {
  const kept = ofForm(5, {
    block: { school: "traced", rules: {}, onTape: true },
    style: { id: "flare", params: {} },
    making: { closing: "legs-first", gate: "toile", plan: { week: [0, 60, 60, 60, 60, 60, 180], due: "2026-12-24" } },
  });
  const read = readJob(kept);
  expect(read).toMatchObject({ kind: "job", from: 5, job: { ...kept, version: JOB_VERSION } });
  const plan = { ...kept.making.plan, fittings: ["2026-12-05"] };
  expect(readJob({ ...kept, version: JOB_VERSION, making: { ...kept.making, plan } }).kind).toBe("job");
  const odd = readJob({
    ...kept,
    version: JOB_VERSION,
    making: { ...kept.making, plan: { ...plan, fittings: ["soon"] } },
  });
  expect(odd.kind !== "job" && odd.errors.map((e) => e.path)).toEqual(["making.plan.fittings.0"]);
});

test("a job of the sixth form opens as it was, and its cloth may then say which pieces lie across it or on the bias", () => {
  const kept = ofForm(6, {
    cloth: { width: "150", nap: true, joined: ["back"] },
    making: { plan: { week: [0, 60, 60, 60, 60, 60, 180], due: "2026-12-24", fittings: ["2026-12-05"] } },
  });
  const read = readJob(kept);
  expect(read).toMatchObject({ kind: "job", from: 6, job: { ...kept, version: JOB_VERSION } });
  expect(read.kind === "job" && read.job.cloth && "grain" in read.job.cloth).toBe(false);
  const turned = { ...kept, version: JOB_VERSION, cloth: { ...kept.cloth, grain: { band: "across", front: "bias" } } };
  expect(readJob(turned).kind).toBe("job");
  const odd = readJob({ ...turned, cloth: { ...turned.cloth, grain: { band: "upwards" } } });
  expect(odd.kind !== "job" && odd.errors.map((e) => e.path)).toEqual(["cloth.grain.band"]);
});

test("a job of the seventh form opens as it was, and may then lie on a remnant and keep a fitting on one side", () => {
  const kept = ofForm(7, {
    cloth: { width: "150", length: "290", grain: { band: "across" } },
    fittings: [
      {
        id: "a",
        date: "2026-05-03",
        seen: "hem-short",
        pinned: "left",
        words: "",
        changes: [{ move: "set-length", param: "length", by: 10 }],
      },
    ],
  });
  const read = readJob(kept);
  expect(read).toMatchObject({ kind: "job", from: 7, job: { ...kept, version: JOB_VERSION } });
  expect(read.kind === "job" && read.job.cloth && "outline" in read.job.cloth).toBe(false);
  const [fitting] = kept.fittings;
  const alone = { ...kept, version: JOB_VERSION, fittings: [{ ...fitting, alone: true }] };
  expect(readJob(alone)).toMatchObject({ kind: "job", job: alone });
  const corners = ["0 0", "290 0", "290 150", "60 150"].map((at) => at.split(" "));
  const remnant = { ...kept, version: JOB_VERSION, cloth: { ...kept.cloth, outline: corners } };
  expect(readJob(remnant).kind).toBe("job");
  const odd = readJob({ ...remnant, cloth: { outline: corners.slice(0, 2) } });
  expect(odd.kind !== "job" && odd.errors[0]?.path).toBe("cloth.outline");
});

test("pieces of a job of form 8 lie as they did; today one may lean", () => {
  const kept = ofForm(8, { cloth: { grain: { back: "bias" } } });
  expect(readJob(kept)).toMatchObject({ kind: "job", from: 8, job: { ...kept, version: JOB_VERSION } });
  const leaning = { ...kept, version: JOB_VERSION, cloth: { grain: { back: "clockwise" } } };
  expect(readJob(leaning).kind).toBe("job");
  expect(readJob({ ...leaning, cloth: { grain: { back: "askew" } } }).kind).not.toBe("job");
});
