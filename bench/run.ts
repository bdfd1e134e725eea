import { USUAL_PRINT } from "../src/core/files/paper/options";
import { edgeOf, roleLength } from "../src/core/pattern";
import { Refusal } from "../src/core/units";
import { writeFileSync } from "node:fs";
import { derive } from "../src/core/derive";
import { deriveShape } from "../src/core/derive/shape";
import { handOver } from "../src/core/derive/handOver";
import { resolveBody } from "../src/core/body";
import { BACKS, draftBlock, presetFor, SCHOOLS, type BackHow, type DraftedSchool } from "../src/core/drafting";
import { pathLength } from "../src/core/geometry";
import { badPair, badPattern, pinch } from "../src/core/testing/badOutline";
import { STYLES } from "../src/core/styles";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { styleCase } from "../src/core/testing/styleRanges";
import { derivedOf, HAND_BODY, palazzoJob, withLegs } from "../src/core/testing/jobs";

/** Figures of the program, as JSON: times of deriving, and the full counts of the properties the tests sample. */

function median(times: number[]): number {
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? NaN;
}

function timed(work: () => unknown, runs: number): { readonly median: number; readonly p95: number } {
  for (let i = 0; i < runs / 4; i++) work();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    work();
    times.push(performance.now() - from);
  }
  return { median: median(times), p95: times[Math.floor(times.length * 0.95)] ?? NaN };
}

const BODIES = 2000;

/** 2,000 random bodies, each with a spread of 0 to 400 mm a panel: what went wrong, and by how much at worst. */
function spreads(): Record<string, unknown> {
  let [bad, refused, seamError, hemMiss] = [0, 0, 0, 0];
  const examples: string[] = [];
  for (let seed = 0; seed < BODIES; seed++) {
    const body = plausibleBody(seed);
    const sum = (seed * 37) % 401;
    const at = (hemSpread: number) =>
      deriveShape(
        palazzoJob(body, {
          moves: [
            { id: "a", move: "shape-leg", on: true, params: {} },
            { id: "b", move: "set-length", on: true, params: {} },
            { id: "c", move: "spread", on: true, params: { hemSpread: `${hemSpread} mm` } },
          ],
        }),
      );
    const [closedShape, openShape] = [at(0), at(sum)];
    if (!closedShape.ok || !openShape.ok) {
      refused++;
      continue;
    }
    const [closed, open] = [withLegs(closedShape), withLegs(openShape)];
    const faults = badPair(open.front, open.back, 3);
    if (faults.length > 0) {
      bad++;
      if (examples.length < 5) examples.push(`body ${seed}, spread ${sum}: ${faults.join(", ")}`);
    }
    for (const panel of ["front", "back"] as const) {
      for (const edge of ["side", "inseam"]) {
        const grown = pathLength(edgeOf(open[panel], edge).path) - pathLength(edgeOf(closed[panel], edge).path);
        seamError = Math.max(seamError, Math.abs(grown));
      }
      const asked = roleLength(closed[panel], "hem") + sum;
      hemMiss = Math.max(hemMiss, Math.abs(roleLength(open[panel], "hem") / asked - 1));
    }
  }
  return { bodies: BODIES, bad, refused, worstSeamErrorMm: seamError, worstHemMissPercent: hemMiss * 100, examples };
}

const DRAFTS = 5000;

/** Every school with every back on 5,000 random bodies: bad outlines, and refusals by the measure or rule they name. */
function drafts(): Record<string, unknown> {
  let bad = 0;
  const refused: Record<string, number> = {};
  const examples: string[] = [];
  for (const school of Object.keys(SCHOOLS) as DraftedSchool[]) {
    for (const how of Object.keys(BACKS) as BackHow[]) {
      const rules = presetFor(school, how, "cm");
      for (let seed = 0; seed < DRAFTS; seed++) {
        const body = resolveBody(plausibleBody(seed));
        if (!body.ok) continue;
        try {
          const { panels, plan } = draftBlock(body.measures, rules);
          const faults = [
            ...badPair(...panels, rules.inseam.backShorter),
            ...panels.flatMap((p) => pinch(p, plan.levels.crotch, plan.levels.knee)),
          ];
          if (faults.length === 0) continue;
          bad++;
          if (examples.length < 5) examples.push(`${school}, ${how}, body ${seed}: ${faults.join(", ")}`);
        } catch (error) {
          if (!(error instanceof Refusal)) throw error;
          refused[error.path] = (refused[error.path] ?? 0) + 1;
        }
      }
    }
  }
  return { drafted: DRAFTS * 28, bad, refused, examples };
}

const STYLED = 1000;

/** Every style on 1,000 random bodies, its parameters anywhere in their range: bad outlines, numbers missed, moves passed over. */
function styles(): Record<string, unknown> {
  return Object.fromEntries(
    Object.keys(STYLES).map((id) => {
      let [bad, refused, missed, passedOver] = [0, 0, 0, 0];
      const examples: string[] = [];
      for (let seed = 0; seed < STYLED; seed++) {
        const body = plausibleBody(seed);
        const asked = styleCase(id, body, seededRandom(seed));
        const shape = deriveShape(palazzoJob(body, { style: { id, params: asked.params } }));
        if (!shape.ok) {
          refused++;
          continue;
        }
        const passed = shape.worksheet.some((l) => l.passed !== null);
        if (passed) passedOver++;
        const faults = badPattern(shape.panels, shape.joins, 3);
        const missing = passed ? [] : asked.met(shape).filter(([, wanted, got]) => Math.abs(got - wanted) >= 1);
        if (faults.length > 0) bad++;
        if (missing.length > 0) missed++;
        if ((faults.length > 0 || missing.length > 0) && examples.length < 3)
          examples.push(`body ${seed}: ${[...faults, ...missing.map((m) => m.join(" "))].join(", ")}`);
      }
      const hand = palazzoJob(HAND_BODY, { style: { id, params: {} } });
      const times = { shapeMs: timed(() => deriveShape(hand), 200), deriveMs: timed(() => derive(hand), 100) };
      return [id, { bodies: STYLED, bad, refused, missed, passedOver, examples, ...times }];
    }),
  );
}

async function main(): Promise<void> {
  const job = palazzoJob(HAND_BODY);
  const derived = derivedOf(job);
  const printFrom = performance.now();
  await handOver(job, derived, { ...USUAL_PRINT, format: "pdf", dxf: "r12" });
  const printSetA4Ms = performance.now() - printFrom;
  const figures = {
    node: process.version,
    shapeMs: timed(() => deriveShape(job), 600),
    deriveMs: timed(() => derive(job), 300),
    printSetA4Ms,
    styles: styles(),
    spreads: spreads(),
    drafts: drafts(),
  };
  const text = JSON.stringify(figures, null, 2);
  writeFileSync("bench/results/figures.json", `${text}\n`);
  console.log(text);
}

void main();
