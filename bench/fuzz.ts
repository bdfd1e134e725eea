import { tell } from "../src/core/units";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { readJobText } from "../src/core/files";
import { bringIn } from "../src/core/files/bringIn";
import { seededRandom } from "../src/core/geometry";
import { mutatedJson } from "../src/core/testing/mutatedJson";
import { mutatedText } from "../src/core/testing/mutatedText";
import { answer, type Question } from "../src/server/answer";
import { readWorkroomFile, writeWorkroomFile } from "../src/store/workroomFile";
import { SHELVES, type Kept } from "../src/store/shelfNames";

/**
 * Damaged files and bodies at every door: jobs, drawings, workrooms, and what the API is asked. Each must be answered with a
 * sentence, within the time, with no error of the program's own and nothing left on any prototype. `COUNT` in all (50,000).
 * What the API was asked and took too long over is kept in bench/results.
 */
const COUNT = Number(process.env.COUNT ?? "50000");
/** Copies of a workroom with one wrong bit each. */
const BITS = Number(process.env.BITS ?? "4000");
const WITHIN_MS = 2000;
const SENTENCE = /^\S.*\.$/s;

const jobs = readdirSync("samples/garments").map((file) => readFileSync(`samples/garments/${file}`, "utf8"));
const drawings = ["two-legs.dxf", "hand-drawn.svg"].map((f) =>
  readFileSync(`src/core/files/bringIn/fixtures/${f}`, "utf8"),
);
const records = Object.fromEntries(
  SHELVES.map((name) => [
    name,
    name === "jobs"
      ? jobs.map((job, i): Kept => ({ id: `j${i}`, ...{ version: 1, revision: 1, job: JSON.parse(job) } }))
      : [],
  ]),
) as unknown as Parameters<typeof writeWorkroomFile>[0];
const workroom = writeWorkroomFile(records, "2026-01-01T00:00:00.000Z");

const random = seededRandom(20261128);
const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;

/** A zip with some of its bytes, or some of its entries, changed. */
function mutatedZip(): Uint8Array {
  if (random() < 0.5) {
    const bytes = workroom.slice();
    for (let i = 1 + Math.floor(random() * 20); i > 0; i--)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    return random() < 0.3 ? bytes.slice(0, Math.floor(random() * bytes.length)) : bytes;
  }
  const entries = unzipSync(workroom);
  const name = pick(Object.keys(entries));
  const text = mutatedText(strFromU8(entries[name] as Uint8Array), random);
  if (random() < 0.2)
    entries[pick(["../out.json", "jobs/x.json", "__proto__/1.json", "jobs/00001.bin"])] = strToU8(text);
  else entries[name] = strToU8(text);
  return zipSync(entries, { level: 1 });
}

/** What was asked last, and how long it may take: a lay looks for as many seconds as it is asked to. */
let last = "";
let lastBody = "";
let within = WITHIN_MS;
/** What a door answers: the sentences of a refusal, or none. */
type Door = () => Promise<readonly string[]> | readonly string[];

const CLOTH = { width: 1500, fold: "open" };
/** What can be asked with a job; lays are short. */
const QUESTIONS: readonly ((job: unknown) => readonly [Question["kind"], unknown])[] = [
  (job) => ["derive", job],
  (job) => ["derive", job],
  (job) => ["making", job],
  (job) => ["cards", job],
  (job) => ["lay", { job, cloth: CLOTH, steps: 3, seed: 1 }],
  (job) => [
    "fit-cloth",
    { job, cloth: { ...CLOTH, length: 3000 }, move: "set-length", number: "length", seconds: 0.2 },
  ],
];

async function asked(): Promise<readonly string[]> {
  const [kind, whole] = pick(QUESTIONS)(JSON.parse(pick(jobs)));
  const mutated = mutatedJson(whole, random);
  const body = JSON.stringify(mutated);
  const { seconds } = (mutated ?? {}) as { readonly seconds?: unknown };
  last = kind;
  lastBody = body;
  if (kind === "lay" || kind === "fit-cloth") within += 1000 * (typeof seconds === "number" ? Math.max(0, seconds) : 2);
  const { status, bytes } = await answer((kind === "cards" ? { kind, body, on: "paper" } : { kind, body }) as Question);
  if (status === 200) return [];
  if (![400, 413, 422].includes(status)) throw new Error(`status ${status}`);
  const { errors } = JSON.parse(new TextDecoder().decode(bytes)) as { errors: readonly { message: string }[] };
  return errors.map((e) => e.message);
}

const DOORS: Readonly<Record<string, Door>> = {
  "job files": () => {
    last = "";
    const read = readJobText(mutatedText(pick(jobs), random));
    return read.kind === "job" ? [] : read.errors.map((e) => tell(e.says, "mm"));
  },
  drawings: () => {
    const got = bringIn(mutatedText(pick(drawings), random), 1);
    return got.kind === "refused" ? [got.message] : [];
  },
  workrooms: () => {
    const read = readWorkroomFile(mutatedZip());
    return read.kind === "refused" ? [read.message] : [];
  },
  "bodies of the API": asked,
};

/** Copies of a workroom with one wrong bit each: none is taken in with a record that was changed. */
function wrongBits(): void {
  const told = { workroom: 0, damaged: 0, refused: 0, changed: 0 };
  for (let n = 0; n < BITS; n++) {
    const bytes = workroom.slice();
    const at = Math.floor(random() * bytes.length);
    bytes[at] = (bytes[at] as number) ^ (1 << Math.floor(random() * 8));
    const read = readWorkroomFile(bytes);
    told[read.kind]++;
    if (read.kind === "refused") continue;
    const known = (shelf: (typeof SHELVES)[number]): Set<string> =>
      new Set(records[shelf].map((record) => JSON.stringify(record)));
    if (SHELVES.some((shelf) => read.records[shelf].some((record) => !known(shelf).has(JSON.stringify(record)))))
      told.changed++;
  }
  console.log(JSON.stringify({ wrongBits: BITS, ...told }));
}

async function main(): Promise<void> {
  if (BITS > 0) wrongBits();
  const told: Record<string, { tried: number; refused: number; longestMs: number }> = {};
  const faults: string[] = [];
  const names = Object.keys(DOORS);
  for (let n = 0; n < COUNT; n++) {
    const name = names[n % names.length] as string;
    const own = (told[name] ??= { tried: 0, refused: 0, longestMs: 0 });
    within = WITHIN_MS;
    const from = performance.now();
    try {
      const says = await (DOORS[name] as Door)();
      own.refused += says.length > 0 ? 1 : 0;
      for (const sentence of says)
        if (!SENTENCE.test(sentence)) faults.push(`${name}: no sentence: ${sentence.slice(0, 120)}`);
    } catch (error) {
      faults.push(`${name}: ${String(error).slice(0, 160)}`);
    }
    const took = performance.now() - from;
    own.tried++;
    own.longestMs = Math.max(own.longestMs, Math.round(took));
    if (took > within) {
      faults.push(`${name} ${n}, ${last}: ${Math.round(took)} ms`);
      if (last) writeFileSync(`bench/results/slow-${last}-${n}.json`, lastBody);
    }
    if (Object.keys(Object.prototype).length > 0) throw new Error("something was left on the prototype of all objects");
  }
  console.log(JSON.stringify({ count: COUNT, told, faults: faults.length, first: faults.slice(0, 12) }, null, 2));
}

void main();
