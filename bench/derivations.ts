import { mkdirSync, writeFileSync } from "node:fs";
import { availableParallelism } from "node:os";
import { isMainThread, parentPort, Worker, workerData } from "node:worker_threads";
import { derive } from "../src/core/derive";
import { deriveShape } from "../src/core/derive/shape";
import { SCHOOLS } from "../src/core/drafting";
import type { Job } from "../src/core/files";
import { changeOf, SYMPTOMS } from "../src/core/fitting";
import { usualOn } from "../src/core/params";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { palazzoJob } from "../src/core/testing/jobs";
import { ownBlockOf } from "../src/core/testing/ownBlock";
import { ownBodiceOf } from "../src/core/testing/ownBodice";
import { randomFinish } from "../src/core/testing/randomFinish";
import { randomWorksheet } from "../src/core/testing/randomMoves";
import { NOT_WORDS, said } from "../src/core/testing/said";
import { styleCase } from "../src/core/testing/styleRanges";
import { STYLES } from "../src/core/styles";
import { badFromOutside, badRing } from "../src/core/testing/outside";

/**
 * Random garments on random bodies: any style and school, its numbers anywhere in their range or with more moves anywhere in
 * it; every tenth the whole way to its pieces, with any finish. Outlines are looked at from outside. What is refused is
 * counted by its sentence, numbers and names left out. `COUNT` in all (1,000,000), from seed `FROM` (1), on `CORES`.
 */
const COUNT = Number(process.env.COUNT ?? "1000000");
const FROM = Number(process.env.FROM ?? "1");
const CORES = Number(process.env.CORES ?? availableParallelism());
const WHOLE_EVERY = 10;
const TOLD_EVERY = 2000;
const EXAMPLES = 30;
/** Every so many garments a block is brought in; 0 for none. */
const OWN_EVERY = Number(process.env.OWN_EVERY ?? "12");

interface Told {
  made: number;
  whole: number;
  refused: Record<string, number>;
  passedOver: number;
  /** Cut lines that cross where little is left between two seams, each said by the proof. */
  cutLinesAtFault: number;
  unexplained: string[];
  bad: string[];
  threw: string[];
  slowest: { readonly ms: number; readonly seed: number };
}
const nothing = (): Told => ({
  made: 0,
  whole: 0,
  refused: {},
  passedOver: 0,
  cutLinesAtFault: 0,
  unexplained: [],
  bad: [],
  threw: [],
  slowest: { ms: 0, seed: 0 },
});

function added(to: Told, more: Told): void {
  for (const key of ["made", "whole", "passedOver", "cutLinesAtFault"] as const) to[key] += more[key];
  for (const [why, n] of Object.entries(more.refused)) to.refused[why] = (to.refused[why] ?? 0) + n;
  for (const key of ["unexplained", "bad", "threw"] as const) to[key].push(...more[key]);
  if (more.slowest.ms > to.slowest.ms) to.slowest = more.slowest;
}

export function jobFor(seed: number): Job {
  const job = drawnFor(seed);
  return OWN_EVERY > 0 && seed % OWN_EVERY === OWN_EVERY >> 1 ? bodiceBroughtIn(job) : job;
}

/** The job as it is, or, where a bodice is drafted in it, with that bodice as one brought in. */
function bodiceBroughtIn(job: Job): Job {
  const made = deriveShape(job);
  if (!made.ok || !made.drafted.panels.some((p) => p.id === "bodice-front")) return job;
  const own = { ...job, block: { ...job.block, bodice: ownBodiceOf(job) } };
  const takes = <P extends object>(params: P): P & { readonly school: "own" } => ({ ...params, school: "own" });
  if (!job.moves) return { ...own, style: { ...job.style, params: takes(job.style.params) } };
  return { ...own, moves: job.moves.map((m) => (m.move === "bodice" ? { ...m, params: takes(m.params) } : m)) };
}

function drawnFor(seed: number): Job {
  const random = seededRandom(seed * 7919 + 13);
  const body = plausibleBody(seed);
  const finish = seed % WHOLE_EVERY === 0 ? randomFinish(random) : {};
  const schools = Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[];
  const school = schools[Math.floor(random() * schools.length)] ?? "proportional";
  const block = random() < 0.3 ? { block: { school, rules: {} } } : {};
  if (OWN_EVERY > 0 && seed % OWN_EVERY === 0) return broughtIn(seed, school, random, finish);
  if (random() < 0.5) {
    const { style, moves } = randomWorksheet(seed);
    return palazzoJob(body, { style: { id: style, params: {} }, moves, finish, ...block });
  }
  const ids = Object.keys(STYLES);
  const id = ids[Math.floor(random() * ids.length)] ?? "palazzo";
  return palazzoJob(body, { style: { id, params: styleCase(id, body, random).params }, finish, ...block });
}

/** A drafted block as one brought in, with up to three corrections, any style and moves. */
function broughtIn(seed: number, school: keyof typeof SCHOOLS, random: () => number, finish: Job["finish"]): Job {
  const body = plausibleBody(seed);
  const { style, moves } = randomWorksheet(seed);
  const plain = palazzoJob(body, { style: { id: "straight", params: {} }, moves: [], block: { school, rules: {} } });
  if (!deriveShape(plain).ok) return plain;
  const cures = SYMPTOMS.flatMap((symptom) => symptom.cures.map((cure) => ({ seen: symptom.id, cure })));
  const fittings = Array.from({ length: Math.floor(4 * random()) }, (_, i) => {
    const { seen, cure } = cures[Math.floor(random() * cures.length)] as (typeof cures)[number];
    const change = changeOf(cure, usualOn(cure.usual, "cm") * (0.5 + 2 * random()));
    return { id: `f${i}`, date: "2026-05-03", seen, pinned: "both" as const, words: "", changes: [change] };
  });
  return palazzoJob(body, {
    style: { id: style, params: {} },
    block: { school: "own", rules: {}, own: ownBlockOf(undefined, plain) },
    ...(random() < 0.7 && { moves }),
    finish,
    fittings,
  });
}

const withoutNumbers = (text: string): string => text.replace(/\d+(?:[.,]\d+)?(?: \d\/\d+)?/g, "n").slice(0, 160);

function look(seed: number, told: Told): void {
  const job = jobFor(seed);
  const isWhole = seed % WHOLE_EVERY === 0;
  const from = performance.now();
  const whole = isWhole ? derive(job) : null;
  const made = whole ?? deriveShape(job);
  const ms = Math.round(performance.now() - from);
  if (ms > told.slowest.ms) told.slowest = { ms, seed };
  if (!made.ok) {
    const words = said(made.errors[0]?.says);
    const why = withoutNumbers(words);
    told.refused[why] = (told.refused[why] ?? 0) + 1;
    if (!words.endsWith(".") || NOT_WORDS.test(words)) told.unexplained.push(`${seed}: ${words}`);
    return;
  }
  told.made++;
  if (made.worksheet.some((l) => l.passed !== null)) told.passedOver++;
  // A block that was brought in keeps the difference of its own inseams.
  const shorter = job.block.school === "own" ? made.block.numbers.backShorter?.mm : made.rules.inseam.backShorter;
  const faults = badFromOutside(made.panels, made.joins, shorter ?? 0);
  if (whole?.ok) {
    told.whole++;
    const crossing = whole.pieces.flatMap((piece) => badRing(`cut line of ${piece.id}`, piece.cutLine));
    const isSaid = whole.checks.some((check) => check.id === "allowances" && check.status === "fault");
    if (crossing.length > 0 && isSaid) told.cutLinesAtFault++;
    else faults.push(...crossing);
  }
  if (faults.length > 0) told.bad.push(`${seed}: ${faults.slice(0, 3).join("; ")}`);
}

interface Share {
  readonly from: number;
  readonly to: number;
}

function works({ from, to }: Share): void {
  let told = nothing();
  for (let seed = from; seed < to; seed++) {
    try {
      look(seed, told);
    } catch (error) {
      told.threw.push(`${seed}: ${String(error)}`);
    }
    if ((seed - from + 1) % TOLD_EVERY !== 0 && seed !== to - 1) continue;
    parentPort?.postMessage(told);
    told = nothing();
  }
}

async function main(): Promise<void> {
  const all = nothing();
  const started = performance.now();
  mkdirSync("bench/results", { recursive: true });
  const tell = (): string => {
    const refused = Object.entries(all.refused).sort(([, a], [, b]) => b - a);
    const sum = refused.reduce((n, [, own]) => n + own, 0);
    const cut = (list: readonly string[]) => ({ count: list.length, first: list.slice(0, EXAMPLES) });
    const figures = {
      asked: COUNT,
      from: FROM,
      done: all.made + sum + all.threw.length,
      ...all,
      bad: cut(all.bad),
      threw: cut(all.threw),
      unexplained: cut(all.unexplained),
      refusals: sum,
      refused: Object.fromEntries(refused),
      minutes: Math.round((performance.now() - started) / 6000) / 10,
    };
    return JSON.stringify(figures, null, 2);
  };
  const share = Math.ceil(COUNT / CORES);
  await Promise.all(
    Array.from({ length: CORES }, (_, i) => {
      const workerData: Share = { from: FROM + i * share, to: FROM + Math.min(COUNT, (i + 1) * share) };
      return new Promise<void>((done, failed) => {
        const worker = new Worker(__filename, { workerData });
        worker.on("message", (told: Told) => {
          added(all, told);
          writeFileSync(`bench/results/derivations-${FROM}.json`, `${tell()}\n`);
        });
        worker.on("error", failed);
        worker.on("exit", () => done());
      });
    }),
  );
  console.log(tell());
}

if (require.main === module && isMainThread) void main();
else works(workerData as Share);
