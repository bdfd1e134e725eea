import { tell } from "../src/core/units";
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { gzipSync } from "node:zlib";
import { derive } from "../src/core/derive";
import { BACKS, SCHOOLS } from "../src/core/drafting";
import { JOB_VERSION, readJob } from "../src/core/files";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { oneOf } from "../src/core/testing/choices";
import { randomFinish } from "../src/core/testing/randomFinish";
import { randomWorksheet } from "../src/core/testing/randomMoves";
import { record, RECORDED_FOLDER, recordedJobs, type Recorded } from "../src/core/testing/recorded";
import { SAMPLE_CARDS } from "../src/store/sampleCards";
import { SAMPLE_JOBS } from "../src/store/sampleWorkroom";

/**
 * Records the sample jobs and 300 random ones with what they come to, before the form of a job changes: the program that
 * follows has to draw the same from them. Run once for each version of the job file. Where shapes change on purpose, with
 * an edition of their own, AGAIN=1 (or 2, …) takes the jobs of that version as they were kept and records what they come
 * to now.
 */
const AGAIN = process.env.AGAIN;

const RANDOM = 300;

function randomJob(seed: number): unknown {
  const random = seededRandom(seed * 7919 + 13);
  const { style, moves } = randomWorksheet(seed * 31 + 7);
  const mm = (low: number, high: number): string => `${(low + (high - low) * random()).toFixed(1)} mm`;
  const maybe = (share: number, value: () => Record<string, unknown>): Record<string, unknown> =>
    random() < share ? value() : {};
  const rules = {
    ...maybe(0.4, () => ({ ease: { front: mm(0, 30), back: mm(0, 40) } })),
    ...maybe(0.4, () => ({ back: { how: oneOf(...Object.keys(BACKS))(random) } })),
    ...maybe(0.3, () => ({ waist: { shaping: oneOf("darts", "none", "hipWide", "centreBack")(random) } })),
    ...maybe(0.3, () => ({ frontExtension: { from: oneOf("hip20", "hip16", "quarter4", "hip8", "girth")(random) } })),
    ...maybe(0.2, () => ({ hang: oneOf("crease", "side", "inseam", "offset")(random) })),
    ...maybe(0.2, () => ({ dart: { at: oneOf("mid", "crease", "fixed")(random), value: mm(40, 120) } })),
    ...maybe(0.2, () => ({ crotchDepth: { add: mm(-10, 40) } })),
    ...maybe(0.2, () => ({ curve: { steer: oneOf("diagonal", "hipPoint", "outAndUp")(random) } })),
  };
  return {
    format: "eland-job",
    version: JOB_VERSION,
    name: `random ${seed}`,
    body: plausibleBody(seed + 500),
    block: { school: oneOf(...Object.keys(SCHOOLS))(random), rules },
    style: { id: style, params: maybe(0.3, () => ({ length: oneOf("full", "ankle", "calf", "knee")(random) })) },
    ...(random() < 0.75 ? { moves } : {}),
    finish: randomFinish(random),
    allowances: { set: oneOf("woven", "stretch", "overlocked", "let-out", "children")(random) },
    ...(random() < 0.5 ? { cloth: { name: "Plain", width: "150 cm" } } : {}),
  };
}

const garments = "samples/garments";
const stored: [string, unknown][] = [
  ...readdirSync(garments).map((file): [string, unknown] => [
    file.replace(/\.json$/, ""),
    JSON.parse(readFileSync(join(garments, file), "utf8")),
  ]),
  ...SAMPLE_JOBS.map(({ id, job }): [string, unknown] => [id, job]),
];
const random = Array.from({ length: RANDOM }, (_, i): [string, unknown] => [`random-${i}`, randomJob(i)]);
const jobs: readonly (readonly [string, unknown])[] = AGAIN
  ? recordedJobs(Number(AGAIN)).map(({ name, job }) => [name, job] as const)
  : [...stored, ...random];
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
