import { partsOf } from "../src/core/units";
import { writeFileSync } from "node:fs";
import { derive, type Derived } from "../src/core/derive";
import { deriveShape, type Shape } from "../src/core/derive/shape";
import { applyChanges } from "../src/core/derive/changes";
import { withCures } from "../src/core/derive/cures";
import { patternAfter } from "../src/core/derive/asItLies";
import type { Job } from "../src/core/files";
import { pathFlatten } from "../src/core/geometry";
import type { Panel } from "../src/core/pattern";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { palazzoJob } from "../src/core/testing/jobs";
import { randomFinish } from "../src/core/testing/randomFinish";
import { randomWorksheet } from "../src/core/testing/randomMoves";

/**
 * Full counts of what the tests sample: legs that fall straight, yokes, sentences, allowances, hip ease, remedies. Widths
 * and chords are measured here on flattened outlines, by nothing the engine measures with.
 */

type Pt = readonly [number, number];
const COUNT = Number(process.env.COUNT ?? "2000");

const points = (panel: Panel, id: string): Pt[] => pathFlatten(panel.edges.find((e) => e.id === id)?.path ?? [], 0.02);
const outline = (panel: Panel): Pt[] => panel.edges.flatMap((e) => pathFlatten(e.path, 0.02).slice(0, -1));

function offChord(run: readonly Pt[]): number {
  const [a, b] = [run[0], run.at(-1)];
  if (!a || !b) return 0;
  const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return Math.max(
    ...run.map((p) => Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / (size || 1)),
  );
}

function slices(of: readonly Pt[], y: number): number[] {
  return of
    .flatMap((a, i) => {
      const b = of[(i + 1) % of.length] as Pt;
      return a[1] > y === b[1] > y ? [] : [a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])];
    })
    .sort((x, z) => x - z);
}
/** From seam to seam, over a hem that rises above the level between them. */
const seamToSeam = (panel: Panel, y: number): number => {
  const all = slices(outline(panel), y);
  return (all.at(-1) ?? 0) - (all[0] ?? 0);
};

/** Side and inseam of legs that fall straight, before they are slashed: furthest from hip to hem, and crotch to hem. */
function falls(): Record<string, unknown> {
  let [made, side, inseam] = [0, 0, 0];
  for (let seed = 1; seed <= COUNT; seed++)
    for (const id of ["palazzo", "culotte"]) {
      const shape = deriveShape(palazzoJob(plausibleBody(seed), { style: { id, params: {} } }));
      if (!shape.ok) continue;
      made++;
      const line = shape.worksheet.find((l) => l.move === "reconcile");
      for (const panel of line ? patternAfter(line).panels : []) {
        const hip = panel.landmarks.hipSide?.[1] ?? 0;
        side = Math.max(side, offChord(points(panel, "side").filter((p) => p[1] >= hip - 1e-6)));
        inseam = Math.max(inseam, offChord(points(panel, "inseam")));
      }
    }
  return { made, side, inseam };
}

/** Yokes of any depth: the sharpest turn of an edge that was not refused. */
function yokes(): Record<string, unknown> {
  let [made, passed, worst] = [0, 0, 0];
  for (let seed = 1; seed <= COUNT; seed++) {
    const random = seededRandom(seed);
    const depth = (): string => `${Math.round(30 + 110 * random())} mm`;
    const moves = ["shape-leg", "set-length"].map((move, i) => ({ id: `m${i}`, move, on: true, params: {} }));
    const params = { centre: depth(), side: depth(), front: depth(), joined: random() < 0.3 };
    const shape = deriveShape(
      palazzoJob(plausibleBody(seed), {
        style: { id: "straight", params: {} },
        moves: [...moves, { id: "y", move: "yoke", on: true, params }],
      }),
    );
    if (!shape.ok || shape.worksheet.at(-1)?.passed) {
      passed++;
      continue;
    }
    made++;
    for (const panel of shape.panels)
      for (const edge of panel.edges.filter((e) => e.by === "yoke")) {
        const run = pathFlatten(edge.path, 0.02);
        const at = (i: number): number =>
          Math.atan2((run[i + 1]?.[1] ?? 0) - (run[i]?.[1] ?? 0), (run[i + 1]?.[0] ?? 0) - (run[i]?.[0] ?? 0));
        let [turn, most] = [0, 0];
        for (let i = 1; i + 1 < run.length; i++) {
          let by = at(i) - at(i - 1);
          by = ((by + Math.PI) % (2 * Math.PI)) - Math.PI;
          if (by < -Math.PI) by += 2 * Math.PI;
          turn += by;
          most = Math.max(most, Math.abs(turn));
        }
        worst = Math.max(worst, (most * 180) / Math.PI);
      }
  }
  return { made, passedOverOrRefused: passed, sharpestTurn: worst };
}

const LENGTHS = ["full", "ankle", "calf", "mid-calf", "knee", "shorts"];

/** What lines say of the leg against the leg that is drawn, in jobs of every style and length. */
function words(): Record<string, unknown> {
  let [told, worst] = [0, 0];
  const examples: string[] = [];
  const styles = [
    "straight",
    "cigarette",
    "flare",
    "palazzo",
    "jogger",
    "pleated",
    "yoke-flare",
    "culotte",
    "front-slit",
  ];
  for (let seed = 1; seed <= COUNT; seed++) {
    const id = styles[seed % styles.length] as string;
    const length = LENGTHS[seed % LENGTHS.length];
    const shape = deriveShape(palazzoJob(plausibleBody(seed), { style: { id, params: { length } } }));
    if (!shape.ok) continue;
    const reconciled = shape.worksheet.findLast((l) => l.move === "reconcile");
    const line = shape.worksheet.findLast((l) => l.move === "shape-leg" && l.on && !l.passed);
    if (!reconciled || !line) continue;
    const legs = patternAfter(reconciled).panels;
    const hem = legs.reduce((sum, p) => sum + lengthOf(points(p, "hem")), 0);
    const rows: [string, number, number][] = [];
    if (line.numbers.hem) rows.push(["hem", line.numbers.hem.mm, hem]);
    const { knee, start, hemLevel } = line.numbers;
    if (knee && start && hemLevel && start.mm < hemLevel.mm - 1 && said(line).includes(start.mm, knee.mm))
      rows.push(["knee", knee.mm, legs.reduce((sum, p) => sum + seamToSeam(p, start.mm), 0)]);
    for (const [what, says, is] of rows) {
      told++;
      const off = Math.abs(says - is);
      if (off > worst) worst = off;
      if (off > 0.5) examples.push(`${seed} ${id} ${length} ${what}: told ${says.toFixed(2)}, drawn ${is.toFixed(2)}`);
    }
  }
  return { told, worst, over: examples.length, examples: examples.slice(0, 6) };
}

const lengthOf = (run: readonly Pt[]): number =>
  run.slice(1).reduce((sum, p, i) => sum + Math.hypot(p[0] - (run[i] as Pt)[0], p[1] - (run[i] as Pt)[1]), 0);

/** A width is told as drawn where the sentence does not say that it is passed over. */
const said = (line: Shape["worksheet"][number]) => ({
  includes: (_level: number, girth: number): boolean =>
    !partsOf(line.sentence).some((part) => typeof part === "string" && part.includes("passed over")) ||
    partsOf(line.sentence).every((part) => typeof part === "string" || part.kind !== "length" || part.mm !== girth),
});

const garment = (seed: number): Job => {
  const { style, moves } = randomWorksheet(seed);
  const finish = randomFinish(seededRandom(seed + 1));
  return palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish });
};

/** Both sides of every seam of random garments, and steps of the cut line where two edges run on into each other. */
function allowances(count: number): Record<string, unknown> {
  let [made, seams] = [0, 0];
  const unequal: string[] = [];
  for (let seed = 1; seed <= count; seed++) {
    const derived = derive(garment(seed));
    if (!derived.ok) continue;
    made++;
    for (const seam of derived.seams) {
      seams++;
      const [a, b] = [seam.walkA, seam.walkB].map((walk) => [
        ...new Set(
          walk
            .filter((ref) => !ref.part)
            .flatMap((ref) =>
              (derived.pieces.find((p) => p.panel.id === ref.panel)?.edges ?? []).filter(
                (e) => e.edge === ref.edge && e.allowanceEnd === undefined,
              ),
            )
            .map((e) => e.allowance.toFixed(2)),
        ),
      ]) as [string[], string[]];
      const alike = seam.kind === "centre" ? a.sort().join() === b.sort().join() : new Set([...a, ...b]).size <= 1;
      const apart = [...seam.walkA, ...seam.walkB].some((ref) =>
        derived.sewn.find((p) => p.id === ref.panel)?.edges.some((e) => e.id === ref.edge && e.beyond !== undefined),
      );
      if (!alike && !apart) unequal.push(`${seed} ${seam.id}: ${a.join(", ")} | ${b.join(", ")}`);
    }
  }
  return { made, seams, unequal: unequal.length, examples: unequal.slice(0, 5) };
}

/** The hip as it is read against slices from the centre lines, carried down here on their own. */
function hips(): Record<string, unknown> {
  let [made, worst] = [0, 0];
  for (let seed = 1; seed <= COUNT; seed++) {
    const id = ["straight", "flare", "cigarette", "culotte"][seed % 4] as string;
    const shape = deriveShape(palazzoJob(plausibleBody(seed), { style: { id, params: {} } }));
    if (!shape.ok) continue;
    made++;
    const y = shape.plan.levels.hip;
    const girth = shape.panels.reduce((sum, panel) => {
      const xs = slices(outline(panel), y);
      const crotch = points(panel, "crotch");
      // The straight part of the centre, at its top, carried down to the level: a front's upright, a back's along its slant.
      const start = panel.landmarks.curveStart as Pt;
      const top = crotch.at(-1) as Pt;
      const slanted = panel.id === "back" && shape.plan.back.centre === "slanted";
      const centre =
        start[1] >= y
          ? null
          : slanted
            ? start[0] + ((top[0] - start[0]) * (y - start[1])) / (top[1] - start[1])
            : start[0];
      const [left, right] = [xs[0] ?? 0, xs.at(-1) ?? 0];
      if (centre === null) return sum + 2 * (right - left);
      return sum + 2 * (panel.id === "back" ? right - centre : centre - left);
    }, 0);
    worst = Math.max(worst, Math.abs(girth - shape.readings.hipGirth));
  }
  return { made, worst };
}

const RANK = { pass: 0, look: 1, fault: 2 } as const;

/** Remedies and actions that are offered, pressed one by one. */
function cures(count: number): Record<string, unknown> {
  let [made, offered] = [0, 0];
  const idle: string[] = [];
  for (let seed = 1; seed <= count; seed++) {
    const job = garment(seed);
    const derived = derive(job);
    if (!derived.ok) continue;
    made++;
    const whole = withCures(job, derived);
    const after = (changes: Parameters<typeof applyChanges>[1]): Derived | null => {
      const next = structuredClone(job);
      applyChanges(next, changes);
      const result = derive(next);
      return result.ok ? result : null;
    };
    for (const check of whole.checks.filter((c) => c.remedy)) {
      offered++;
      const now = after(check.remedy?.changes ?? [])?.checks.find((c) => c.id === check.id);
      if (RANK[now?.status ?? "pass"] >= RANK[check.status]) idle.push(`${seed} ${check.id}`);
    }
    for (const given of whole.advice.filter((a) => a.action)) {
      offered++;
      if (after(given.action?.changes ?? [])?.advice.some((a) => a.id === given.id)) idle.push(`${seed} ${given.id}`);
    }
  }
  return { made, offered, idle: idle.length, examples: idle.slice(0, 5) };
}

const results = {
  falls: falls(),
  yokes: yokes(),
  words: words(),
  hips: hips(),
  allowances: allowances(Math.round(COUNT * 1.5)),
  cures: cures(COUNT),
};
writeFileSync("bench/results/counts.json", `${JSON.stringify(results, null, 2)}\n`);
console.log(JSON.stringify(results, null, 2));
