import { badFromOutside } from "../testing/outside";
import { deriveShape } from "../derive/shape";
import type { Job } from "../files";
import { pathEnd, pathFlatten, pathLength, pathStart, pointDistance, type Point } from "../geometry";
import { edgeOf, panelById, refsLength, roleLength, type Panel } from "../pattern";
import { plausibleBody } from "../testing/bodies";
import { badPattern } from "../testing/badOutline";
import { derivedOf, FOUR_BODIES, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";

const lines = (...more: readonly (readonly [string, Record<string, unknown>])[]): NonNullable<Job["moves"]> =>
  more.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params }));
const job = (moves: Job["moves"], body = HAND_BODY, more: Partial<Job> = {}): Job =>
  palazzoJob(body, { style: { id: "one-piece", params: {} }, moves, ...more });
const PLAIN = ["bodice", { school: "quarters", frontDarts: "0 mm", backDarts: "0 mm", waistEase: "60 mm" }] as const;
const passed = (moves: Job["moves"], at: number) =>
  shapeOf(job(moves)).worksheet.find((l) => l.id === `m${at}`)?.passed;
const front = (panels: readonly Panel[]): Panel => panelById(panels, "bodice-front");
const mark = (panel: Panel, name: string): Point => panel.landmarks[name] as Point;

describe("a cowl", () => {
  test("the swing keeps shoulder, armhole, side and waist; the neck runs level and square to the fold", () => {
    for (const body of FOUR_BODIES) {
      const before = front(shapeOf(job(lines(PLAIN), body)).panels);
      const after = front(shapeOf(job(lines(PLAIN, ["cowl", {}]), body)).panels);
      for (const id of ["shoulder", "armhole", "side", "waist"])
        expect(Math.abs(pathLength(edgeOf(after, id).path) - pathLength(edgeOf(before, id).path))).toBeLessThan(1e-6);
      const fold = after.lines.find((l) => l.kind === "fold")?.points as readonly [Point, Point];
      expect(fold[0][1]).toBeCloseTo(fold[1][1], 9);
      expect(mark(after, "neckCentre")[0]).toBeCloseTo(mark(after, "waistCentre")[0], 9);
      // Everything above the chest was turned by one angle about the underarm.
      const turn = (name: string): number => {
        const [a, b, u] = [mark(before, name), mark(after, name), mark(before, "underarm")];
        return Math.atan2(b[1] - u[1], b[0] - u[0]) - Math.atan2(a[1] - u[1], a[0] - u[0]);
      };
      expect(turn("neckEnd")).toBeCloseTo(turn("shoulderEnd"), 9);
    }
  });

  test("opened by what is asked, also so deep that the neck hangs below the bust, with a facing that is asked", () => {
    const made = shapeOf(job(lines(PLAIN, ["cowl", { opening: "60 mm" }])));
    const panel = front(made.panels);
    const before = front(shapeOf(job(lines(PLAIN))).panels);
    const slash: Point = [mark(before, "waistCentre")[0], mark(before, "underarm")[1]];
    const by = panel.worn?.cowl?.turn ?? 0;
    const u = mark(before, "underarm");
    const [x, y] = [slash[0] - u[0], slash[1] - u[1]];
    const swung: Point = [u[0] + x * Math.cos(by) - y * Math.sin(by), u[1] + x * Math.sin(by) + y * Math.cos(by)];
    expect(pointDistance(slash, swung)).toBeCloseTo(60, 6);
    // Fifteen inches, faced by eleven.
    const deep = shapeOf(job(lines(PLAIN, ["cowl", { opening: "381 mm", facing: "279.4 mm" }])));
    expect(badPattern(deep.panels, deep.joins, 3)).toEqual([]);
    const { drop, bust, facing } = front(deep.panels).worn?.cowl ?? { drop: 0, bust: 0, facing: 0 };
    expect(drop).toBeGreaterThan(bust);
    expect(facing).toBeCloseTo(279.4, 6);
  });

  test("a front that was cut or opened has no cowl, and says so", () => {
    expect(passed(lines(PLAIN, ["style-line", {}], ["cowl", {}]), 2)).toSay(/front that is whole/i);
    expect(passed(lines(PLAIN, ["fold-back", {}], ["cowl", {}]), 2)).toSay(/front that is whole/i);
    expect(passed(lines(PLAIN, ["cowl", {}], ["fold-back", {}]), 2)).toSay(/cut off by another line/i);
  });
});

describe("a top", () => {
  test("goes on below the waist with equal sides, round the hip", () => {
    for (const body of FOUR_BODIES) {
      const { panels, joins } = shapeOf(job(lines(PLAIN, ["end-as-top", { length: "240 mm" }]), body));
      expect(badPattern(panels, joins, 0)).toEqual([]);
      expect(panels.map((p) => p.id)).toEqual(["bodice-front", "bodice-back"]);
      expect(mark(front(panels), "hemCentre")[1]).toBeCloseTo(240, 9);
      const hem = 2 * panels.reduce((sum, p) => sum + roleLength(p, "hem"), 0);
      expect(hem).toBeGreaterThan(body.measures.hip as number);
      const side = joins.find((j) => j.kind === "side");
      expect(Math.abs(refsLength(panels, side?.a ?? []) - refsLength(panels, side?.b ?? []))).toBeLessThan(1e-6);
    }
  });

  test("waist darts end at the waist, so a top with darts does too; what is sewn to trousers is no top", () => {
    const darted = shapeOf(job(lines(["bodice", {}], ["end-as-top", {}])));
    expect(darted.worksheet.find((l) => l.move === "end-as-top")?.sentence).toSay(/gives way/i);
    const joined = lines(
      ["bodice", {}],
      ["waist-shaping", { to: "hip-wide" }],
      ["join-bodice", {}],
      ["end-as-top", {}],
    );
    expect(passed(joined, 3)).toSay(/sewn to trousers already/i);
    const stated = deriveShape(job(lines(["bodice", {}], ["end-as-top", { length: "200 mm" }])));
    expect(stated).toMatchObject({
      ok: false,
      status: 422,
      errors: [{ says: expect.toSay(/waist darts end at the waist/i) }],
    });
  });
});

describe("a style line", () => {
  test("cuts both halves at one height, and the doubled upper part is its own facing", () => {
    const { panels, seams } = derivedOf(job(lines(["bodice", {}], ["style-line", { below: "150 mm" }])));
    for (const half of ["front", "back"]) {
      const [upper, lower] = [`bodice-${half}-upper`, `bodice-${half}`].map((id) => panelById(panels, id)) as [
        Panel,
        Panel,
      ];
      expect(upper.cutting.material).toBe("contrast");
      for (const [x, y] of pathFlatten(edgeOf(upper, "style").path)) {
        expect(y).toBeCloseTo(mark(upper, "neckEnd")[1] + 150, 2);
        expect(Number.isFinite(x)).toBe(true);
      }
      expect(pathLength(edgeOf(upper, "style").path)).toBeCloseTo(pathLength(edgeOf(lower, "style").path), 9);
      const facing = panelById(panels, `bodice-${half}-upper-facing`);
      expect(pathLength(edgeOf(facing, "neck").path)).toBeCloseTo(pathLength(edgeOf(upper, "neck").path), 9);
    }
    for (const seam of seams.filter((s) => s.by === "style-line")) expect(seam.lengthA).toBeCloseTo(seam.lengthB, 6);
  });

  test("too high or too low is refused with what works", () => {
    const at = (below: string) => deriveShape(job(lines(["bodice", {}], ["style-line", { below }])));
    for (const below of ["50 mm", "390 mm"])
      expect(at(below)).toMatchObject({
        ok: false,
        errors: [{ says: expect.toSay(/the line runs .* below the shoulder/i) }],
      });
  });
});

describe("a hollowed dart", () => {
  test("its legs are equal, sewn to each other, and cut to their own allowance", () => {
    const made = derivedOf(job(lines(["bodice", {}], ["pivot-dart", {}], ["hollow-dart", { allowance: "8 mm" }])));
    const seam = made.seams.find((s) => s.id === "bust-dart");
    expect(seam?.lengthA).toBeCloseTo(seam?.lengthB ?? 0, 9);
    const piece = made.pieces.find((p) => p.id === "bodice-front");
    expect(piece?.edges.filter((e) => e.edge.startsWith("dart-leg")).map((e) => e.allowance)).toEqual([8, 8]);
    expect(made.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
    // Cut away: the tip lies further from the cut line than the allowance.
    const legs = edgeOf(panelById(made.panels, "bodice-front"), "dart-leg").path;
    const tip = pathEnd(legs);
    const nearest = Math.min(...(piece?.cutLine ?? []).map((p) => pointDistance(p, tip)));
    expect(nearest).toBeGreaterThan(8 * 1.5);
    expect(pointDistance(pathStart(legs), tip)).toBeGreaterThan(nearest);
  });

  test("turned into the waist, the dart that is there is hollowed", () => {
    const turned = lines(["bodice", {}], ["pivot-dart", { into: "waist" }], ["hollow-dart", { allowance: "8 mm" }]);
    const made = derivedOf(job(turned));
    const legs = panelById(made.panels, "bodice-front").edges.filter((e) => e.id.startsWith("dart-leg"));
    expect(legs.map((e) => e.name)).toEqual(["leg of the dart toward the side", "leg of the dart toward the centre"]);
    const [a, b] = legs.map((e) => pathLength(e.path)) as [number, number];
    expect(a).toBeCloseTo(b, 9);
    expect(badFromOutside(made.panels, made.joins, 3)).toEqual([]);
    expect(made.checks.filter((c) => c.status === "fault")).toEqual([]);
  });

  test("a dart that its allowances fill is sewn as it is, and says so", () => {
    const narrow = shapeOf(job(lines(["bodice", {}], ["hollow-dart", { allowance: "20 mm" }])));
    const line = narrow.worksheet.find((l) => l.move === "hollow-dart");
    expect(line?.sentence).toSay(/fill it, so it is sewn as it is/i);
    expect(narrow.panels).toEqual(line?.before.panels);
  });
});

test("a cutaway armhole is shorter than a round one, and both are square to shoulder and side", () => {
  const armhole = (kind: string): number => {
    const { panels } = shapeOf(job(lines(["bodice", {}], ["bodice-edges", { armhole: kind, shoulder: "70 mm" }])));
    expect(pathLength(edgeOf(front(panels), "shoulder").path)).toBeCloseTo(70, 9);
    return pathLength(edgeOf(front(panels), "armhole").path);
  };
  expect(armhole("cutaway")).toBeLessThan(armhole("round"));
});

test("sleeves of random bodies: each half of the cap is its armhole half and half the ease", () => {
  let made = 0;
  for (let seed = 1; seed <= 60; seed++) {
    const asked = job(lines(["bodice", {}], ["style-line", {}], ["end-as-top", { length: 0 }]), plausibleBody(seed), {
      finish: { trims: [{ kind: "sleeve", ease: "14 mm" }] },
    });
    const shape = deriveShape(asked);
    if (!shape.ok) continue;
    const { seams, undecided, sewn } = derivedOf(asked);
    const own = ["front", "back"].map((half) => seams.find((s) => s.id === `sleeve-${half}`));
    if (own.some((s) => s === undefined)) {
      expect(undecided.length).toBeGreaterThan(0);
      continue;
    }
    made++;
    for (const seam of own) expect((seam?.lengthB ?? 0) - (seam?.lengthA ?? 0)).toBeCloseTo(7, 6);
    const seam = seams.find((s) => s.id === "sleeve-seam");
    expect(Math.abs((seam?.lengthA ?? 0) - (seam?.lengthB ?? 0))).toBeLessThan(1e-6);
    // Its width is the arm's and the ease that was asked.
    const sleeve = panelById(sewn, "sleeve");
    const width = mark(sleeve, "underarmFront")[0] - mark(sleeve, "underarmBack")[0];
    expect(width).toBeCloseTo(shape.measures.upperArm.mm + 40, 4);
  }
  expect(made).toBeGreaterThan(45);
});
