import { textOf } from "../units";
import { RUNS } from "../testing/runs";
import fc from "fast-check";
import { derive, type Derived } from "../derive";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";
import type { Job } from "../files";

/** Widths cut beyond both sides of a seam: of each whole edge that is sewn, by its own piece. */
function sidesOf({ pieces }: Derived, seam: Derived["seams"][number]): number[][] {
  return [seam.walkA, seam.walkB].map((walk) =>
    walk
      .filter((ref) => !ref.part)
      .flatMap((ref) => {
        const piece = pieces.find((p) => p.panel.id === ref.panel);
        return piece?.edges.filter((e) => e.edge === ref.edge && e.allowanceEnd === undefined) ?? [];
      })
      .map((edge) => edge.allowance),
  );
}

/** Seams whose two sides are cut with different widths; a centre that opens has the same stretches on both. */
const unequal = (derived: Derived): string[] =>
  derived.seams.flatMap((seam) => {
    const [a = [], b = []] = sidesOf(derived, seam).map((side) => [...new Set(side.map((w) => w.toFixed(2)))].sort());
    const alike = seam.kind === "centre" ? a.join() === b.join() : new Set([...a, ...b]).size <= 1;
    return alike ? [] : [`${textOf(seam.label)}: ${a.join(", ")} and ${b.join(", ")}`];
  });

const withFinish = (finish: Job["finish"], more: Partial<Job> = {}): Derived =>
  derivedOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, finish, ...more }));

test.each([
  ["a slant pocket", { pockets: [{ kind: "slant" }] }],
  ["a faced hem", { hem: { kind: "faced" } }],
  ["a cuff", { hem: { kind: "cuff" } }],
  ["a contour band", { waist: { kind: "contour-band" } }],
  ["a facing", { waist: { kind: "facing" } }],
  ["a band set on", { waist: { kind: "straight-band" } }],
] as const)("%s: both sides of every seam are cut alike", (_, finish) => {
  expect(unequal(withFinish(finish as Job["finish"]))).toEqual([]);
  expect(
    unequal(withFinish(finish as Job["finish"], { allowances: { waist: "14 mm", band: "6 mm", style: "17 mm" } })),
  ).toEqual([]);
});

test("any garment: a seam has one allowance, unless one of its sides was set apart", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const { style, moves } = randomWorksheet(seed);
      const finish = randomFinish(seededRandom(seed + 1));
      const whole = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish }));
      expect(whole.ok ? unequal(whole) : []).toEqual([]);
    }),
    { numRuns: RUNS, seed: 20261128 },
  );
});

test("a side set apart stays apart, and the other keeps its own", () => {
  const derived = withFinish(
    { waist: { kind: "straight-band" } },
    { allowances: { edges: { "front.side": "30 mm" } } },
  );
  const side = derived.seams.find((s) => s.kind === "side");
  expect(side && sidesOf(derived, side)).toEqual([[30], [20]]);
});

test("a dart's mouth is cut as wide as what lies beside it: no pit under a contour band", () => {
  const derived = withFinish({ waist: { kind: "contour-band" } });
  for (const piece of derived.pieces)
    piece.edges.forEach((edge, i) => {
      if (edge.role !== "dart") return;
      const beside = piece.edges[(i + piece.edges.length - 1) % piece.edges.length];
      expect(edge.allowance).toBe(beside?.allowance);
    });
});

test("a facing ends at a zip as wide as the centre it faces", () => {
  const derived = withFinish({ waist: { kind: "facing" }, fastening: { kind: "zip-centre-back" } });
  const facing = derived.pieces.find((p) => p.is.part === "facing" && p.is.root === "back");
  const back = derived.pieces.find((p) => p.panel.id === "back");
  const zip = back?.edges.find((e) => e.id === "crotch-zip")?.allowance;
  expect(facing?.edges.find((e) => e.role === "crotch")?.allowance).toBe(zip);
});
