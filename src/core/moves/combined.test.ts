import { RUNS } from "../testing/runs";
import { NOT_WORDS, said } from "../testing/said";
import fc from "fast-check";
import { derive } from "../derive";
import { deriveShape, type DeriveFault, type Shape } from "../derive/shape";
import type { Job } from "../files";
import { MOVES } from ".";
import { nearestOf } from "../units";
import { badPattern } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { FOUR_BODIES, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { randomWorksheet } from "../testing/randomMoves";

type Moves = NonNullable<Job["moves"]>;
type Line = readonly [string, Record<string, unknown>?];
const jobOf = (list: readonly Line[], style = "straight"): Job =>
  palazzoJob(HAND_BODY, {
    style: { id: style, params: {} },
    moves: list.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params: params ?? {} })),
  });
const passedOf = (...list: readonly Line[]): readonly (string | null)[] =>
  shapeOf(jobOf(list))
    .worksheet.filter((l) => l.index !== null)
    .map((l) => (l.passed === null ? null : said(l.passed)));

/** What no worksheet may come to, in words; empty when all is well. */
function wrongIn(shape: Shape): string[] {
  const lines = shape.worksheet.flatMap((l) => {
    const holes = said(l.sentence).match(/\{\w+\}/g) ?? [];
    return [
      ...[l.passed, l.sentence].flatMap((s) => {
        const words = said(s);
        return s && ((!words.endsWith(".") && s !== l.sentence) || NOT_WORDS.test(words)) ? [`said: ${words}`] : [];
      }),
      ...holes.map((hole) => `${l.move} says nothing for ${hole}`),
      ...Object.entries(l.numbers).flatMap(([name, q]) => (Number.isFinite(q.mm) ? [] : [`${l.move} ${name}`])),
      ...l.handles.flatMap((h) =>
        [...h.at, h.value, h.reading, h.perMm].every(Number.isFinite) ? [] : [`handle ${h.id}`],
      ),
    ];
  });
  return [...lines, ...badPattern(shape.panels, shape.joins, 3)];
}

/** A refusal says why in a sentence; where it names the largest that works, that has to work. */
function wrongRefusal(job: Job, { errors }: DeriveFault): string[] {
  const [error] = errors;
  const words = said(error?.says);
  if (!error || !words.endsWith(".") || NOT_WORDS.test(words)) return [`said: ${words}`];
  const works = nearestOf(error);
  if (works === undefined) return [];
  const [, index, , param] = error.path.split(".");
  const moves = (job.moves as Moves).map((entry, i) =>
    i === Number(index) ? { ...entry, params: { ...entry.params, [param as string]: `${works} mm` } } : entry,
  );
  const again = deriveShape({ ...job, moves });
  return again.ok || again.errors[0]?.path !== error.path ? [] : [`${error.path}: ${works} does not work`];
}

describe("any moves in any order", () => {
  test("on random bodies: sound outlines, equal seams, whole sentences, or a refusal that says what works", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const { style, moves } = randomWorksheet(seed);
        const job = palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves });
        const shape = deriveShape(job);
        expect(shape.ok ? wrongIn(shape) : wrongRefusal(job, shape)).toEqual([]);
      }),
      { numRuns: RUNS, seed: 20261124 },
    );
  });

  test("on four wearers the whole way to pieces and proof: nothing throws, every piece is closed and finite", () => {
    const bodies = Object.values(FOUR_BODIES);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const { style, moves } = randomWorksheet(seed);
        const body = bodies[seed % bodies.length] as Job["body"];
        const whole = derive(palazzoJob(body, { style: { id: style, params: {} }, moves }));
        if (!whole.ok) return;
        for (const piece of whole.pieces) {
          expect(piece.cutLine.flat().every(Number.isFinite)).toBe(true);
          expect(piece.cutLine.length).toBeGreaterThan(2);
        }
        for (const check of whole.checks) expect(NOT_WORDS.test(said(check.message))).toBe(false);
      }),
      { numRuns: RUNS, seed: 20261124 },
    );
  });
});

describe("a move after a cut that leaves it no sense is passed over, and says what to do", () => {
  const LEG: readonly Line[] = [["shape-leg"], ["set-length"]];
  test.each<readonly [string, readonly Line[], RegExp]>([
    ["a flounce after a split of one leg", [["split", { leg: "left" }], ["flounce"]], /one leg alone/],
    ["a side panel after a split of one leg", [["split", { leg: "right" }], ["side-panel"]], /one leg alone/],
    ["a yoke after a split of one leg", [["split", { leg: "left" }], ["yoke"]], /one leg alone/],
    [
      "pleats after a split of one leg",
      [
        ["split", { leg: "left" }],
        ["pleats", { depth: "20 mm" }],
      ],
      /one leg alone/,
    ],
    ["opening after a split of both", [["split"], ["full-spread"]], /runs from waist to hem/],
    ["a second yoke", [["yoke"], ["yoke"]], /divided it/],
    ["a second flounce", [["flounce"], ["flounce"]], /divided it/],
    ["a second side panel", [["side-panel"], ["side-panel"]], /divided it/],
    ["a spread after a side panel", [["side-panel"], ["spread", { hemSpread: "80 mm" }]], /divided it/],
    ["opening after a side panel", [["side-panel"], ["full-spread"]], /divided it/],
    ["a second godet in one seam", [["godet"], ["godet"]], /already/],
    ["a flounce above a godet", [["godet", { at: "inseam" }], ["flounce"]], /divided it/],
    ["a side panel after a casing at the hem", [["casing", { at: "hem" }], ["side-panel"]], /casing is cut on last/],
    ["a split after a casing at the hem", [["casing", { at: "hem" }], ["split"]], /casing is cut on last/],
    [
      "a casing deeper than the yoke it is on",
      [
        ["yoke", { panels: "back", centre: "50 mm" }],
        ["casing", { sits: "on", depth: "60 mm", frill: "40 mm" }],
      ],
      /Make the casing shallower/,
    ],
  ])("%s", (_what, [first, second], words) => {
    const hipWide: readonly Line[] = second?.[0] === "casing" ? [["waist-shaping", { to: "hip-wide" }]] : [];
    const passed = passedOf(...hipWide, ...LEG, first as Line, second as Line);
    expect(passed.slice(0, -1).every((why) => why === null)).toBe(true);
    expect(passed.at(-1)).toMatch(words);
  });

  test("a side panel whose curve would run through a dart", () => {
    expect(passedOf(...LEG, ["side-panel", { above: "130 mm", drop: "80 mm", reach: "-20 mm" }]).at(-1)).toMatch(
      /dart/,
    );
  });

  test("the crotch cannot drop below where the leg ends", () => {
    const dropped = deriveShape(
      jobOf([
        ["set-length", { length: "shorts" }],
        ["drop-crotch", { by: "60 mm" }],
      ]),
    );
    if (dropped.ok) throw new Error("it should be refused");
    expect(dropped.errors[0]).toMatchObject({ path: "moves.1.params.by", most: 20 });
  });
});

describe("moves that still make sense after a cut", () => {
  test("two splits of one panel are sewn each in its own seam, on one leg after both as well", () => {
    for (const second of [{ out: "30 mm" }, { out: "30 mm", leg: "left" }, { panel: "back", leg: "right" }]) {
      const shape = shapeOf(jobOf([["shape-leg"], ["set-length"], ["split", { out: "-30 mm" }], ["split", second]]));
      expect(shape.worksheet.map((l) => l.passed).filter(Boolean)).toEqual([]);
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
      const ids = shape.panels.flatMap((p) => p.edges.map((e) => `${p.id}.${e.id}`));
      expect(new Set(ids).size).toBe(ids.length);
    }
  });

  test("a flounce and a side panel meet the seams below a yoke that only one side has", () => {
    for (const more of [["flounce"], ["side-panel", { above: "30 mm" }]] as const) {
      for (const panels of ["front", "back"]) {
        const shape = shapeOf(jobOf([["shape-leg"], ["set-length"], ["yoke", { panels, side: "50 mm" }], [...more]]));
        expect(shape.worksheet.map((l) => l.passed).filter(Boolean)).toEqual([]);
        expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
      }
    }
  });

  test("a casing is cut on every part of a waist that was split", () => {
    const shape = shapeOf(jobOf([["waist-shaping", { to: "hip-wide" }], ["shape-leg"], ["split"], ["casing"]]));
    const rims = shape.panels.map((p) => p.edges.filter((e) => e.role === "waist" || e.role === "casing").length);
    expect(rims.every((n) => n === 1)).toBe(true);
    expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
  });

  test("every move has a sentence for its place in the worksheet and is known by its id", () => {
    for (const [id, move] of Object.entries(MOVES)) {
      expect(move.id).toBe(id);
      expect(move.note).toMatch(/\.$/);
    }
  });
});
