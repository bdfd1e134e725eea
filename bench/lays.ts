import { overAfter } from "../src/clock";
import { readdirSync, readFileSync } from "node:fs";
import { cannotBeUnder, FOLDS, HandLay, isNearest, layCloth, type Fold, type LayCloth } from "../src/core/cloth";
import { laysOf } from "../src/core/cloth/clothLay";
import { NONE_LOCKED } from "../src/core/cloth/folds/oneStrip";
import { layWithin, shapesOf, shapesOfAll } from "../src/core/derive/lay";
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
 * `BOUNDS` random garments of which it is proved what they cannot be under (0).
 */

const COUNT = Number(process.env.COUNT ?? "500");
const STEPS = Number(process.env.STEPS ?? "60");
const SECONDS = Number(process.env.SECONDS ?? "10");
/** Random garments of which it is proved what cannot be undercut. */
const BOUNDS = Number(process.env.BOUNDS ?? "0");
const HAND_MOVES = Number(process.env.HAND ?? 0);
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

/** What cannot be undercut of random garments on open cloth, against the shortest lay of a search: never above it. */
function bounds(): void {
  const styles = ["palazzo", "jogger", "paper-bag", "pleated", "straight", "culotte", "flare"] as const;
  const shares: number[] = [];
  let [above, nearest, seconds] = [0, 0, 0];
  for (let k = 0; k < BOUNDS; k++) {
    const random = seededRandom(k * 131 + 7);
    const style = styles[k % styles.length] as string;
    const cloth: LayCloth = { ...PLAIN, width: 1100 + 450 * random(), nap: random() < 0.25, gap: 3 * random() };
    const found = shapesOf(palazzoJob(plausibleBody(k + 300), { style: { id: style, params: {} } }), "shell", cloth);
    const laid = found.ok
      ? layWithin(found.shapes, cloth, 1, { steps: Infinity, isOver: overAfter(SECONDS * 1000) })
      : null;
    if (!found.ok || !laid?.ok) continue;
    const { length } = laid.lay;
    const from = performance.now();
    let bound = 0;
    for (const next of cannotBeUnder(found.shapes, cloth, length)) bound = next ?? bound;
    const took = (performance.now() - from) / 1000;
    seconds = Math.max(seconds, took);
    // Looked into again by other searches, no lay comes under it.
    const again = [5, 6].map((seed) =>
      layWithin(found.shapes, cloth, seed, { steps: Infinity, isOver: overAfter(SECONDS * 1000) }),
    );
    if ([laid, ...again].some((l) => l.ok && l.lay.length < bound - 1e-6)) above++;
    if (isNearest(length, bound)) nearest++;
    shares.push(bound / length);
    console.log(
      `${style.padEnd(10)} ${cloth.width.toFixed(0)}${cloth.nap ? " one way" : ""}: ${length.toFixed(0)}, not under ${bound.toFixed(0)}, ${((100 * bound) / length).toFixed(1)} percent in ${took.toFixed(0)} s`,
    );
  }
  const within = (share: number): number => shares.filter((s) => s >= 1 - share).length;
  console.log(
    JSON.stringify({ bounds: shares.length, above, nearest, within3: within(0.03), within5: within(0.05), seconds }),
  );
}

/** Pieces of three garments moved by hand: how long a move takes until the lay that comes of it is told. */
function byHand(): void {
  const jobs = [1, 2, 3].map((seed) => palazzoJob(plausibleBody(seed), { style: { id: "pleated", params: {} } }));
  const found = shapesOfAll(jobs, "shell");
  if (!found.ok) return;
  const laid = layWithin(found.shapes, PLAIN, 1, { steps: 200 });
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
if (BOUNDS > 0) bounds();
if (COUNT > 0) randomJobs();
if (SECONDS > 0) examples();
