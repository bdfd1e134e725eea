import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { readJobText, type Job } from "@/core/files";
import { derivedOf, HAND_BODY } from "@/core/testing/jobs";
import { plausibleBody } from "@/core/testing/bodies";
import { derive } from "@/core/derive";
import { RULE_GROUPS } from "./ruleRows";

const FOLDER = join(process.cwd(), "samples/garments");
const files = readdirSync(FOLDER).filter((f) => f.endsWith(".json"));

function garment(file: string): Job {
  const read = readJobText(readFileSync(join(FOLDER, file), "utf8"));
  if (!read.ok) throw new Error(`${file}: ${read.errors.map((e) => `${e.path} ${e.message}`).join("; ")}`);
  return read.job;
}

/** Every rule a job changes, as the screen names it. */
const rulePaths = (job: Job): string[] =>
  Object.entries(job.block.rules).flatMap(([group, values]) =>
    typeof values === "object" ? Object.keys(values).map((key) => `${group}.${key}`) : [group],
  );

const onScreen = new Map(RULE_GROUPS.flatMap((g) => g.rows).map((row) => [row.path.join("."), row]));

test("the thirteen blocks of this folder are all there", () => {
  expect(files.map((f) => f.slice(0, 3))).toEqual([
    "g01",
    "g04",
    "g05",
    "g07",
    "g08",
    "g09",
    "g10",
    "g11",
    "g14",
    "g15",
    "g16",
    "g17",
    "g18",
  ]);
});

describe.each(files)("%s", (file) => {
  const job = garment(file);

  test("every rule it changes can be chosen on the screen", () => {
    for (const path of rulePaths(job)) {
      const row = onScreen.get(path);
      expect([path, row !== undefined]).toEqual([path, true]);
      const value = path.split(".").reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], job.block.rules);
      if (row?.choices) expect(row.choices.map(([word]) => word)).toContain(value);
    }
  });

  test("its block comes out right on its own wearer: nothing is at fault, nothing is odd on the card", () => {
    const derived = derivedOf(job);
    expect(derived.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual([]);
    expect(derived.questions).toEqual([]);
  });

  test("and on four other bodies, or says in a sentence why not", () => {
    for (const body of [HAND_BODY, plausibleBody(11), plausibleBody(12), plausibleBody(19)]) {
      const derived = derive({ ...job, body });
      if (!derived.ok) expect(derived.errors[0]?.message).toMatch(/\.$/);
      else expect(derived.checks.find((c) => c.id === "side-seams")?.status).toBe("pass");
    }
  });
});
