import { Bezier } from "bezier-js";
import fc from "fast-check";
import { seededRandom } from "../testing/bodies";
import {
  chordsCross,
  cornerCurve,
  cubic,
  hermiteByLevel,
  line,
  newton2,
  pathAt,
  pathBetween,
  pathFlatten,
  pathLength,
  pathNearest,
  pathSplit,
  polygonArea,
  polygonSections,
  pointDistance,
  polygonSelfCrossing,
  secant,
  segmentEnd,
  segmentLength,
  segmentTangent,
  truedCurve,
  type Point,
  type Segment,
} from ".";

const place = fc.double({ min: -400, max: 400, noNaN: true });
const slope = fc.double({ min: -1.5, max: 1.5, noNaN: true });
const span = fc.double({ min: 40, max: 600, noNaN: true });
/** Curves as seams are: from one level to another, any slope at either end. */
const seam = fc
  .tuple(span, slope, slope, slope)
  .map(([y, chord, from, to]) => hermiteByLevel([0, 0], [chord * y, y], from, to));

describe("curves", () => {
  test("arc length agrees with an independent library on seam-like curves", () => {
    const own = segmentLength(cubic([0, 0], [-12, 90], [40, 220], [31, 380]));
    expect(Math.abs(own - new Bezier(0, 0, -12, 90, 40, 220, 31, 380).length())).toBeLessThan(1e-6);
  });

  test("splitting loses no length and flattening stays within its tolerance", () => {
    fc.assert(
      fc.property(seam, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (segment, share) => {
        const end = segmentEnd(segment);
        const path = [segment, line(end, [end[0] + 30, end[1] + 40])];
        const whole = pathLength(path);
        const [head, tail] = pathSplit(path, whole * share);
        expect(Math.abs(pathLength(head) + pathLength(tail) - whole)).toBeLessThan(1e-3);
        const flat = pathFlatten(path, 0.05);
        for (let i = 0; i <= 20; i++) {
          const { point: p } = pathAt(path, (whole * i) / 20);
          const distance = Math.min(...flat.slice(1).map((q, j) => chordDistance(p, flat[j] as Point, q)));
          expect(distance).toBeLessThan(0.06);
        }
      }),
      { numRuns: 60 },
    );
  });

  test("the nearest place to a place on the path is that place", () => {
    const path = [cubic([0, 0], [-12, 90], [40, 220], [31, 380]), line([31, 380], [31, 700])];
    for (const along of [0, 44, 200, 381, 500, 700]) {
      const { point: p } = pathAt(path, along);
      expect(pathNearest(path, p).along).toBeCloseTo(Math.min(along, pathLength(path)), 3);
    }
    expect(pathLength(pathBetween(path, 100, 300))).toBeCloseTo(200, 6);
  });

  test("a mark on a long straight stretch is found there, not at the end of the curve above it", () => {
    const path = [cubic([117, 526], [110, 569], [105, 612], [105, 655]), line([105, 655], [105, 1210])];
    const above = pathLength([path[0] as Segment]);
    expect(pathNearest(path, [105, 685.1])).toEqual({
      along: expect.closeTo(above + 30.1, 6) as number,
      distance: expect.closeTo(0, 9) as number,
    });
  });

  test("nothing on a path is nearer than the nearest place", () => {
    fc.assert(
      fc.property(seam, fc.tuple(place, place), fc.tuple(place, place), fc.tuple(place, place), (curve, a, b, p) => {
        const path = [curve, line(segmentEnd(curve), a), line(a, b)];
        const { along, distance } = pathNearest(path, p);
        const flat = pathFlatten(path);
        const least = Math.min(...flat.slice(1).map((q, i) => chordDistance(p, flat[i] as Point, q)));
        expect(Math.abs(distance - least)).toBeLessThan(0.06);
        expect(pointDistance(pathAt(path, along).point, p)).toBeCloseTo(distance, 3);
      }),
      { numRuns: 200 },
    );
  });

  test("a trued edge with a symmetric turn is very nearly a circle", () => {
    const [from, to]: [Point, Point] = [
      [-200, 0],
      [200, 0],
    ];
    const half = 0.15;
    const trued = truedCurve(from, [Math.cos(half), Math.sin(half)], to, [Math.cos(half), -Math.sin(half)]);
    const radius = 200 / Math.sin(half);
    expect(segmentLength(trued)).toBeCloseTo(2 * half * radius, 2);
  });

  test("a corner curve keeps both directions and crosses the diagonal where asked", () => {
    const diagonal = { corner: [0, 0] as Point, along: [-Math.SQRT1_2, -Math.SQRT1_2] as Point, distance: 25 };
    const drawn = cornerCurve([-60, 0], [1, 0], [0, -70], [0, -1], diagonal);
    expect(drawn?.distance).toBeCloseTo(25, 6);
    if (!drawn) return;
    expect(segmentTangent(drawn.segment, 0)[1]).toBeCloseTo(0, 9);
    expect(segmentTangent(drawn.segment, 1)[0]).toBeCloseTo(0, 9);
  });

  test("tangents that do not meet ahead give no corner curve", () => {
    expect(cornerCurve([0, 0], [1, 0], [0, -70], [0, 1], { corner: [0, 0], along: [1, 0], distance: 5 })).toBeNull();
  });
});

function chordDistance(p: Point, a: Point, b: Point): number {
  const size = (b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2;
  const t =
    size === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / size));
  return Math.hypot(p[0] - a[0] - (b[0] - a[0]) * t, p[1] - a[1] - (b[1] - a[1]) * t);
}

describe("outlines", () => {
  const square: Point[] = [
    [0, 0],
    [100, 0],
    [100, 50],
    [0, 50],
  ];

  test("area is positive clockwise as drawn, and sections add up", () => {
    expect(polygonArea(square)).toBe(5000);
    expect(polygonArea([...square].reverse())).toBe(-5000);
    expect(polygonSections(square, 20)).toEqual([[0, 100]]);
  });

  test("a crossing outline is found, a plain one is not", () => {
    expect(polygonSelfCrossing(square)).toBeNull();
    expect(
      polygonSelfCrossing([
        [0, 0],
        [100, 100],
        [100, 0],
        [0, 100],
      ]),
    ).toEqual([50, 50]);
  });

  test.each([5, 9, 24, 60, 161])("of %p chords two cross where any two of them do", (n) => {
    const crossesAnywhere = (points: readonly Point[]): boolean =>
      points.some((a, i) =>
        points.some((c, j) => {
          const isNear = Math.abs(i - j) <= 1 || Math.abs(i - j) >= points.length - 1;
          const [b, d] = [points[(i + 1) % points.length] as Point, points[(j + 1) % points.length] as Point];
          return !isNear && chordsCross(a, b, c, d) !== null;
        }),
      );
    let crossing = 0;
    for (let seed = 0; seed < 200; seed++) {
      const random = seededRandom(seed * 31 + n);
      // Round once, with radii so uneven that every other outline or so runs back across itself.
      const points = Array.from({ length: n }, (_, i): Point => {
        const turn = (2 * Math.PI * (i + (seed % 5) * random())) / n;
        const radius = 100 + 60 * random();
        return [radius * Math.cos(turn), radius * Math.sin(turn)];
      });
      const isCrossing = crossesAnywhere(points);
      expect([seed, polygonSelfCrossing(points) !== null]).toEqual([seed, isCrossing]);
      crossing += Number(isCrossing);
    }
    expect(crossing).toBeGreaterThan(20);
    expect(crossing).toBeLessThan(180);
  });
});

describe("solving", () => {
  test("secant and Newton find roots, and say so when there is none", () => {
    expect(secant((x) => x * x - 2, 1, 2)).toBeCloseTo(Math.SQRT2, 6);
    expect(secant(() => 1, 0, 1)).toBeNull();
    const both = newton2(([x, y]) => [x * x + y * y - 25, x - y - 1], [5, 2]);
    expect(both?.[0]).toBeCloseTo(4, 5);
    expect(both?.[1]).toBeCloseTo(3, 5);
    expect(newton2(([x]) => [x * x + 1, 1], [1, 1])).toBeNull();
  });
});
