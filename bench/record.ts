import { tell } from "../src/core/units";
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { derive } from "../src/core/derive";
import { JOB_VERSION, readJob } from "../src/core/files";
import { bodiceJob } from "../src/core/testing/randomBodice";
import { STYLES } from "../src/core/styles";
import { acrossJob, randomLegs, randomOwnBlock, randomOwnBodice, styledJob } from "../src/core/testing/randomJobs";
import { record, RECORDED_FOLDER, recordedJobs, type Recorded } from "../src/core/testing/recorded";
import { SAMPLE_CARDS } from "../src/store/sampleCards";
import { SAMPLE_JOBS } from "../src/store/sampleWorkroom";

/**
 * Records the sample jobs and some 340 random ones (legs, bodices with sleeves and cowls, blocks and bodices brought in) with
 * what they come to, before the form of a job changes: the program that follows has to draw the same from them. Run once for each version of the job file. Where shapes change on purpose, with
 * an edition of their own, AGAIN=1 (or 2, …) takes the jobs of that version as they were kept and records what they come
 * to now.
 */
const AGAIN = process.env.AGAIN;

const garments = "samples/garments";
const stored: [string, unknown][] = [
  ...readdirSync(garments).map((file): [string, unknown] => [
    file.replace(/\.json$/, ""),
    JSON.parse(readFileSync(join(garments, file), "utf8")),
  ]),
  ...SAMPLE_JOBS.map(({ id, job }): [string, unknown] => [id, job]),
];
const some = (what: string, count: number, job: (seed: number) => unknown): [string, unknown][] =>
  Array.from({ length: count }, (_, i) => [`${what}-${i}`, job(i)]);
/** Every style in three lengths, its hem stated. */
const styled = Object.keys(STYLES).flatMap((id) =>
  ["full", "knee", "shorts"].map((length): [string, unknown] => [`${id}-${length}`, styledJob(id, length)]),
);
const random = [
  ...some("across", 1, acrossJob),
  ...some("random", 150, randomLegs),
  ...some("bodice", 110, bodiceJob),
  ...some("own-block", 50, randomOwnBlock),
  ...some("own-bodice", 30, randomOwnBodice),
];
const jobs: readonly (readonly [string, unknown])[] = AGAIN
  ? recordedJobs(Number(AGAIN)).map(({ name, job }) => [name, job] as const)
  : [...stored, ...styled, ...random];
const recorded = jobs.map(([name, job]): Recorded => {
  const parsed = readJob(job);
  if (parsed.kind !== "job")
    throw new Error(`${name}: ${parsed.errors.map((e) => `${e.path} ${tell(e.says, "mm")}`).join("; ")}`);
  return record(name, job, derive(parsed.job));
});
const folder = join(RECORDED_FOLDER, `version-${AGAIN ?? JOB_VERSION}`);
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, "recorded.json.gz"), gzipSync(JSON.stringify(recorded), { level: 9 }));
if (!AGAIN) writeFileSync(join(folder, "jobs.json"), `${JSON.stringify(Object.fromEntries(stored), null, 1)}\n`);
if (!AGAIN) writeFileSync(join(folder, "cards.json"), `${JSON.stringify(SAMPLE_CARDS, null, 1)}\n`);
const refused = recorded.filter((r) => r.refused).length;
console.log(`${recorded.length} jobs recorded, ${refused} of them refused`);
