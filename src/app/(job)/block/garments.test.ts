import { jobFrom } from "@/core/testing/jobFrom";
import { said } from "@/core/testing/said";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { type Job } from "@/core/files";
import { derivedOf, FOUR_BODIES, HAND_BODY } from "@/core/testing/jobs";
import { plausibleBody } from "@/core/testing/bodies";
import { derive } from "@/core/derive";
import { badPattern } from "@/core/testing/badOutline";
import { STYLES } from "@/core/styles";
import { applyChanges } from "@/core/derive/changes";
import type { ZodObject } from "zod";
import { MOVES } from "@/core/moves";
import { RULE_SECTIONS } from "@/core/drafting";

const FOLDER = join(process.cwd(), "samples/garments");
const files = readdirSync(FOLDER).filter((f) => f.endsWith(".json"));

function garment(file: string): Job {
  return jobFrom(JSON.parse(readFileSync(join(FOLDER, file), "utf8")));
}

/** Every rule a job changes, as the screen names it. */
const rulePaths = (job: Job): string[] =>
  Object.entries(job.block.rules).flatMap(([group, values]) =>
    typeof values === "object" ? Object.keys(values).map((key) => `${group}.${key}`) : [group],
  );

/** What the proof finds, and should: a band that does not pass the hip, closures that are asked for, a leg meant to bunch. */
const FAULTS: Readonly<Record<string, readonly string[]>> = {
  // Cut to the body's waist without an opening: exactly what has to be caught.
  "paper-bag": ["pull-on"],
  // Their closure is asked for.
  "bandless-flare": ["pull-on"],
  "stretch-wide": ["pull-on"],
  // Longer than the floor on purpose, and marked so.
  "high-cigarette": ["floor-clearance"],
  // The back's inch lies at the hip line alone: a corner, marked so.
  jogger: ["hip-corner"],
};

const onScreen = new Map(RULE_SECTIONS.flatMap((s) => s.rows).map((row) => [row.path.join("."), row.param]));

test("the garments of this folder are all there", () => {
  expect(files.map((f) => f.replace(".json", "")).sort()).toEqual([
    "bandless-flare",
    "bell",
    "circle-flounce",
    "cowl-top",
    "folded-front",
    "high-cigarette",
    "jogger",
    "loose-sweat",
    "one-piece-culotte",
    "one-piece-pleated",
    "palazzo",
    "paper-bag",
    "paper-bag-shorts",
    "pleated-shorts",
    "side-panels",
    "slit-front",
    "stretch-wide",
    "trimmed-shorts",
    "yoked-fly",
  ]);
});

describe.each(files)("%s", (file) => {
  const job = garment(file);

  test("every rule it changes can be chosen on the screen", () => {
    for (const path of rulePaths(job)) {
      const row = onScreen.get(path);
      expect([path, row !== undefined]).toEqual([path, true]);
      const value = path.split(".").reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], job.block.rules);
      if (row?.as === "choice") expect(row.options.map(([word]) => word)).toContain(value);
    }
  });

  test("comes out right on its own wearer: no move is passed over, nothing is at fault, nothing is odd on the card", () => {
    const derived = derivedOf(job);
    const known = FAULTS[file.replace(".json", "")] ?? [];
    expect(derived.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual(known);
    expect(derived.worksheet.filter((l) => l.passed).map((l) => l.passed)).toEqual([]);
    expect(derived.questions).toEqual([]);
    expect(badPattern(derived.panels, derived.joins, 3)).toEqual([]);
  });

  test("every number of its moves can be set on the screen", () => {
    for (const { move, params } of job.moves ?? STYLES[job.style.id]?.moves ?? [])
      for (const param of Object.keys(params)) {
        expect([move, param, param in (MOVES[move]?.params ?? {})]).toEqual([move, param, true]);
      }
    for (const param of Object.keys(job.style.params))
      expect(Object.keys((STYLES[job.style.id]?.params as ZodObject).shape)).toContain(param);
  });

  test("and on four other bodies, or says in a sentence why not", () => {
    for (const body of [HAND_BODY, plausibleBody(11), plausibleBody(12), plausibleBody(19)]) {
      const derived = derive({ ...job, body });
      if (!derived.ok) expect(said(derived.errors[0]?.says)).toMatch(/\.$/);
      else expect(derived.checks.find((c) => c.id === "side-seams")?.status).toBe("pass");
    }
  });
});

/** What the proof has to find on other wearers: on all of them, or on one. */
const SHOWN: Readonly<Record<string, readonly string[]>> = {
  "paper-bag": ["pull-on"],
  "bandless-flare": ["pull-on"],
  "stretch-wide": ["pull-on"],
  // Set in inches for one wearer, it lies on the floor under shorter ones.
  "high-cigarette Slim": ["floor-clearance"],
  "high-cigarette Middle": ["floor-clearance"],
  // A very full hip over a slim knee is an abrupt curve whatever one does; its thigh fills the leg.
  "high-cigarette Full": ["hip-corner", "floor-clearance"],
  jogger: ["hip-corner"],
  // Set in inches for one wearer, its hem is narrower than this thigh: it comes in so abruptly that its seam bends within its allowance.
  "trimmed-shorts Full": ["hip-corner", "allowances"],
};
/** With every remedy pressed: what is left for the maker. */
const LEFT: Readonly<Record<string, readonly string[]>> = {
  "high-cigarette Full": ["hip-corner"],
  "trimmed-shorts Full": ["hip-corner", "allowances"],
  ...Object.fromEntries(FOUR_BODIES.map(({ name }) => [`jogger ${name}`, ["hip-corner"]])),
};
/** A frilled ring cut to the body's waist has darts under it as well: two presses. */
const PRESSES = 4;

/** The job with every remedy that the proof offers pressed, one after another. */
function mended(job: Job): Job {
  let now = job;
  for (let i = 0; i < PRESSES; i++) {
    const fault = derivedOf(now).checks.find((c) => c.status === "fault" && c.remedy);
    if (!fault?.remedy) return now;
    const next = structuredClone(now);
    applyChanges(next, fault.remedy.changes);
    now = next;
  }
  return now;
}

describe.each(files.map((f) => [f.replace(".json", ""), garment(f)] as const))(
  "%s on four differing wearers",
  (id, job) => {
    // A block that was brought in was made for one wearer.
    const wearers = job.block.school === "own" ? [job.body] : FOUR_BODIES;

    test.each(wearers.map((body) => [body.name, body] as const))(
      "%s: sewn edges agree, and one press mends a fault",
      (name, body) => {
        const tried = derivedOf({ ...job, body });
        for (const seam of tried.seams.filter((s) => s.how === "equal"))
          expect([seam.id, Math.abs(seam.lengthA - seam.lengthB) < 0.3]).toEqual([seam.id, true]);
        expect(tried.worksheet.filter((l) => l.passed)).toEqual([]);
        const faults = tried.checks.filter((c) => c.status === "fault").map((c) => c.id);
        if (job.block.school !== "own") expect(faults).toEqual(SHOWN[`${id} ${name}`] ?? SHOWN[id] ?? []);
        // Cut without adding its seams, which eat the ease.
        if (id === "paper-bag-shorts") expect(tried.checks.find((c) => c.id === "hip-ease")?.status).not.toBe("pass");
        const after = derivedOf(mended({ ...job, body }));
        expect(after.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual(LEFT[`${id} ${name}`] ?? []);
      },
    );
  },
);
