import type { Panel } from "../pattern";
import { plausibleBody } from "../testing/bodies";
import { palazzoJob } from "../testing/jobs";
import { chordsOf, type Pt } from "../testing/outside";
import { deriveShape } from "../derive/shape";

/** How far a run lies, at most, on one side of the straight line between its ends; `way` is 1 for its left as it goes. */
function bowedTo(run: readonly Pt[], way: number): number {
  const [a, b] = [run[0] as Pt, run.at(-1) as Pt];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  return Math.max(0, ...run.map((p) => (way * ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]))) / long));
}

/** The places of a seam, downward, from a level. */
const down = (panel: Panel, role: "side" | "inseam", from: number): readonly Pt[] =>
  panel.edges
    .filter((e) => e.role === role)
    .flatMap((e) => chordsOf(e.path, 80))
    .filter((p) => p[1] >= from - 1e-6)
    .toSorted((p, q) => p[1] - q[1]);

test.each([
  ["palazzo", {}],
  ["palazzo", { hemSpread: "400 mm" }],
  ["one-piece", { leg: "palazzo" }],
  ["one-piece", { leg: "palazzo", hemSpread: "300 mm" }],
])("%s %j falls: nowhere more than 3 mm inside the straight line at the side, 1 at the inseam", (id, params) => {
  let seen = 0;
  const most = { side: 0, inseam: 0 };
  for (let seed = 1; seed <= 60; seed++) {
    const shape = deriveShape(palazzoJob(plausibleBody(seed), { style: { id, params } }));
    if (!shape.ok) continue;
    for (const panel of shape.panels) {
      const { hipSide, crotchPoint } = panel.landmarks;
      if (!hipSide || !crotchPoint) continue;
      seen++;
      const way = Math.sign(hipSide[0] - crotchPoint[0]);
      most.side = Math.max(most.side, bowedTo(down(panel, "side", hipSide[1]), way));
      most.inseam = Math.max(most.inseam, bowedTo(down(panel, "inseam", -Infinity), 0 - way));
    }
  }
  expect(seen).toBeGreaterThan(100);
  expect(most.side).toBeGreaterThan(0.2);
  expect(most.side).toBeLessThan(3);
  expect(most.inseam).toBeLessThan(1);
});
