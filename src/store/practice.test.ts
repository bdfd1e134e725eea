import { textOf } from "@/core/units";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { derive, type Derived } from "@/core/derive";
import type { Job } from "@/core/files";
import { SAMPLE_JOBS } from "./sampleWorkroom";
import { jobFrom } from "@/core/testing/jobFrom";
import { asDrawn, exerciseOf, fromDrawn, hide, MISTAKES } from "@/core/derive/practice";

const folder = "samples/garments";
const jobs: readonly Job[] = [
  ...readdirSync(folder).map((file) => jobFrom(JSON.parse(readFileSync(join(folder, file), "utf8")))),
  ...SAMPLE_JOBS.map(({ job }) => job),
];
const sound = jobs.map((job): Derived => {
  const made = derive(job);
  if (!made.ok) throw new Error(job.name);
  return made;
});

test("there are twenty-five kinds of mistake and more, each with words of its own", () => {
  expect(MISTAKES.length).toBeGreaterThanOrEqual(25);
  for (const key of ["id", "label"] as const)
    expect(new Set(MISTAKES.map((m) => textOf(m[key]))).size).toBe(MISTAKES.length);
});

test.each(MISTAKES.map((m) => [textOf(m.label), m] as const))(
  "%s: hidden in five garments and more, it shows in its measure, and the sound pattern has it not",
  (_, mistake) => {
    let garments = 0;
    for (let i = 0; i < jobs.length && garments < 5; i++) {
      const [job, whole] = [jobs[i] as Job, sound[i] as Derived];
      const hidden = hide(mistake, job, whole, 1.2);
      if (!hidden) continue;
      garments++;
      // More than a tape division off, on the pattern that is handed to the learner; none on the sound one.
      expect(Math.abs(hidden.found - hidden.right)).toBeGreaterThan(3);
      expect(mistake.read(whole)).toBe(hidden.right);
      expect(mistake.read(hidden.derived)).toBe(hidden.found);
    }
    expect([mistake.label, garments]).toEqual([mistake.label, 5]);
  },
);

test("an exercise is the same for the same seed, offers its mistake once, and gets harder", () => {
  const some = jobs.slice(0, 6);
  const [a, b] = [exerciseOf(some, 3, 0), exerciseOf(some, 3, 0)];
  expect(a?.mistake.id).toBe(b?.mistake.id);
  expect(a?.offered.map((m) => m.id)).toEqual(b?.offered.map((m) => m.id));
  expect(a?.offered.filter((m) => m === a.mistake)).toHaveLength(1);
  const hard = exerciseOf(some, 3, 3);
  expect(hard?.offered.length ?? 0).toBeGreaterThan(a?.offered.length ?? 0);
  expect(exerciseOf([], 1, 0)).toBeNull();
});

test("what was missed before comes again", () => {
  const wanted = MISTAKES.find((m) => m.id === "crotch-none");
  const palazzo = jobs.filter((job) => job.style.id === "palazzo");
  const drawn = exerciseOf(palazzo, 9, 1, (m) => (m === wanted ? 100 : 1));
  expect(drawn?.mistake.id).toBe("crotch-none");
});

test("an exercise goes through a worker as plain data and comes out the same", () => {
  const drawn = exerciseOf(jobs.slice(0, 6), 3, 1);
  if (!drawn) throw new Error("none");
  const back = fromDrawn(structuredClone(asDrawn(drawn)));
  expect(back?.mistake).toBe(drawn.mistake);
  expect(back?.offered).toEqual(drawn.offered);
  expect(back?.derived.pieces.map((p) => p.cutLine)).toEqual(drawn.derived.pieces.map((p) => p.cutLine));
  expect(fromDrawn({ ...asDrawn(drawn), mistake: "none of ours" })).toBeNull();
});
