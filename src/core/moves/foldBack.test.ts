import type { Job } from "../files";
import { pathFlatten } from "../geometry";
import { bodiceOutline } from "../inspect/silhouetteBodice";
import { edgesWithRole, onPanel, panelById, panelOutline, roleLength } from "../pattern";
import { badOutline } from "../testing/badOutline";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { tell } from "../units";

const job = (params: Record<string, unknown>, leg = "flare"): Job =>
  palazzoJob(HAND_BODY, {
    style: { id: "one-piece", params: { leg } },
    moves: ["bodice", "bodice-edges", "shape-leg", "fold-back", "join-bodice"].map((move, i) => ({
      id: `m${i}`,
      move,
      on: true,
      params: move === "fold-back" ? params : {},
    })),
  });

test("the fronts go on beyond the centre as asked, and the sewn waist stays what it was", () => {
  const { panels, readings } = shapeOf(job({ neck: "60 mm", waist: "25 mm" }));
  const front = panelById(panels, "bodice-front");
  const outline = panelOutline(front);
  expect(Math.max(...outline.map((p) => p[0]))).toBeCloseTo(60, 6);
  const lap = front.edges.find((e) => e.id === "lap");
  expect(Math.abs((lap?.path[0]?.points[1]?.[0] ?? 0) - (lap?.path[0]?.points[0]?.[0] ?? 0))).toBeCloseTo(25, 6);
  expect(roleLength(front, "waist")).toBeCloseTo(190, 3);
  expect(readings.waistGirth).toBeCloseTo(760, 3);
  expect(badOutline(front)).toEqual([]);
  // Both fronts are cut, none on the fold, and the centre is marked at neck and waist.
  expect(front.cutting.pieces).toBeUndefined();
  expect(edgesWithRole(front, "fold")).toEqual([]);
  expect(front.lines.filter((l) => l.kind === "notch")).toHaveLength(2);
});

test("folded about its line, the flap lies on the front", () => {
  const front = panelById(shapeOf(job({})).panels, "bodice-front");
  const fold = front.lines.find((l) => l.kind === "fold")?.points as readonly [
    readonly [number, number],
    readonly [number, number],
  ];
  const [a, b] = fold;
  const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
  const corner = panelOutline(front).reduce((far, p) => (p[0] > far[0] ? p : far));
  const t = (corner[0] - a[0]) * ux + (corner[1] - a[1]) * uy;
  const mirrored = [2 * (a[0] + t * ux) - corner[0], 2 * (a[1] + t * uy) - corner[1]] as const;
  expect(onPanel(panelOutline(front), mirrored)).toBe(true);
});

test("its facing is as long as the edges it turns, and the back's neck keeps its own", () => {
  const { seams, pieces } = derivedOf({ ...job({}), finish: { trims: [{ kind: "edge-facing" }], pockets: [] } });
  for (const id of ["front-facing-front-edge", "front-facing-neck"]) {
    const seam = seams.find((s) => s.id === id);
    expect(seam?.lengthA).toBeCloseTo(seam?.lengthB ?? NaN, 6);
  }
  expect(pieces.map((p) => p.id)).toEqual(expect.arrayContaining(["front-facing", "neck-facing-back"]));
  expect(pieces.map((p) => p.id)).not.toContain("neck-facing-front");
});

test("a fold that ends too high leaves the front, and says what to do", () => {
  const { worksheet } = shapeOf(job({ break: 0.2, neck: "140 mm" }));
  const line = worksheet.find((l) => l.move === "fold-back");
  expect(line?.passed && tell(line.passed, "cm")).toMatch(/does not lie on the front. Let the fold end lower/);
});

test("it says what it measured", () => {
  const line = shapeOf(job({})).worksheet.find((l) => l.move === "fold-back");
  expect(line && tell(line.sentence, "cm")).toMatch(
    /5\.0 cm at the neck and 2\.0 cm at the waist.*flap is [\d.]+ cm wide/,
  );
});

test("on the figure what laps beyond the centre stays on the other half: the neck starts at the middle", () => {
  const { panels } = shapeOf(job({ neck: "80 mm" }));
  const [neck = []] = bodiceOutline(panels);
  const run = pathFlatten(neck);
  const plain = pathFlatten(
    bodiceOutline(shapeOf(palazzoJob(HAND_BODY, { style: { id: "one-piece", params: {} } })).panels)[0] ?? [],
  );
  expect(run[0]?.[0]).toBeCloseTo(0, 6);
  expect(Math.max(...run.map((p) => p[0]))).toBeLessThan(plain.reduce((far, p) => Math.max(far, p[0]), 0) + 20);
});
