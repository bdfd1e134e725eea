import { RUNS } from "../testing/runs";
import { edgeOf, landmarkOf, roleLength, slashAndSpread } from "../pattern";
import fc from "fast-check";
import { deriveShape } from "../derive/shape";
import { pathEndTangent, pathLength, pathStartTangent, pointDot } from "../geometry";
import { badPair } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { edgeLength, spreadBy } from "../testing/worksheet";

/** The same bodies every time; the bench runs other and more. */
const SEED = 20261123;

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
          // A leg that is not opened keeps its tapered hem.
          if (sum > 0)
            expect(
              Math.abs(pointDot(pathEndTangent(edgeOf(open[panel], "side").path), pathStartTangent(hem))),
            ).toBeLessThan(1e-6);
          expect(landmarkOf(open[panel], "creaseHem")[0]).toBeCloseTo(0, 6);
        }
      }),
      { numRuns: RUNS, seed: SEED },
    );
  });

  test("an asked hem is met within a tenth of a millimetre, and beats an asked spread", () => {
    for (const girth of [700, 864, 1200]) {
      expect(spreadBy(HAND_BODY, {}, { hemGirth: `${girth} mm`, hemSpread: 30 }).readings.hemGirth).toBeCloseTo(
        girth,
        1,
      );
    }
    expect(spreadBy(HAND_BODY, { hemSpread: 0 }, { hemGirth: 900 }).readings.hemGirth).toBeCloseTo(551.5, 1);
  });

  test("a spread that lays the pattern over itself is refused with the largest that works", () => {
    const attempt = (hemSpread: string) =>
      deriveShape(palazzoJob(HAND_BODY, { moves: [{ id: "c", move: "spread", on: true, params: { hemSpread } }] }));
    const refused = attempt("2600 mm");
    expect(refused.ok).toBe(false);
    if (refused.ok) return;
    expect(refused).toMatchObject({ status: 422, errors: [{ path: "moves.0.params.hemSpread" }] });
    const largest = refused.errors[0]?.most ?? 0;
    expect(largest).toBeGreaterThan(400);
    expect(attempt(`${largest} mm`).ok).toBe(true);
  });

  test("stated cuts are made as stated", () => {
    const { front, back } = spreadBy(HAND_BODY, {
      cuts: [{ panel: "front", open: { edge: "hem", at: 60 }, hinge: { edge: "side", at: "hipSide" }, gap: "80 mm" }],
    });
    expect(roleLength(front, "hem")).toBeGreaterThan(320);
    expect(roleLength(back, "hem")).toBeCloseTo(roleLength(spreadBy(HAND_BODY, { hemSpread: 0 }).back, "hem"), 6);
  });
});

test("a hem that a short leg cannot be opened to is passed over with a sentence, never thrown", () => {
  const body = plausibleBody(116);
  const wide = shapeOf(
    palazzoJob(body, { style: { id: "palazzo", params: { length: "shorts", hemGirth: "240 cm" } } }),
  );
  expect(wide.worksheet.find((l) => l.move === "spread")?.passed).toSay(/cannot be reached .* Ask for less/);
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
  expect(shorts({ hingeAt: "200 mm" })).toSay(/hinge can lie/);
});

describe("where the slash runs and hinges", () => {
  const at = (params: Record<string, unknown>) => spreadBy(HAND_BODY, { hemSpread: "160 mm", ...params });
  const line = (params: Record<string, unknown>) => at(params).worksheet.at(-1);

  test("beside the crease, toward the side or the inseam: the hem still gains its gaps", () => {
    const middle = at({}).readings.hemGirth;
    for (const slashAt of ["40 mm", "-40 mm"])
      expect(Math.abs(at({ slashAt }).readings.hemGirth / middle - 1)).toBeLessThan(0.02);
    expect(line({ slashAt: "400 mm" })?.passed).toSay(/does not reach the hem/);
  });

  test("a hinge lower on the side opens the same gap from there", () => {
    const low = at({ hingeAt: "100 mm" });
    expect(edgeLength(low.front, "side")).toBeCloseTo(edgeLength(at({}).front, "side"), 3);
    const shown = low.shown.find((s) => s.panel === "front");
    // The other hinge is the crotch point, at 280.
    expect(Math.max(...(shown?.hinges ?? []).map((p) => p[1]))).toBeGreaterThan(210 + 90);
    expect(line({ hingeAt: "2000 mm" })?.passed).toSay(/The hinge can lie/);
  });

  test("laid over, width comes out of the hem and the seams keep their lengths", () => {
    const wide = spreadBy(HAND_BODY, { hemSpread: "0 mm" });
    const slim = spreadBy(HAND_BODY, { hemSpread: "-60 mm" });
    expect(Math.abs(wide.readings.hemGirth - slim.readings.hemGirth - 120)).toBeLessThan(8);
    expect(edgeLength(slim.front, "side")).toBeCloseTo(edgeLength(wide.front, "side"), 2);
    expect(edgeLength(slim.back, "inseam")).toBeCloseTo(edgeLength(wide.back, "inseam"), 2);
  });

  test("each panel shows its slashes, their hinges and the wedges they opened", () => {
    for (const shown of at({}).shown) {
      expect([shown.slashes.length, shown.wedges.length, shown.hinges.length]).toEqual([2, 2, 2]);
      for (const wedge of shown.wedges) {
        const [hinge, stay, tip] = wedge as [
          readonly [number, number],
          readonly [number, number],
          readonly [number, number],
        ];
        const gap = Math.hypot(tip[0] - stay[0], tip[1] - stay[1]);
        expect(gap).toBeCloseTo(80, 3);
        expect(Math.hypot(tip[0] - hinge[0], tip[1] - hinge[1])).toBeCloseTo(
          Math.hypot(stay[0] - hinge[0], stay[1] - hinge[1]),
          6,
        );
      }
    }
  });

  test("cuts at an edge or a place that is not there are passed over and named", () => {
    const cut = (open: unknown, hinge: unknown) =>
      spreadBy(HAND_BODY, { cuts: [{ panel: "front", open, hinge, gap: "40 mm" }] }).worksheet.at(-1)?.passed;
    const hem = { edge: "hem", at: 60 };
    expect(cut({ edge: "sleeve", at: 0 }, hem)).toSay(/no edge “sleeve”/);
    expect(cut(hem, { edge: "side", at: "elbow" })).toSay(/no landmark “elbow”/);
    expect(cut(hem, { edge: "side", at: 5000 })).toSay(/lies beyond the side/);
  });
});
