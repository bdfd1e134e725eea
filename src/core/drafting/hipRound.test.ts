import { hermiteByLevel, pathFlatten, type Point } from "../geometry";
import { STYLES } from "../styles";
import { palazzoJob, shapeOf } from "../testing/jobs";
import { fromHip } from "./legSeams";

/** The most a line of points turns over 60 of its length, in degrees, measured between chords. */
function sharpest(points: readonly Point[]): number {
  const along = points.map((_, i) =>
    points
      .slice(1, i + 1)
      .reduce((sum, p, k) => sum + Math.hypot(p[0] - (points[k]?.[0] ?? 0), p[1] - (points[k]?.[1] ?? 0)), 0),
  );
  const lean = (i: number): number => {
    const [a, b] = [points[i] as Point, points[i + 1] as Point];
    return (Math.atan2(b[0] - a[0], b[1] - a[1]) * 180) / Math.PI;
  };
  let most = 0;
  for (let i = 0; i < points.length - 1; i++) {
    const j = along.findIndex((s) => s >= (along[i] as number) + 60);
    if (j > 0 && j < points.length - 1) most = Math.max(most, Math.abs(lean(j) - lean(i)));
  }
  return most;
}

test("a side that turns gently from the hip is the plain curve, and a full hip is rounded over a longer stretch", () => {
  const [hip, gentle, full]: Point[] = [
    [250, 200],
    [225, 600],
    [168, 500],
  ];
  const plainly = hermiteByLevel(hip as Point, gentle as Point, 0, 0).points.flat();
  for (const [i, value] of fromHip(hip as Point, gentle as Point, 0)
    .points.flat()
    .entries())
    expect(value).toBeCloseTo(plainly[i] as number, 9);
  const plain = sharpest(
    pathFlatten([hermiteByLevel(hip as Point, full as Point, 0, 0)], 0.01).filter(([, y]) => y < 400),
  );
  const round = sharpest(pathFlatten([fromHip(hip as Point, full as Point, 0)], 0.01).filter(([, y]) => y < 400));
  expect(plain).toBeGreaterThan(14);
  expect(round).toBeLessThan(12);
});

test.each([
  ["straight", 1253, 0.92, 1601],
  ["flare", 1216, 0.81, 1592],
  ["flare", 985, 0.62, 1556],
  ["cigarette", 1144, 0.82, 1581],
  ["straight", 821, 0.63, 1501],
  ["flare", 1268, 0.94, 1504],
  ["front-slit", 1249, 0.77, 1529],
])("a %s for a hip of %d, its waist %d of it, has no corner at the hip", (id, hip, share, height) => {
  const measures = { hip: `${hip} mm`, waist: `${Math.round(hip * share)} mm`, height: `${height} mm` };
  const { panels } = shapeOf(
    palazzoJob({ name: "Plain", unit: "cm", measures }, { style: { id, params: {} }, finish: STYLES[id]?.finish }),
  );
  for (const panel of panels.filter((p) => p.landmarks.hipSide)) {
    const level = panel.landmarks.hipSide?.[1] ?? 0;
    const side = pathFlatten(panel.edges.find((e) => e.role === "side")?.path ?? [], 0.01);
    const near = side.filter(([, y]) => Math.abs(y - level) < 90).sort((a, b) => a[1] - b[1]);
    // The hip's level is estimated: 12 degrees, were it as much lower as bodies differ.
    expect(sharpest(near)).toBeLessThan(12 * 1.08);
  }
});

test.each(["paper-bag", "pleated", "cigarette", "jogger"])(
  "a %s for a full short body narrows no faster than its hem can be sewn",
  (id) => {
    const measures = { hip: "1313 mm", waist: "801 mm", height: "1483 mm" };
    const { panels } = shapeOf(
      palazzoJob({ name: "Plain", unit: "cm", measures }, { style: { id, params: {} }, finish: STYLES[id]?.finish }),
    );
    for (const panel of panels.filter((p) => p.landmarks.hemSide)) {
      const [x, y] = panel.landmarks.hemSide as Point;
      const hem = pathFlatten(panel.edges.find((e) => e.role === "hem")?.path ?? [], 0.01);
      const side = pathFlatten(panel.edges.find((e) => e.role === "side")?.path ?? [], 0.01);
      const beside = (points: readonly Point[]): Point => {
        const [a, b] = points as [Point, Point];
        const isFirst = Math.hypot(a[0] - x, a[1] - y) < 1e-6;
        const [end, next] = isFirst ? [a, b] : [points.at(-1) as Point, points.at(-2) as Point];
        return [next[0] - end[0], next[1] - end[1]];
      };
      const [[ax, ay], [bx, by]] = [beside(hem), beside(side)];
      const inside = (Math.acos((ax * bx + ay * by) / Math.hypot(ax, ay) / Math.hypot(bx, by)) * 180) / Math.PI;
      // Two such corners joined dip by twice what is over a right angle: 3 mm over 60 is 5.7 degrees.
      expect(inside - 90).toBeLessThan(5.72 / 2);
    }
  },
);
