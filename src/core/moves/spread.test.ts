import fc from "fast-check";
import { deriveShape } from "../derive";
import { edgeOf, landmarkOf, roleLength } from "../drafting";
import type { Job } from "../files";
import { pathEndTangent, pathLength, pathStartTangent, pointDot } from "../geometry";
import { badPair } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { edgeLength } from "../testing/worksheet";
import { slashAndSpread } from "./slash";

/** The same bodies every time; the bench runs other and more. */
const SEED = 20261123;

function spreadBy(body: Job["body"], spread: Record<string, unknown>, params: Record<string, unknown> = {}) {
  return shapeOf(
    palazzoJob(body, {
      style: { id: "palazzo", params },
      moves: [
        { id: "a", move: "shape-leg", on: true, params: {} },
        { id: "b", move: "set-length", on: true, params: {} },
        { id: "c", move: "spread", on: true, params: spread },
      ],
    }),
  );
}

describe("slash and spread", () => {
  test("the bare move turns regions rigidly: every unopened edge keeps its length to a billionth", () => {
    const closed = spreadBy(HAND_BODY, { hemSpread: 0 });
    const hemStart = closed.front.edges
      .slice(
        0,
        closed.front.edges.findIndex((e) => e.id === "hem"),
      )
      .reduce((s, e) => s + pathLength(e.path), 0);
    const hem = edgeLength(closed.front, "hem");
    const open = hemStart + hem / 2;
    const inseamEnd = hemStart + hem + edgeLength(closed.front, "inseam");
    const { edges, opened } = slashAndSpread(closed.front, [
      { open, hinge: hemStart - 700, gap: 90 },
      { open, hinge: inseamEnd, gap: 70 },
    ]);
    for (const edge of edges) {
      const grown = pathLength(edge.path) - edgeLength(closed.front, edge.id);
      expect(grown).toBeCloseTo(edge.id === "hem" ? 160 : 0, 9);
    }
    expect(opened.map((o) => Math.hypot(o.tip[0] - o.stay[0], o.tip[1] - o.stay[1])).sort()).toEqual([
      expect.closeTo(70, 9),
      expect.closeTo(90, 9),
    ]);
  });

  test("crossing slashes are refused", () => {
    const closed = spreadBy(HAND_BODY, { hemSpread: 0 });
    expect(() =>
      slashAndSpread(closed.front, [
        { open: 1300, hinge: 500, gap: 20 },
        { open: 1900, hinge: 900, gap: 20 },
      ]),
    ).toThrow("cross");
  });

  test("random bodies and spreads: no bad outline, seams kept, hem grown by the gaps, ends square", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), fc.integer({ min: 0, max: 400 }), (seed, sum) => {
        const body = plausibleBody(seed);
        const closed = spreadBy(body, { hemSpread: 0 });
        const open = spreadBy(body, { hemSpread: `${sum} mm` });
        expect(badPair(open.front, open.back, 3)).toEqual([]);
        for (const panel of ["front", "back"] as const) {
          for (const edge of ["side", "inseam"]) {
            expect(Math.abs(edgeLength(open[panel], edge) - edgeLength(closed[panel], edge))).toBeLessThan(0.01);
          }
          const grown = roleLength(closed[panel], "hem") + sum;
          expect(Math.abs(roleLength(open[panel], "hem") / grown - 1)).toBeLessThan(0.02);
          const hem = edgeOf(open[panel], "hem").path;
          expect(
            Math.abs(pointDot(pathEndTangent(edgeOf(open[panel], "side").path), pathStartTangent(hem))),
          ).toBeLessThan(1e-6);
          expect(landmarkOf(open[panel], "creaseHem")[0]).toBeCloseTo(0, 6);
        }
      }),
      { numRuns: 200, seed: SEED },
    );
  });

  test("an asked hem is met within a tenth of a millimetre, and beats an asked spread", () => {
    for (const girth of [700, 864, 1200]) {
      expect(spreadBy(HAND_BODY, {}, { hemGirth: `${girth} mm`, hemSpread: 30 }).readings.hemGirth).toBeCloseTo(
        girth,
        1,
      );
    }
    expect(spreadBy(HAND_BODY, { hemSpread: 0 }, { hemGirth: 900 }).readings.hemGirth).toBeCloseTo(516, 6);
  });

  test("a spread that lays the pattern over itself is refused with the largest that works", () => {
    const attempt = (hemSpread: string) =>
      deriveShape(palazzoJob(HAND_BODY, { moves: [{ id: "c", move: "spread", on: true, params: { hemSpread } }] }));
    const refused = attempt("2600 mm");
    expect(refused.ok).toBe(false);
    if (refused.ok) return;
    expect(refused).toMatchObject({ status: 422, errors: [{ path: "moves.0.params.hemSpread" }] });
    const largest = refused.errors[0]?.largest ?? 0;
    expect(largest).toBeGreaterThan(400);
    expect(attempt(`${largest} mm`).ok).toBe(true);
  });

  test("stated cuts are made as stated", () => {
    const { front, back } = spreadBy(HAND_BODY, {
      cuts: [{ panel: "front", open: { edge: "hem", at: 60 }, hinge: { edge: "side", at: "hipSide" }, gap: "80 mm" }],
    });
    expect(roleLength(front, "hem")).toBeGreaterThan(320);
    expect(roleLength(back, "hem")).toBeCloseTo(270.5, 6); // (516 + 25) / 2, untouched
  });
});

test("a hem that a short leg cannot be opened to is passed over with a sentence, never thrown", () => {
  const body = plausibleBody(116);
  const wide = shapeOf(
    palazzoJob(body, { style: { id: "palazzo", params: { length: "shorts", hemGirth: "240 cm" } } }),
  );
  expect(wide.worksheet.find((l) => l.move === "spread")?.passed).toMatch(/cannot be reached .* Ask for less/);
});

test("the hip line is a place to hinge on any leg; only a hinge moved by hand has to keep clear of the ends", () => {
  const shorts = (params: Record<string, unknown>) =>
    shapeOf(
      palazzoJob(plausibleBody(5), {
        style: { id: "palazzo", params: { length: "shorts" } },
        moves: [
          { id: "a", move: "shape-leg", on: true, params: {} },
          { id: "b", move: "set-length", on: true, params: {} },
          { id: "c", move: "spread", on: true, params },
        ],
      }),
    ).worksheet.at(-1)?.passed;
  expect(shorts({})).toBeNull();
  expect(shorts({ hingeAt: "200 mm" })).toMatch(/hinge can lie/);
});
