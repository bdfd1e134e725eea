import type { Job } from "../files";
import { pathFlatten } from "../geometry";
import { edgesWithRole, panelById, type Panel } from "../pattern";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { deriveShape } from "../derive/shape";

const job = (params: Record<string, unknown> = {}, body: Job["body"] = HAND_BODY, more: Partial<Job> = {}): Job =>
  palazzoJob(body, { style: { id: "one-piece", params }, ...more });

/** Sewn waist of a panel: sums of chords over its waist edges, mouths left out. */
const waistOf = (panel: Panel): number =>
  edgesWithRole(panel, "waist")
    .map((e) => pathFlatten(e.path, 0.001))
    .reduce(
      (sum, run) =>
        sum +
        run.slice(1).reduce((all, p, i) => all + Math.hypot(p[0] - (run[i]?.[0] ?? 0), p[1] - (run[i]?.[1] ?? 0)), 0),
      0,
    );

describe.each(["measured", "quarters"])("a bodice drafted %s", (school) => {
  test("one pleat a quarter leaves the trousers' waist as long as the bodice's, half by half", () => {
    const { panels, joins } = shapeOf(job({ school }));
    for (const root of ["front", "back"] as const) {
      expect(waistOf(panelById(panels, root))).toBeCloseTo(190, 1);
      expect(waistOf(panelById(panels, `bodice-${root}`))).toBeCloseTo(190, 1);
      expect(panelById(panels, root).lines.filter((l) => l.kind === "pleat").length).toBe(3);
      expect(joins.find((j) => j.id === `waist-${root}`)?.how).toBe("equal");
    }
  });

  test("gathered, the seam says by how much", () => {
    const { panels, joins, readings } = shapeOf(job({ school, how: "gather" }));
    expect(joins.filter((j) => j.kind === "waist").map((j) => j.how)).toEqual(["gathered", "gathered"]);
    expect(waistOf(panelById(panels, "front"))).toBeGreaterThan(250);
    expect(readings.waistGirth).toBeCloseTo(760, 1);
    expect(readings.halfGirths.find((h) => h.level === "waist")).toMatchObject({ front: expect.closeTo(380, 1) });
  });
});

test("trousers that are shaped follow the bodice: waists equal, darts at the same place from the centre", () => {
  const shaped = job({}, HAND_BODY, {
    block: { school: "proportional", rules: { waist: { shaping: "darts" } } },
    moves: [
      { id: "m1", move: "bodice", on: true, params: { frontDarts: "25 mm", backDarts: "25 mm" } },
      { id: "m2", move: "shape-leg", on: true, params: {} },
      { id: "m3", move: "join-bodice", on: true, params: { how: "darts" } },
    ],
  });
  const { panels, worksheet } = shapeOf(shaped);
  expect(worksheet.at(-1)?.passed).toBeNull();
  for (const root of ["front", "back"] as const) {
    const [leg, bodice] = [panelById(panels, root), panelById(panels, `bodice-${root}`)];
    expect(waistOf(leg)).toBeCloseTo(waistOf(bodice), 1);
    // The legs' waist runs from the centre, the bodice's to it.
    const first = (panel: Panel, at: 0 | -1): number =>
      waistOf({ ...panel, edges: [edgesWithRole(panel, "waist").at(at) as Panel["edges"][number]] });
    expect(Math.abs(first(leg, 0) - first(bodice, -1))).toBeLessThan(2);
  }
});

test("a waist that cannot be brought together says what works, and the trousers stay as they are", () => {
  const { worksheet, joins } = shapeOf(
    job({}, HAND_BODY, {
      moves: [
        { id: "m1", move: "bodice", on: true, params: {} },
        { id: "m2", move: "join-bodice", on: true, params: { how: "darts" } },
      ],
    }),
  );
  expect(worksheet.at(-1)?.passed).toSay(/shape the trousers' waist with darts, or pleat or gather/i);
  expect(joins.some((j) => j.kind === "waist")).toBe(false);
});

test("without a bodice there is nothing to join, restyle or turn", () => {
  for (const move of ["join-bodice", "bodice-edges", "pivot-dart"]) {
    const { worksheet } = shapeOf(job({}, HAND_BODY, { moves: [{ id: "m1", move, on: true, params: {} }] }));
    expect(worksheet.find((l) => l.move === move)?.passed).toSay(/needs a bodice/);
  }
});

test("the zip runs from the neck through the waist, its lengths adding up along the centre back", () => {
  const derived = derivedOf(job());
  const centre = edgesWithRole(panelById(derived.panels, "bodice-back"), "centre")[0];
  const above = pathFlatten(centre?.path ?? []);
  const [top, bottom] = [above[0], above.at(-1)];
  const length = Math.hypot((top?.[0] ?? 0) - (bottom?.[0] ?? 0), (top?.[1] ?? 0) - (bottom?.[1] ?? 0));
  expect(derived.zip?.above).toBeCloseTo(length, 6);
  const allowed = derived.pieces.find((p) => p.id === "bodice-back")?.edges.find((e) => e.role === "centre");
  expect(allowed?.allowance).toBe(derived.allowances.widths.zip);
  expect(derived.notions.find((n) => n.id === "hook")?.label).toSay(/at the neck/);
  expect(derived.undecided).toEqual([]);
});

test("facings are as long as the edges they turn, and as deep as asked", () => {
  const { pieces, seams } = derivedOf(job());
  expect(pieces.filter((p) => p.is.part === "facing").map((p) => p.id)).toEqual([
    "neck-facing-front",
    "neck-facing-back",
    "armhole-facing-front",
    "armhole-facing-back",
  ]);
  for (const seam of seams.filter((s) => s.kind === "neck" || s.kind === "armhole"))
    expect(Math.abs(seam.lengthA - seam.lengthB)).toBeLessThan(0.01);
  const back = pieces.find((p) => p.id === "bodice-back");
  expect(back?.notches.filter((n) => n.pairs === "armhole-facing-back-armhole").every((n) => n.kind === "double")).toBe(
    true,
  );
});

test("facings that would lie over each other on the shoulder are one, its ends as deep before as behind", () => {
  const { pieces, seams, checks } = derivedOf(
    job({}, HAND_BODY, { finish: { trims: [{ kind: "edge-facing", depth: "60 mm" }] } }),
  );
  expect(pieces.filter((p) => p.is.part === "facing").map((p) => p.id)).toEqual([
    "edge-facing-front",
    "edge-facing-back",
  ]);
  const faced = seams.filter((s) => [...s.a, ...s.b].some((ref) => ref.startsWith("edge-facing-front")));
  expect(faced.map((s) => s.kind).sort()).toEqual(["armhole", "cut", "cut", "neck"]);
  for (const seam of faced) expect(Math.abs(seam.lengthA - seam.lengthB)).toBeLessThan(0.01);
  expect(checks.filter((c) => c.status === "fault")).toEqual([]);
});

test("most bodies get a one-piece without a line passed over, and every seam agrees", () => {
  let [made, without] = [0, 0];
  for (let seed = 1; seed <= 80; seed++) {
    const shape = deriveShape(
      job({ how: seed % 2 ? "pleat" : "gather", school: seed % 3 ? "measured" : "quarters" }, plausibleBody(seed)),
    );
    if (!shape.ok || shape.worksheet.some((l) => l.passed)) {
      without++;
      continue;
    }
    made++;
    for (const root of ["front", "back"] as const) {
      const how = shape.joins.find((j) => j.id === `waist-${root}`)?.how;
      const [leg, above] = [waistOf(panelById(shape.panels, root)), waistOf(panelById(shape.panels, `bodice-${root}`))];
      if (how === "equal") expect(Math.abs(leg - above)).toBeLessThan(0.5);
      // A bodice that has a little more is eased to the trousers.
      else expect(leg).toBeGreaterThan(0.94 * above - 0.5);
    }
  }
  expect(made).toBeGreaterThan(70);
  expect(without).toBeLessThan(8);
});

test("a shaped waist with more than the bodice's, opened before, is pleated to just what the bodice has", () => {
  const opened = job({}, HAND_BODY, {
    block: { school: "proportional", rules: { waist: { shaping: "darts" } } },
    moves: [
      { id: "m1", move: "bodice", on: true, params: { frontDarts: "25 mm", backDarts: "25 mm" } },
      { id: "m2", move: "full-spread", on: true, params: { gap: "40 mm" } },
      { id: "m3", move: "join-bodice", on: true, params: { how: "pleat" } },
    ],
  });
  const { panels, joins, worksheet } = shapeOf(opened);
  expect(worksheet.map((l) => l.passed)).toEqual(worksheet.map(() => null));
  for (const root of ["front", "back"] as const) {
    expect(joins.find((j) => j.id === `waist-${root}`)?.how).toBe("equal");
    expect(waistOf(panelById(panels, root))).toBeCloseTo(waistOf(panelById(panels, `bodice-${root}`)), 1);
  }
});
