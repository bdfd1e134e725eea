import { edgesWithRole } from "../pattern";
import { pathLength } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { HIP_WIDE, lastLine, made, movesOf, panelOf, STRAIGHT, type Line } from "../testing/worksheet";

/** From the centre along the stitching line to the first pleat. */
const toPleat = (shape: ReturnType<typeof made>, panel: string): number => {
  const edges = panelOf(shape, panel).edges;
  const first = edges.findIndex((e) => e.role === "dart");
  return edges
    .slice(0, first)
    .filter((e) => e.role === "waist")
    .reduce((sum, e) => sum + pathLength(e.path), 0);
};
const pleat = (params: Record<string, unknown>, base: readonly Line[] = STRAIGHT) => made(...base, ["pleats", params]);

describe("where pleats stand", () => {
  test.each([
    ["80 mm", 80],
    ["120 mm", 120],
    [60, 60],
  ])("at %s from the centre, on the stitching line", (at, mm) => {
    const shape = pleat({ at, depth: "20 mm" });
    expect(toPleat(shape, "front")).toBeCloseTo(mm, 2);
    expect(lastLine(shape).numbers.fromCentre?.mm).toBeCloseTo(mm, 2);
    expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
  });

  test("a waist quarter from the centre, on a hip-wide front: everything beyond goes in, with room for the side seam", () => {
    const shape = pleat({ at: "quarter" }, HIP_WIDE);
    const { fromCentre } = lastLine(shape).numbers;
    expect(fromCentre?.asked).toBeCloseTo(190, 6);
    expect(toPleat(shape, "front")).toBeCloseTo(175, 1);
    const sewn = edgesWithRole(panelOf(shape, "front"), "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
    expect(sewn).toBeCloseTo(190, 1);
  });

  test("left to itself it stands on the crease, as before", () => {
    const shape = pleat({ depth: "20 mm" });
    expect(said(lastLine(shape).sentence)).toMatch(/on the crease/);
    expect(lastLine(shape).numbers.fromCentre?.mm).toBeCloseTo(toPleat(shape, "front"), 6);
  });

  test("more than one stands further toward the side; too many are refused with what to do", () => {
    const two = pleat({ at: "60 mm", count: 2, depth: "15 mm", spacing: "40 mm" });
    const between = panelOf(two, "front").edges.filter((e) => e.role === "waist")[1];
    expect(pathLength(between?.path ?? [])).toBeCloseTo(40, -1);
    const four = pleat({ at: "150 mm", count: 4, depth: "15 mm", spacing: "80 mm" });
    expect(lastLine(four).passed).toSay(/Take fewer, or nearer together/);
  });

  test("front and back each tell their own depth and place", () => {
    const both = pleat({ panel: "both", at: "quarter" }, HIP_WIDE);
    const { depth, backDepth, intake, backIntake } = lastLine(both).numbers;
    expect(backDepth && depth && Math.abs(backDepth.mm - depth.mm) > 0.5).toBe(true);
    expect(intake?.mm).toBeCloseTo(2 * (depth?.mm ?? 0), 6);
    expect(backIntake?.mm).toBeCloseTo(2 * (backDepth?.mm ?? 0), 6);
    expect(said(lastLine(both).sentence)).toMatch(/deep on the front and .* on the back/);
  });
});

test("a slant pocket beside a pleat says that the pleat is in its way", () => {
  const derived = derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: "straight", params: {} },
      moves: movesOf(...HIP_WIDE, ["pleats", { at: "quarter" }]),
      finish: { pockets: [{ kind: "slant", across: "60 mm" }] },
    }),
  );
  expect(derived.undecided.map(said).join()).toMatch(/A pleat stands in the way/);
});
