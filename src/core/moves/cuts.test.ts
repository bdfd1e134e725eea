import fc from "fast-check";
import { edgeOf, landmarkOf, panelById, panelWidthAt, refsLength, roleLength, type Panel } from "../drafting";
import { pathAt, pathEnd, pathEndTangent, pathFlatten, pathLength, pathStart, pointDistance } from "../geometry";
import { deriveShape, type Shape } from "../derive";
import type { Job } from "../files";
import { badPattern } from "../testing/badOutline";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { mirroredIn } from "./foldedWaist";

type Moves = NonNullable<Job["moves"]>;
type Line = readonly [string, Record<string, unknown>?];
const moves = (...list: readonly Line[]): Moves =>
  list.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params: params ?? {} }));

const STRAIGHT: readonly Line[] = [["shape-leg"], ["set-length"]];
const HIP_WIDE: readonly Line[] = [["waist-shaping", { to: "hip-wide" }], ...STRAIGHT];
const jobOf = (list: readonly Line[], body = HAND_BODY): Job =>
  palazzoJob(body, { style: { id: "straight", params: {} }, moves: moves(...list) });
const made = (...list: readonly Line[]) => shapeOf(jobOf(list));
const plain = made(...STRAIGHT);
const length = (panel: Panel, id: string): number => pathLength(edgeOf(panel, id).path);
const panelOf = (shape: Shape, id: string): Panel => panelById(shape.panels, id);
const joined = (shape: Shape, id: string): readonly [number, number] => {
  const join = shape.joins.find((j) => j.id === id);
  if (!join) throw new Error(`no join ${id}`);
  return [refsLength(shape.panels, join.a), refsLength(shape.panels, join.b)];
};
const last = (shape: Shape) => {
  const line = shape.worksheet.at(-1);
  if (!line) throw new Error("no line");
  return line;
};

describe("a yoke", () => {
  const yoked = made(...STRAIGHT, ["yoke", {}]);

  test("is as deep as asked, through the sides at equal depth", () => {
    const centre = edgeOf(panelOf(yoked, "back-yoke"), "crotch").path;
    expect(pathLength(centre)).toBeCloseTo(90, 6);
    for (const id of ["back-yoke", "front-yoke"]) expect(length(panelOf(yoked, id), "side")).toBeCloseTo(67.5, 6);
    expect(roleLength(panelOf(yoked, "front-yoke"), "crotch")).toBeCloseTo(67.5, 6);
  });

  test("keeps every seam's length and the whole waist; its own edges are equal", () => {
    const [front, back] = joined(yoked, "side");
    expect(front).toBeCloseTo(back, 2);
    expect(yoked.readings.outseam).toBeCloseTo(plain.readings.outseam, 6);
    expect(yoked.readings.crotchSeam).toBeCloseTo(plain.readings.crotchSeam, 6);
    expect(yoked.readings.waistGirth).toBeCloseTo(760, 3);
    for (const id of ["front-yoke", "back-yoke"]) {
      const [upper, lower] = joined(yoked, id);
      expect(Math.abs(upper - lower)).toBeLessThan(0.02);
    }
  });

  test("closes its darts: none in the part above, the front's used up, the rest of the back's below", () => {
    const darts = (id: string): number => panelOf(yoked, id).edges.filter((e) => e.role === "dart").length;
    expect(["front-yoke", "front-lower", "back-yoke", "back-lower"].map(darts)).toEqual([0, 0, 0, 1]);
    const used = made(...STRAIGHT, ["yoke", { backDart: "used" }]);
    expect(panelOf(used, "back-lower").edges.some((e) => e.role === "dart")).toBe(false);
  });

  test("runs on across the side and lies square to the centre back on the fold", () => {
    const back = panelOf(yoked, "back-yoke");
    expect(back.cut).toEqual({ count: 1, onFold: true });
    expect(edgeOf(back, "crotch").role).toBe("fold");
    const fold = edgeOf(back, "crotch").path;
    const seam = pathEndTangent(edgeOf(back, "yoke").path);
    const [a, b] = [pathStart(fold), pathEnd(fold)];
    const down: readonly [number, number] = [(b[0] - a[0]) / 90, (b[1] - a[1]) / 90];
    expect(Math.abs(seam[0] * down[0] + seam[1] * down[1])).toBeLessThan(0.02);
  });

  test("front and back in one piece: one panel less, no side seam above, the waist unbroken", () => {
    const one = made(...STRAIGHT, ["yoke", { joined: true }]);
    expect(one.panels.map((p) => p.id)).toEqual(["front-lower", "back-yoke", "back-lower"]);
    expect(one.readings.waistGirth).toBeCloseTo(760, 3);
    expect(one.readings.outseam).toBeCloseTo(plain.readings.outseam - 67.5, 4);
    expect(badPattern(one.panels, one.joins, 3)).toEqual([]);
  });

  test("one that reaches the hip line is passed over with the depth that works", () => {
    const deep = made(...STRAIGHT, ["yoke", { side: "230 mm" }]);
    expect(last(deep).passed).toMatch(/3 to [\d.]+ cm deep/);
    expect(deep.panels.map((p) => p.id)).toEqual(["front", "back"]);
  });
});

describe("a split", () => {
  test("on one leg alone: left and right differ there and nowhere else, and every seam is sewn on each", () => {
    const slit = made(...HIP_WIDE, ["split", { leg: "left" }]);
    expect(slit.panels.map((p) => [p.id, p.half])).toEqual([
      ["front-right", "right"],
      ["front-left-centre", "left"],
      ["front-left-side", "left"],
      ["back", "both"],
    ]);
    const [centre, side, right] = ["front-left-centre", "front-left-side", "front-right"].map((id) =>
      panelOf(slit, id),
    );
    for (const y of [300, 600, 900])
      expect(panelWidthAt(centre as Panel, y) + panelWidthAt(side as Panel, y)).toBeCloseTo(
        panelWidthAt(right as Panel, y),
        6,
      );
    for (const id of ["side-left", "side-right", "front-left-split"]) {
      const [a, b] = joined(slit, id);
      expect(a).toBeCloseTo(b, 3);
    }
    expect(slit.joins.find((j) => j.id === "crotch-front")?.a[0]?.panel).toBe("front-right");
    // Drawn as it is cut: the left front is the mirror image.
    expect(Math.sign(landmarkOf(right as Panel, "waistCentre")[0])).toBe(1);
    expect(Math.sign(landmarkOf(centre as Panel, "waistCentre")[0])).toBe(-1);
  });

  test("through a dart takes the dart into both edges, equally long", () => {
    const both = made(...STRAIGHT, ["split"]);
    const [a, b] = joined(both, "front-split");
    expect(a).toBeCloseTo(b, 6);
    expect(both.panels.some((p) => p.id.startsWith("front") && p.edges.some((e) => e.role === "dart"))).toBe(false);
    expect(both.readings.waistGirth).toBeCloseTo(760, 3);
  });

  test("the line may stand beside the crease; one that leaves the panel is passed over", () => {
    expect(last(made(...HIP_WIDE, ["split", { out: "30 mm" }])).passed).toBeNull();
    expect(last(made(...HIP_WIDE, ["split", { out: "900 mm" }])).passed).toMatch(/does not reach/);
  });
});

describe("a placket", () => {
  test("adds its width on both sides of the slit and no girth: the buttoned leg is the plain one", () => {
    const slit = made(...HIP_WIDE, ["split", { leg: "left" }], ["placket", { width: "2 in" }]);
    const girth = (leg: "left" | "right", y: number): number =>
      slit.panels.filter((p) => p.half === leg || p.half === "both").reduce((sum, p) => sum + panelWidthAt(p, y), 0);
    for (const y of [250, 500, 900]) expect(girth("left", y)).toBeCloseTo(girth("right", y), 3);
    const side = panelOf(slit, "front-left-side");
    const folds = side.lines.filter((l) => l.kind === "fold");
    expect(folds).toHaveLength(1);
    expect(
      Math.abs((folds[0]?.points[0]?.[0] ?? 0) - (side.lines.find((l) => l.kind === "placement")?.points[0]?.[0] ?? 0)),
    ).toBeCloseTo(25.4, 3);
    expect(slit.joins.some((j) => j.id === "front-left-split")).toBe(false);
    expect(badPattern(slit.panels, slit.joins, 3)).toEqual([]);
  });

  test("an edge bent by a dart cannot fold, and a panel without a split has nothing to button", () => {
    expect(last(made(...STRAIGHT, ["split", { leg: "left" }], ["placket"])).passed).toMatch(/bends/);
    expect(last(made(...STRAIGHT, ["placket"])).passed).toMatch(/no split/);
  });

  test("down the centre front: the seam below is what is left to sew", () => {
    const front = made(...STRAIGHT, ["placket", { edge: "centre-front", length: "120 mm" }]);
    expect(joined(front, "crotch-front")[0]).toBeCloseTo(roleLength(plain.front, "crotch") - 120, 3);
  });
});

describe("a flounce", () => {
  const bell = made(...STRAIGHT, ["flounce", { start: "700 mm" }]);

  test("its inner edge is the sewn leg, its depth runs to the set length", () => {
    const [leg, ring] = joined(bell, "flounce");
    expect(Math.abs(leg - ring)).toBeLessThan(0.01);
    expect(last(bell).numbers.depth?.mm).toBe(1060 - 700);
    expect(last(bell).numbers.radius?.mm).toBeCloseTo(leg / (2 * Math.PI), 6);
    expect(bell.readings.lowestPoint).toBeCloseTo(1060, 6);
    // A full circle: the hem is longer than the seam by 2 pi x depth.
    expect(bell.readings.hemGirth - leg).toBeCloseTo(2 * Math.PI * 360, 0);
  });

  test("side and inseam are cut at equal lengths and the leg's new edges run on", () => {
    expect(length(panelOf(bell, "front"), "side")).toBeCloseTo(length(panelOf(bell, "back"), "side"), 6);
    expect(badPattern(bell.panels, bell.joins, 3)).toEqual([]);
  });

  test("a half circle is one part with twice the radius; points close evenly and reach the full depth", () => {
    const half = made(...STRAIGHT, ["flounce", { share: 0.5, points: 7, valley: "90 mm" }]);
    const ring = panelOf(half, "flounce");
    expect(last(half).numbers.radius?.mm).toBeCloseTo(480 / Math.PI, 0);
    const hem = pathFlatten(edgeOf(ring, "hem").path).map(([x, y]) => Math.hypot(x, y));
    const r = ring.ring as NonNullable<Panel["ring"]>;
    expect(Math.max(...hem)).toBeCloseTo(r.radius + r.depth, 3);
    expect(Math.min(...hem)).toBeCloseTo(r.radius + r.depth - 90, 1);
    expect(length(ring, "start")).toBeCloseTo(length(ring, "end"), 9);
  });

  test("gathered: a strip as long as its ratio asks", () => {
    const strip = made(...STRAIGHT, ["flounce", { kind: "gathered", fullness: 2.5 }]);
    const [leg, top] = joined(strip, "flounce");
    expect(top / leg).toBeCloseTo(2.5, 9);
  });

  test("too many degrees for one part, or a start below the hem, are refused with what works", () => {
    expect(last(made(...STRAIGHT, ["flounce", { share: 1, parts: 1 }])).passed).toMatch(/at least 2 parts/);
    expect(last(made(...STRAIGHT, ["flounce", { start: "1040 mm" }])).passed).toMatch(/starts between/);
  });
});

describe("a godet", () => {
  test("is as long as the seam is opened, as wide at the hem as asked, and meets both sides", () => {
    const flared = made(...STRAIGHT, ["godet", { at: "side", length: "300 mm", spread: "240 mm" }]);
    const godet = panelOf(flared, "godet-side");
    expect(length(godet, "hem")).toBeCloseTo(240, 2);
    for (const id of ["godet-side-1", "godet-side-2"])
      expect(joined(flared, id)).toEqual([expect.closeTo(300, 6), expect.closeTo(300, 6)]);
    expect(flared.readings.hemGirth).toBeCloseTo(480 + 240, 1);
    expect(flared.readings.outseam).toBeCloseTo(plain.readings.outseam - 300, 6);
  });

  test("goes into the inseam and into a split seam as well", () => {
    for (const list of [[["godet", { at: "inseam" }]], [["split"], ["godet", { at: "split" }]]] as Line[][]) {
      const shape = made(...STRAIGHT, ...list);
      expect(last(shape).passed).toBeNull();
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
    expect(last(made(...STRAIGHT, ["godet", { at: "split" }])).passed).toMatch(/no split seam/);
    expect(last(made(...STRAIGHT, ["godet", { length: "2000 mm" }])).passed).toMatch(/opened between/);
  });
});

describe("a side panel", () => {
  const sides = made(...STRAIGHT, ["side-panel", { fullness: 2.5, above: "80 mm" }]);
  const panel = panelOf(sides, "side-panel");

  test("its top is the ratio times the seam, its plain edges equal, its hem level", () => {
    for (const half of ["front", "back"]) {
      const [seam, top] = joined(sides, `side-panel-top-${half}`);
      expect(top / seam).toBeCloseTo(2.5, 6);
      const [leg, edge] = joined(sides, `side-panel-plain-${half}`);
      expect(Math.abs(leg - edge)).toBeLessThan(0.01);
    }
    const hem = pathFlatten(edgeOf(panel, "hem").path).map((p) => p[1]);
    expect(Math.max(...hem) - Math.min(...hem)).toBeLessThan(1);
    expect(sides.plan.levels.hem - (hem[0] ?? 0)).toBeLessThan(1);
  });

  test("starts where asked on both sides, and the curve is what it replaces", () => {
    const hip = plain.front.landmarks.hipSide ?? [0, 0];
    const start = pathEnd(edgeOf(panelOf(sides, "front"), "side").path);
    expect(pointDistance(start, hip)).toBeCloseTo(80, 0);
    expect(length(panelOf(sides, "front"), "side")).toBeCloseTo(length(panelOf(sides, "back"), "side"), 6);
    expect(sides.readings.waistGirth).toBeCloseTo(760, 3);
  });

  test("refuses a panel that leaves nothing to replace or starts at the waist", () => {
    expect(last(made(...STRAIGHT, ["side-panel", { reach: "300 mm" }])).passed).toMatch(/nearer to the crease/);
    expect(last(made(...STRAIGHT, ["side-panel", { above: "400 mm" }])).passed).toMatch(/at least 2 cm below/);
  });
});

describe("a casing", () => {
  test("twice the channel and its room, folded back on to what it covers", () => {
    const cased = made(...HIP_WIDE, ["casing", { depth: "45 mm" }]);
    const front = panelOf(cased, "front");
    const [a, b] = front.lines.find((l) => l.kind === "fold")?.points as readonly [
      readonly [number, number],
      readonly [number, number],
    ];
    const side = edgeOf(front, "side").path;
    for (const down of [10, 30, 45]) {
      // 48 of the side lie beyond the fold; mirrored in it they lie on the side below.
      const beyond = pathAt(side, 48 - down).point;
      expect(pointDistance(mirroredIn(beyond, a, b), pathAt(side, 48 + down).point)).toBeLessThan(0.01);
    }
    expect(length(front, "side") - length(panelOf(made(...HIP_WIDE), "front"), "side")).toBeCloseTo(93, 6);
    expect(cased.readings.crotchSeam).toBeCloseTo(made(...HIP_WIDE).readings.crotchSeam, 6);
    expect(badPattern(cased.panels, cased.joins, 3)).toEqual([]);
  });

  test("at a tapered hem the finished girth is still what was asked", () => {
    const cuffed = made(
      ["waist-shaping", { to: "hip-wide" }],
      ["shape-leg", { knee: "480 mm", hem: "380 mm" }],
      ["set-length"],
      ["casing", { at: "hem", sits: "on", depth: "30 mm" }],
    );
    expect(cuffed.readings.hemGirth).toBeCloseTo(380, 0);
    expect(cuffed.readings.lowestPoint).toBeCloseTo(1060, 0);
  });

  test("darts in a pull-on waist, and a placket beside it, are told", () => {
    expect(last(made(...STRAIGHT, ["casing"])).passed).toMatch(/darts or pleats/);
    expect(last(made(...HIP_WIDE, ["split", { leg: "left" }], ["placket"], ["casing"])).passed).toMatch(/placket/);
  });
});

test("every cut on 60 random bodies: sound outlines and equal seams, or passed over with a sentence", () => {
  const cuts: readonly (readonly Line[])[] = [
    [...STRAIGHT, ["yoke", { centre: "70 mm", side: "50 mm" }]],
    [...STRAIGHT, ["yoke", { joined: true, centre: "60 mm", side: "50 mm" }]],
    [...HIP_WIDE, ["split", { leg: "right" }], ["placket"]],
    [...STRAIGHT, ["split"], ["godet", { at: "split", length: "150 mm", spread: "100 mm" }]],
    [...STRAIGHT, ["flounce", { share: 0.75, points: 4 }]],
    [...STRAIGHT, ["spread", { hemSpread: "120 mm" }], ["side-panel", { fullness: 3 }]],
    [...HIP_WIDE, ["casing", { frill: "40 mm" }]],
  ];
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), fc.integer({ min: 0, max: cuts.length - 1 }), (seed, which) => {
      const shape = deriveShape(jobOf(cuts[which] as readonly Line[], plausibleBody(seed)));
      if (!shape.ok) throw new Error(`${which}: ${shape.errors[0]?.message}`);
      expect([which, badPattern(shape.panels, shape.joins, 3)]).toEqual([which, []]);
      for (const l of shape.worksheet) expect(l.passed === null || l.passed.endsWith(".")).toBe(true);
    }),
    { numRuns: 120, seed: 20261123 },
  );
});
