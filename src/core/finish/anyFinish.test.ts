import { textOf } from "../units";
import { RUNS } from "../testing/runs";
import { said } from "../testing/said";
import fc from "fast-check";
import { derive, type Derived } from "../derive";
import type { Job } from "../files";
import { polygonSelfCrossing } from "../geometry";
import { badOutline } from "../testing/badOutline";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { derivedOf, FOUR_BODIES, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";

/** What reads like a program's own word rather than a maker's. */
const NOT_WORDS = /undefined|NaN|Infinity|\[object/;

/** What a finished garment may never come to, in words; empty when all is well. */
function wrongIn(whole: Derived): string[] {
  const words = [
    ...whole.undecided.map(said),
    ...whole.checks.map((c) => said(c.message)),
    ...whole.advice.map((a) => JSON.stringify(a)),
    ...whole.notions.map((n) => JSON.stringify(n)),
  ];
  return [
    ...whole.sewn.flatMap(badOutline),
    ...whole.seams
      .filter((s) => s.how === "equal" && Math.abs(s.lengthA - s.lengthB) > 0.6)
      .map((s) => `${textOf(s.label)}: ${s.lengthA.toFixed(1)} and ${s.lengthB.toFixed(1)}`),
    ...whole.pieces.flatMap((p) => [
      ...(polygonSelfCrossing(p.cutLine) ? [`the cut line of ${p.id} crosses itself`] : []),
      ...(p.area > 100 && p.grain.flat().every(Number.isFinite) ? [] : [`${p.id} is no piece`]),
    ]),
    ...words.filter((text) => NOT_WORDS.test(text)),
  ];
}

test("any finish on any worksheet: sound parts, equal seams, cut lines that can be cut, or a sentence of what is open", () => {
  const wearers = Object.values(FOUR_BODIES);
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const { style, moves } = randomWorksheet(seed);
      const finish = randomFinish(seededRandom(seed + 1));
      const body = seed % 2 === 0 ? plausibleBody(seed) : (wearers[seed % wearers.length] as Job["body"]);
      const whole = derive(palazzoJob(body, { style: { id: style, params: {} }, moves, finish }));
      expect(whole.ok ? wrongIn(whole) : []).toEqual([]);
    }),
    { numRuns: RUNS, seed: 20261124 },
  );
});

describe("what one part of a garment takes from another is said, not drawn", () => {
  const made = (finish: Job["finish"], ...moves: readonly (readonly [string, Record<string, unknown>?])[]) =>
    derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        moves: [["shape-leg"], ["set-length"], ...moves].map(([move, params], i) => ({
          id: `m${i}`,
          move: move as string,
          on: true,
          params: (params ?? {}) as Record<string, unknown>,
        })),
        finish,
      }),
    );

  test("pleats in the waist leave no flat facing, contour band or yoke", () => {
    const pleats = ["pleats", { panel: "both", count: 2, depth: "20 mm" }] as const;
    expect(
      made({ waist: { kind: "facing" } }, pleats)
        .undecided.map(said)
        .join(),
    ).toMatch(/pleated/);
    expect(
      made({ waist: { kind: "contour-band" } }, pleats)
        .undecided.map(said)
        .join(),
    ).toMatch(/is pleated/);
    expect(made({}, pleats, ["yoke"]).worksheet.at(-1)?.passed).toSay(/is pleated/);
  });

  test("a placket down the centre front leaves no seam for a fly, mock or true", () => {
    const placket = ["placket", { edge: "centre-front", length: "150 mm" }] as const;
    for (const kind of ["fly", "mock-fly"] as const) {
      const whole = made({ fastening: { kind } }, placket);
      expect(whole.undecided.map(said).join()).toMatch(/centre front is cut or lies on a fold/);
      expect(wrongIn(whole)).toEqual([]);
    }
  });

  test("a yoke in one piece has no side seam for a zip, and its band no empty stretch", () => {
    const whole = made({ fastening: { kind: "zip-side" }, waist: { kind: "straight-band" } }, [
      "yoke",
      { joined: true, side: "60 mm" },
    ]);
    expect(whole.zip).toBeNull();
    expect(whole.undecided.map(said).join()).toMatch(/side seam is cut/);
    expect(wrongIn(whole)).toEqual([]);
  });

  test("wide allowances on a tight side panel's curve and on scallops fold nowhere over themselves", () => {
    const panel = made({}, ["side-panel", { above: "30 mm", drop: "61 mm" }]);
    const scallops = made({ pockets: [{ kind: "slant", across: "45 mm", down: "205 mm", edge: "scalloped" }] });
    expect([...wrongIn(panel), ...wrongIn(scallops)]).toEqual([]);
  });
});
