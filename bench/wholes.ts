import { derive } from "../src/core/derive";
import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { readJob } from "../src/core/files";
import { STYLES } from "../src/core/styles";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { marksOff, unequalAllowances, withoutFate } from "../src/core/testing/cutEdges";
import { palazzoJob } from "../src/core/testing/jobs";
import { randomFinish } from "../src/core/testing/randomFinish";
import { randomWorksheet } from "../src/core/testing/randomMoves";
import { tell } from "../src/core/units";

/**
 * Whole garments from outside: joins whose two allowances differ, walked on the cut lines; edges without a fate; marks off
 * their boundary. `COUNT` random jobs (2000), and every style on `BODIES` bodies (200). And plain cards, hip, waist and height
 * alone, `CARDS` of adults (60) in every style: what is faulted or looked at, by check.
 */

const COUNT = Number(process.env.COUNT ?? "2000");
const BODIES = Number(process.env.BODIES ?? "200");
const CARDS = Number(process.env.CARDS ?? "60");

interface Counts {
  made: number;
  refused: number;
  unequal: number;
  fateless: number;
  marksOff: number;
  readonly examples: string[];
}
const none = (): Counts => ({ made: 0, refused: 0, unequal: 0, fateless: 0, marksOff: 0, examples: [] });

function count(to: Counts, tag: string, derived: ReturnType<typeof derive>, typed: ReadonlySet<string>): void {
  if (!derived.ok) {
    to.refused++;
    return;
  }
  to.made++;
  const unequal = unequalAllowances(derived, typed);
  const off = marksOff(derived);
  const fateless = withoutFate(derived);
  to.unequal += unequal.length;
  to.marksOff += off.length;
  to.fateless += fateless.length;
  to.examples.push(...[...unequal, ...off, ...fateless].map((what) => `${tag}: ${what}`));
}

function random(): Counts {
  const counts = none();
  for (let seed = 1; seed <= COUNT; seed++) {
    const { style, moves } = randomWorksheet(seed);
    const finish = randomFinish(seededRandom(seed + 1));
    const job = palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish });
    count(counts, String(seed), derive(job), new Set());
  }
  return counts;
}

function styles(): Counts {
  const counts = none();
  for (const id of Object.keys(STYLES))
    for (let seed = 1; seed <= BODIES; seed++) {
      const job = palazzoJob(plausibleBody(seed + 5000), { style: { id, params: {} }, finish: STYLES[id]?.finish });
      count(counts, `${id} ${seed}`, derive(job), new Set());
    }
  return counts;
}

function garments(): Counts {
  const counts = none();
  const folder = "samples/garments";
  for (const file of readdirSync(folder)) {
    const read = readJob(JSON.parse(readFileSync(`${folder}/${file}`, "utf8")));
    if (read.kind === "job")
      count(counts, file, derive(read.job), new Set(Object.keys(read.job.allowances?.edges ?? {})));
  }
  return counts;
}

/** What checks say of plain cards: of adults from 148 to 190, a hip of 82 to 132, a waist of 0.6 to 0.95 of it. */
function plainCards(): Record<string, unknown> {
  const by: Record<string, { n: number; first: string }> = {};
  let [made, refused] = [0, 0];
  for (let i = 0; i < CARDS; i++) {
    const any = seededRandom(900 + i);
    const hip = 820 + 500 * any();
    const waist = hip * (0.6 + 0.35 * any());
    const height = 1480 + 420 * any();
    const unit = i % 2 ? "in" : "cm";
    const mm = (length: number): string => `${length.toFixed(0)} mm`;
    const body = { name: "Plain", unit, measures: { hip: mm(hip), waist: mm(waist), height: mm(height) } } as const;
    for (const id of Object.keys(STYLES)) {
      const derived = derive(palazzoJob(body, { style: { id, params: {} }, finish: STYLES[id]?.finish }));
      if (!derived.ok) {
        refused++;
        continue;
      }
      made++;
      for (const check of derived.checks.filter((c) => c.status !== "pass")) {
        const key = `${check.status} ${check.id} ${id}`;
        by[key] ??= {
          n: 0,
          first: `hip ${hip.toFixed(0)}, waist ${waist.toFixed(0)}, height ${height.toFixed(0)}: ${tell(check.message, "cm")}`,
        };
        by[key].n++;
      }
    }
  }
  return { made, refused, by };
}

const results = { random: random(), styles: styles(), garments: garments(), plainCards: plainCards() };
writeFileSync("bench/results/wholes.json", `${JSON.stringify(results, null, 2)}\n`);
for (const part of [results.random, results.styles, results.garments]) part.examples.splice(12);
console.log(JSON.stringify(results, null, 2));
