import { edgeOf, edgesWithRole, landmarkOf, panelOutline, type Panel } from "../../pattern";
import {
  distanceToChord,
  pathAt,
  pathEnd,
  pathFlatten,
  pathLength,
  pathStart,
  polygonSelfCrossing,
  segmentSplit,
  type Point,
} from "../../geometry";
import { outlineData } from "../../tracing";
import { readOutline } from "../../tracing/readOutline";
import { deriveShape } from "../../derive/shape";
import { plausibleBody } from "../../testing/bodies";
import type { Job } from "../../files";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../../testing/jobs";
import { ownBlockJob, ownBlockOf } from "../../testing/ownBlock";
import { movesOf } from "../../testing/worksheet";

const smooth = (own: ReturnType<typeof ownBlockOf>) =>
  derivedOf(ownBlockJob(own))
    .checks.filter((c) => c.status === "fault")
    .map((c) => c.id);

describe("places of a block brought in", () => {
  const exact = ownBlockOf();

  test.each([0.001, 0.5, 2.5])("a corner's place %p mm off means the corner", (off) => {
    const moved = ownBlockOf((marks) => ({
      ...marks,
      waistCentre: [marks.waistCentre[0] + off * 0.7, marks.waistCentre[1] - off * 0.7],
      waistSide: [marks.waistSide[0] - off, marks.waistSide[1]],
      hemSide: [marks.hemSide[0], marks.hemSide[1] + off],
      crotchPoint: [marks.crotchPoint[0] + off, marks.crotchPoint[1]],
    }));
    expect(smooth(moved)).toEqual(smooth(exact));
    const [a, b] = [shapeOf(ownBlockJob(exact)), shapeOf(ownBlockJob(moved))];
    for (const id of ["waist", "side", "hem", "inseam", "crotch"] as const)
      for (const which of ["front", "back"] as const)
        expect([which, id, pathLength(edgeOf(b[which], id).path)]).toEqual([
          which,
          id,
          expect.closeTo(pathLength(edgeOf(a[which], id).path), 1),
        ]);
  });

  test("a refusal names the place", () => {
    const far = ownBlockOf((marks, which) => (which === "back" ? { ...marks, hipSide: [900, 200] } : marks));
    const refused = deriveShape(ownBlockJob(far));
    expect(refused).toMatchObject({ ok: false, errors: [{ path: "block.own.landmarks.back.hipSide" }] });
    if (!refused.ok) expect(refused.errors[0]?.says).toSay(/hip at the side/);
  });

  test("a stub of the drawing is dropped: no corner of 180 degrees stands in the seam", () => {
    const path = exact.panels.front.path.replace(
      /^M(\S+) (\S+?)([LC])/,
      (_, x: string, y: string, next: string) => `M${x} ${y}L${Number(x) + 0.4} ${Number(y) - 0.3}${next}`,
    );
    expect(path).not.toBe(exact.panels.front.path);
    const stubbed = { ...exact, panels: { ...exact.panels, front: { ...exact.panels.front, path } } };
    expect(smooth(stubbed)).toEqual(smooth(exact));
  });
});

test("a knee marked below the curve of the leg, on its long straight part, stays where it was marked", () => {
  const down = 30;
  const lower = ownBlockOf((marks) => ({
    ...marks,
    kneeSide: [marks.kneeSide[0], marks.kneeSide[1] + down],
    kneeInseam: [marks.kneeInseam[0], marks.kneeInseam[1] + down],
  }));
  const [was, is] = [ownBlockOf(), lower].map((own) => shapeOf(ownBlockJob(own)));
  for (const which of ["front", "back"] as const)
    for (const place of ["kneeSide", "kneeInseam"])
      expect(landmarkOf(is?.[which] as Panel, place)[1]).toBeCloseTo(
        landmarkOf(was?.[which] as Panel, place)[1] + down,
        1,
      );
});

test("a crotch curve of several parts stays a curve when the inseam is turned", () => {
  // Each curve of the outline is halved, as a drawing program may do.
  const parted = (data: string): string =>
    outlineData(readOutline(data, "").flatMap((s) => (s.kind === "line" ? [s] : segmentSplit(s, 0.5))));
  const own = ownBlockOf();
  const panels = {
    front: { ...own.panels.front, path: parted(own.panels.front.path) },
    back: { ...own.panels.back, path: parted(own.panels.back.path) },
  };
  const moves = movesOf(["shape-leg", { hem: "700 mm", knee: "560 mm" }]);
  const [whole, halved] = [own, { ...own, panels }].map((block) => shapeOf(ownBlockJob(block, moves)));
  for (const which of ["front", "back"] as const) {
    const [a, b] = [whole, halved].map((shape) => pathFlatten(edgeOf(shape?.[which] as Panel, "crotch").path));
    const off = (b as Point[]).map((p) =>
      Math.min(...(a as Point[]).slice(1).map((q, i) => distanceToChord(p, (a as Point[])[i] as Point, q))),
    );
    expect(Math.max(...off)).toBeLessThan(2);
  }
});

test.each(["widen-leg", "drop-crotch", "waist-level", "shape-leg", "set-length"])(
  "%s leaves the seams of blocks brought in as far apart as they were, and their outlines closed",
  (move) => {
    for (const seed of [1, 16, 34, 893]) {
      const plain = palazzoJob(plausibleBody(seed), { style: { id: "straight", params: {} }, moves: [] });
      const own = ownBlockOf(undefined, plain);
      const job = (moves: ReturnType<typeof movesOf>): Job => ({
        ...palazzoJob(plausibleBody(seed), { style: { id: "straight", params: {} }, moves }),
        block: { school: "own", rules: {}, own },
      });
      const params = move === "set-length" ? { length: "700 mm" } : {};
      const [was, is] = [shapeOf(job([])), shapeOf(job(movesOf([move, params])))];
      for (const seam of ["side", "inseam"] as const) {
        const apart = ({ front, back }: { front: Panel; back: Panel }): number =>
          pathLength(edgeOf(back, seam).path) - pathLength(edgeOf(front, seam).path);
        expect([seed, seam, apart(is)]).toEqual([seed, seam, expect.closeTo(apart(was), 3)]);
      }
    }
  },
);

test("a side moved in is cut back along the waist, and no further than to a dart", () => {
  const narrower = (side: string) => ownBlockJob(ownBlockOf(), movesOf(["widen-leg", { side }]));
  const [was, is] = [shapeOf(ownBlockJob(ownBlockOf())), shapeOf(narrower("-12 mm"))];
  for (const which of ["front", "back"] as const) {
    const along = ({ edges }: Panel): number =>
      edges.filter((e) => e.role === "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
    // A little more than straight across: the waist line slopes there, and the sides are walked afterwards.
    expect(along(was[which]) - along(is[which])).toBeGreaterThan(11.9);
    expect(along(was[which]) - along(is[which])).toBeLessThan(13.5);
    expect(polygonSelfCrossing(panelOutline(is[which]))).toBeNull();
  }
  // A dart that stands nearer to the side than that leaves nothing to take in.
  const near = ownBlockOf();
  const [dart] = near.panels.back.darts ?? [];
  const side = near.landmarks.back.waistSide[0];
  const by = side - 20 - Math.max(...(dart ?? []).map(([x]) => x as number));
  const darts = [(dart ?? []).map(([x, y]) => [(x as number) + by, y as number])] as typeof near.panels.back.darts;
  const panels = { ...near.panels, back: { ...near.panels.back, darts } };
  const refused = deriveShape(ownBlockJob({ ...near, panels }, movesOf(["widen-leg", { side: "-40 mm" }])));
  expect(refused.ok).toBe(false);
  if (!refused.ok) expect(refused.errors[0]?.says).toSay(/has only .* to take in at the side/);
});

describe("what is done to a block brought in", () => {
  const own = ownBlockOf();

  test.each(["1120 mm", "900 mm"])("its length set to %s leaves the inseam as straight as it was", (length) => {
    const shape = shapeOf(ownBlockJob(own, movesOf(["set-length", { length }])));
    for (const panel of [shape.front, shape.back]) {
      const inseam = edgeOf(panel, "inseam").path;
      const below = pathFlatten(inseam).filter((p) => p[1] > landmarkOf(panel, "kneeInseam")[1] + 1);
      const [a, b] = [below[0], below.at(-1)];
      expect(Math.max(...below.map((p) => distanceToChord(p, a ?? p, b ?? p)))).toBeLessThan(0.3);
    }
    expect(shape.plan.levels.hem).toBe(parseFloat(length));
  });

  test("widths asked of it are shared about its own middle where that is kept", () => {
    const shifted = ownBlockOf((marks) => ({
      ...marks,
      creaseTop: [marks.creaseTop[0] + 12, marks.creaseTop[1]],
      creaseHem: [marks.creaseHem[0] + 12, marks.creaseHem[1]],
    }));
    const moves = movesOf(["shape-leg", { knee: "430 mm", hem: "430 mm" }], ["set-length", { length: "1000 mm" }]);
    const middle = (rules: object): number => {
      const { back } = shapeOf(ownBlockJob(shifted, moves, rules));
      return (landmarkOf(back, "hemSide")[0] + landmarkOf(back, "hemInseam")[0]) / 2;
    };
    expect(middle({})).toBeCloseTo(0, 1);
    expect(Math.abs(middle({ hang: { from: "offset" } }))).toBeCloseTo(12, 0);
  });

  test("its waist is cut lower along its own lines: darts keep their tips, sides stay equal", () => {
    const plain = shapeOf(ownBlockJob(own));
    const low = shapeOf(ownBlockJob(own, movesOf(["waist-level", { by: "-40 mm" }])));
    for (const which of ["front", "back"] as const) {
      const side = (s: typeof plain) => pathLength(edgeOf(s[which], "side").path);
      expect(side(plain) - side(low)).toBeCloseTo(40, 3);
      const tip = (s: typeof plain) => s[which].lines.find((l) => l.kind === "dart")?.points[1];
      expect(tip(low)).toEqual(tip(plain));
      const mouth = (s: typeof plain): number => {
        const [dart] = edgesWithRole(s[which], "dart");
        const [a, b] = [pathStart(dart?.path ?? []), pathEnd(dart?.path ?? [])];
        return Math.hypot(a[0] - b[0], a[1] - b[1]);
      };
      expect(mouth(low)).toBeLessThan(mouth(plain));
    }
    expect(low.readings.waistGirth).toBeGreaterThan(plain.readings.waistGirth);
    expect(deriveShape(ownBlockJob(own, movesOf(["waist-level", { by: "30 mm" }])))).toMatchObject({
      ok: false,
      errors: [{ path: "moves.0.params.by", most: 0 }],
    });
  });

  test("its notches come along where its outline is still the same", () => {
    // As the drawing has them, before it is laid with its waist at 0.
    const { front } = shapeOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, moves: [] }));
    const [hip, low] = [pathAt(edgeOf(front, "side").path, 150).point, pathAt(edgeOf(front, "side").path, 700).point];
    const notched = {
      ...own,
      panels: { ...own.panels, front: { ...own.panels.front, notches: [[...hip], [...low]] as [number, number][] } },
    };
    const marks = (moves: Parameters<typeof ownBlockJob>[1]) =>
      derivedOf(ownBlockJob(notched, moves))
        .pieces.find((p) => p.id === "front")
        ?.notches.filter((n) => n.pairs === "own") ?? [];
    expect(marks([])).toHaveLength(2);
    // A flared leg moves the lower one's seam away: that notch is gone, the other stays.
    expect(marks(movesOf(["shape-leg", { knee: "520 mm", hem: "700 mm" }]))).toHaveLength(1);
  });
});
