import { readdirSync, readFileSync } from "node:fs";
import { FOLDS, HandLay, layCloth, type Fold, type LayCloth } from "../src/core/cloth";
import { laysOf } from "../src/core/cloth/clothLay";
import { NONE_LOCKED } from "../src/core/cloth/folds/oneStrip";
import { fitCloth } from "../src/core/derive/fitCloth";
import { layWithin, shapesOf, shapesOfAll } from "../src/core/derive/lay";
import { movesOfStyle } from "../src/core/derive/newJob";
import { readJob, type Job } from "../src/core/files";
import { seededRandom } from "../src/core/geometry";
import { plausibleBody } from "../src/core/testing/bodies";
import { palazzoJob } from "../src/core/testing/jobs";
import { faultsOf } from "../src/core/testing/layProof";
import { randomWorksheet } from "../src/core/testing/randomMoves";
import { Refusal } from "../src/core/units";

/**
 * Lays of random jobs on random cloth, proved by polygons of their own; and how soon, how short and in what steps the
 * worked examples are laid. `COUNT` random jobs (500) of `STEPS` steps (60), `SECONDS` for each worked example (10),
 * `TRIALS` of the largest number that fits (0).
 */

const COUNT = Number(process.env.COUNT ?? "500");
const STEPS = Number(process.env.STEPS ?? "60");
const SECONDS = Number(process.env.SECONDS ?? "10");
/** Random trials of the largest number that fits, each within so much time. */
const TRIALS = Number(process.env.TRIALS ?? "0");
const HAND_MOVES = Number(process.env.HAND ?? 0);
const FIT_MS = Number(process.env.FIT_MS ?? 6000);
const FOLD_KINDS: readonly Fold[] = FOLDS;
const PLAIN: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN;

function randomJobs(): void {
  let [laid, refused, undrawn, steps] = [0, 0, 0, 0];
  const faults: string[] = [];
  const firsts: number[] = [];
  const began = performance.now();
  for (let seed = 1; seed <= COUNT; seed++) {
    const random = seededRandom(seed * 31);
    const { style, moves } = randomWorksheet(seed);
    const found = shapesOf(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves }), "shell");
    if (!found.ok) {
      undrawn++;
      continue;
    }
    const cloth: LayCloth = {
      width: 900 + 900 * random(),
      fold: FOLD_KINDS[seed % FOLD_KINDS.length] as Fold,
      foldWidth: null,
      nap: random() < 0.3,
      gap: 4 * random(),
      repeat: random() < 0.3 ? { along: 60 + 400 * random(), first: 30 } : null,
    };
    const from = performance.now();
    let first = 0;
    let wrong: string[] = [];
    let own = 0;
    try {
      for (const next of layCloth(found.shapes, cloth, seed % 97)) {
        own++;
        if (next) {
          first ||= performance.now() - from;
          wrong = [...wrong, ...faultsOf(next.lay, cloth)];
        }
        if (first > 0 && own > STEPS) break;
      }
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
    steps += own;
    if (first === 0) refused++;
    else {
      laid++;
      firsts.push(first);
    }
    if (wrong.length > 0) faults.push(`seed ${seed}, ${style}, ${cloth.fold}: ${wrong[0]}`);
  }
  console.log(
    JSON.stringify({
      jobs: COUNT,
      laid,
      refused,
      undrawn,
      steps,
      faults: faults.length,
      firstMedianMs: Math.round(median(firsts)),
      seconds: Math.round((performance.now() - began) / 1000),
    }),
  );
  faults.slice(0, 10).forEach((fault) => console.log(fault));
}

function examples(): void {
  const folder = "samples/garments";
  const gains: number[] = [];
  for (const file of readdirSync(folder)) {
    const read = readJob(JSON.parse(readFileSync(`${folder}/${file}`, "utf8")));
    if (read.kind !== "job") continue;
    const job: Job = read.job;
    const found = shapesOf(job, "shell");
    if (!found.ok) continue;
    for (const fold of ["open", "lengthwise", "partly"] as const) {
      const from = performance.now();
      let [plain, used, length, bound, longest, last] = [0, 0, 0, 0, 0, from];
      try {
        for (const next of laysOf(found.shapes, { ...PLAIN, fold }, 1, NONE_LOCKED, null)) {
          plain = next?.lay.utilisation ?? 0;
          if (next) break;
        }
        last = performance.now();
        for (const next of layCloth(found.shapes, { ...PLAIN, fold }, 1)) {
          const now = performance.now();
          longest = Math.max(longest, now - last);
          if (next) {
            ({ utilisation: used, length, bound } = next.lay);
          }
          if (now - from > SECONDS * 1000) break;
          last = performance.now();
        }
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
      }
      if (plain === 0) {
        console.log(file, fold, "does not fit");
        continue;
      }
      if (fold === "open") gains.push(100 * (used - plain));
      console.log(
        `${file.padEnd(26)} ${fold.padEnd(10)} length ${length.toFixed(0)} bound ${bound.toFixed(0)} used ${(100 * used).toFixed(1)} first ${(100 * plain).toFixed(1)} longest step ${longest.toFixed(0)} ms`,
      );
    }
  }
  const mean = gains.reduce((sum, g) => sum + g, 0) / gains.length;
  console.log(`on open cloth ${mean.toFixed(1)} points more of it are used than by the first leftmost lay`);
}

/** The largest number that lies on the cloth in hand: its lay is proved, and a division of the tape more is tried. */
function largest(): void {
  const numbers = [
    ["palazzo", "spread", "hemSpread"],
    ["flare", "set-length", "length"],
    ["palazzo", "set-length", "length"],
    ["paper-bag", "set-length", "length"],
  ] as const;
  let [found, onCloth, sharp, open, none] = [0, 0, 0, 0, 0];
  for (let t = 0; t < TRIALS; t++) {
    const random = seededRandom(t * 17 + 3);
    const [style, move, number] = numbers[t % numbers.length] as (typeof numbers)[number];
    const job = palazzoJob(plausibleBody(t + 1), { style: { id: style, params: {} } });
    const base = shapesOf(job, "shell");
    if (!base.ok) continue;
    const cloth: LayCloth = { ...PLAIN, width: 1200 + 500 * random() };
    const usual = layWithin(base.shapes, cloth, 1, { steps: 400, milliseconds: 3000 });
    if (!usual.ok) continue;
    const length = usual.lay.length * (0.95 + 0.3 * random());
    const looking = fitCloth(job, cloth, length, { move, number, seed: 1, milliseconds: FIT_MS });
    let step = looking.next();
    while (!step.done) step = looking.next();
    if ("ok" in step.value) {
      none++;
      continue;
    }
    found++;
    const { lay, value, isNarrowed, tries } = step.value;
    console.log(`trial ${t}: ${value.toFixed(1)}${isNarrowed ? "" : ", not narrowed down"}, ${tries.length} tries`);
    if (lay.length <= length + 1e-6 && faultsOf(lay, cloth).length === 0) onCloth++;
    if (!isNarrowed) open++;
    const moves = movesOfStyle(style).map((m) =>
      m.move === move ? { ...m, params: { ...m.params, [number]: `${value + 5} mm` } } : m,
    );
    const more = shapesOf({ ...job, moves }, "shell");
    const next = more.ok
      ? [11, 12, 13].map((seed) =>
          layWithin(more.shapes, cloth, seed, { steps: 900, milliseconds: 4000, until: length }),
        )
      : [];
    if (next.every((r) => !r.ok || r.lay.length > length)) sharp++;
  }
  console.log(JSON.stringify({ trials: TRIALS, found, none, onCloth, nextDoesNotFit: sharp, notNarrowed: open }));
}

/** Pieces of three garments moved by hand: how long a move takes until the lay that comes of it is told. */
function byHand(): void {
  const jobs = [1, 2, 3].map((seed) => palazzoJob(plausibleBody(seed), { style: { id: "pleated", params: {} } }));
  const found = shapesOfAll(jobs, "shell");
  if (!found.ok) return;
  const laid = layWithin(found.shapes, PLAIN, 1, { steps: 200, milliseconds: 5000 });
  if (!laid.ok) return;
  const places = laid.lay.placements;
  const hand = new HandLay(found.shapes, PLAIN, places);
  const random = seededRandom(5);
  const times = Array.from({ length: HAND_MOVES }, (_, i) => {
    const piece = i % places.length;
    const { x, y, turn } = hand.lay().placements[piece] as (typeof places)[number];
    // A hand goes some millimetres between two pictures.
    const to = { x: x + 16 * (random() - 0.5), y: y + 16 * (random() - 0.5), turn };
    const from = performance.now();
    hand.move(piece, to);
    hand.lay();
    return performance.now() - from;
  }).sort((a, b) => a - b);
  const at = (share: number): string => (times[Math.floor(share * (times.length - 1))] as number).toFixed(1);
  console.log(`${places.length} pieces by hand: ${at(0.5)} ms median, ${at(0.99)} ms of 100, ${at(1)} ms at most`);
}

if (HAND_MOVES > 0) byHand();
if (TRIALS > 0) largest();
if (COUNT > 0) randomJobs();
if (SECONDS > 0) examples();
