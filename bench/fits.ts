import { overAfter } from "../src/clock";
import { type Fold, type Laid, type LayCloth } from "../src/core/cloth";
import { fitCloth, type Fitted } from "../src/core/derive/fitCloth";
import { layWithin, shapesOf } from "../src/core/derive/lay";
import { movesOfStyle } from "../src/core/derive/newJob";
import { deriveShape } from "../src/core/derive/shape";
import type { Job } from "../src/core/files";
import { seededRandom } from "../src/core/geometry";
import { faultsOf } from "../src/core/testing/layProof";
import { FOUR_BODIES, palazzoJob } from "../src/core/testing/jobs";

/**
 * The largest number that lies on the cloth in hand: from five numbers to begin with it is the same, with pieces locked it is
 * never more than without, it is never less than what was laid, and half a centimetre more is not laid by searches that take
 * three times as long. `CASES` garments and cloths (20), `MS` for each search (8000, as on the screen), from the `FROM`th (0).
 */

const CASES = Number(process.env.CASES ?? "20");
const FROM = Number(process.env.FROM ?? "0");
const MS = Number(process.env.MS ?? "8000");
const STARTS = 5;
/** The same number, in millimetres. */
const SAME = 3;

/** Styles, the number that is looked for, and where it begins. */
const NUMBERS = [
  ["palazzo", "spread", "hemSpread", 0, 800],
  ["flare", "shape-leg", "hem", 400, 1200],
  ["pleated", "pleats", "depth", 20, 160],
  ["culotte", "shape-leg", "hem", 500, 1300],
  ["palazzo", "set-length", "length", 500, 950],
] as const;

interface Case {
  readonly style: string;
  readonly move: string;
  readonly number: string;
  readonly job: (value: number) => Job;
  readonly starts: readonly number[];
  readonly cloth: LayCloth;
  readonly length: number;
}

function caseOf(k: number): Case | null {
  const [style, move, number, low, high] = NUMBERS[k % NUMBERS.length] as (typeof NUMBERS)[number];
  const random = seededRandom(77 + k);
  const base = palazzoJob(FOUR_BODIES[k % FOUR_BODIES.length] as Job["body"], { style: { id: style, params: {} } });
  const job = (value: number): Job => ({
    ...base,
    moves: movesOfStyle(style, {}).map((m) =>
      m.move === move ? { ...m, params: { ...m.params, [number]: `${Math.round(value)} mm` } } : m,
    ),
  });
  const fold: Fold = k % 2 === 0 ? "open" : "lengthwise";
  const width = [1150, 1400, 1500][k % 3] as number;
  const cloth: LayCloth = { width, fold, foldWidth: null, nap: k % 3 === 0, gap: 3, repeat: null };
  const found = shapesOf(base, "shell", cloth);
  const usual = found.ok ? layWithin(found.shapes, cloth, 1, { steps: 400, isOver: overAfter(3000) }) : null;
  if (!usual?.ok) return null;
  const starts = Array.from({ length: STARTS }, (_, s) => low + ((high - low) * s) / (STARTS - 1));
  return { style, move, number, job, starts, cloth, length: usual.lay.length * (0.95 + 0.3 * random()) };
}

function fitted(of: Case, start: number, locked?: ReadonlyMap<number, Laid>): Fitted | null {
  const { move, number, cloth, length } = of;
  const asked = { move, number, seed: 1, milliseconds: MS, isOver: overAfter(6 * MS), ...(locked && { locked }) };
  const search = fitCloth(of.job(start), cloth, length, asked);
  let step = search.next();
  while (!step.done) step = search.next();
  return "ok" in step.value ? null : step.value;
}

/** Whether half a centimetre more can be made, and is laid by searches three times as long. */
function isMoreLaid({ job, cloth, length, move }: Case, value: number): boolean {
  const more = shapesOf(job(value + 5), "shell", cloth);
  const shape = deriveShape(job(value + 5));
  if (!more.ok || !shape.ok || shape.worksheet.some((line) => line.move === move && line.passed)) return false;
  return [11, 12, 13].some((seed) => {
    const laid = layWithin(more.shapes, cloth, seed, { steps: Infinity, isOver: overAfter(MS), until: length });
    return laid.ok && laid.lay.length <= length;
  });
}

const spread = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);
const told = { cases: 0, same: 0, lockedSame: 0, lockedNeverMore: 0, locked: 0, sharp: 0, onCloth: 0, less: 0 };
for (let k = FROM, n = 0; n < CASES && k < FROM + 4 * CASES; k++) {
  const of = caseOf(k);
  if (!of) continue;
  const free = of.starts.map((start) => fitted(of, start));
  if (free.some((f) => f === null)) {
    console.log(`${k} ${of.style}: none fits from ${free.filter((f) => f === null).length} of ${STARTS}`);
    if (free.every((f) => f === null)) continue;
  }
  n++;
  told.cases++;
  const found = free.filter((f) => f !== null);
  const values = found.map((f) => f.value);
  const best = found.reduce((a, b) => (b.value > a.value ? b : a));
  if (found.length === STARTS && spread(values) <= SAME) told.same++;
  if (found.every((f) => f.lay.length <= of.length + 1e-6 && faultsOf(f.lay, of.cloth).length === 0)) told.onCloth++;
  // Nothing that was laid on the way is larger than what is told.
  if (found.some((f) => f.tries.some((t) => t.fits && t.value > f.value + 1e-6))) told.less++;
  // Two pieces stay as they lie at a number a little smaller.
  const smaller = shapesOf(of.job(Math.max(0, best.value - 20)), "shell", of.cloth);
  const laid = smaller.ok
    ? layWithin(smaller.shapes, of.cloth, 1, { steps: Infinity, isOver: overAfter(MS), until: of.length })
    : null;
  const lockable =
    laid?.ok && laid.lay.length <= of.length && laid.lay.singles !== "opened" && laid.lay.singles !== "beyond";
  const held = lockable
    ? new Map(laid.lay.placements.slice(0, 2).map(({ x, y, turn }, i) => [i, { x, y, turn }] as const))
    : null;
  const locked = held && of.starts.map((start) => fitted(of, start, held)?.value ?? -Infinity);
  if (locked) {
    told.locked++;
    if (locked.every((v) => v === -Infinity) || spread(locked) <= SAME) told.lockedSame++;
    if (Math.max(...locked) <= Math.max(...values) + SAME) told.lockedNeverMore++;
  }
  const isSharp = !isMoreLaid(of, best.value);
  if (isSharp) told.sharp++;
  console.log(
    `${k} ${of.style} ${of.number} ${of.cloth.fold} ${of.cloth.width} x ${of.length.toFixed(0)}: ${values.map((v) => v.toFixed(1)).join(" ")}`,
    locked ? `locked ${locked.map((v) => v.toFixed(1)).join(" ")}` : "nothing locked",
    isSharp ? "" : "half a centimetre more lies too",
  );
}
console.log(JSON.stringify(told));
