import { edgeOf, panelWidthAt, roleLength } from "../pattern";
import { said } from "../testing/said";
import { pathEnd, pathEndTangent, pathLength, pathStart } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { edgeLength, lastLine, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

const plain = made(...STRAIGHT);

describe("a yoke", () => {
  const yoked = made(...STRAIGHT, ["yoke", {}]);

  test("is as deep as asked, through the sides at equal depth", () => {
    const centre = edgeOf(panelOf(yoked, "back-yoke"), "crotch").path;
    expect(pathLength(centre)).toBeCloseTo(90, 6);
    for (const id of ["back-yoke", "front-yoke"]) expect(edgeLength(panelOf(yoked, id), "side")).toBeCloseTo(67.5, 6);
    expect(roleLength(panelOf(yoked, "front-yoke"), "crotch")).toBeCloseTo(67.5, 6);
  });

  test("keeps every seam's length and the whole waist; its own edges are equal", () => {
    const [front, back] = seamLengths(yoked, "side");
    expect(front).toBeCloseTo(back, 2);
    expect(yoked.readings.outseam).toBeCloseTo(plain.readings.outseam, 6);
    expect(yoked.readings.crotchSeam).toBeCloseTo(plain.readings.crotchSeam, 6);
    expect(yoked.readings.waistGirth).toBeCloseTo(760, 3);
    for (const id of ["front-yoke", "back-yoke"]) {
      const [upper, lower] = seamLengths(yoked, id);
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
    expect(back.cutting.pieces).toEqual({ count: 1, onFold: true });
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
    expect(lastLine(deep).passed).toSay(/3(?:\.0)? to [\d.]+ cm deep/);
    expect(deep.panels.map((p) => p.id)).toEqual(["front", "back"]);
  });

  test("left to itself it is 90 at the centre back and three quarters of that at side and front", () => {
    const { centre, side, front, seam } = lastLine(yoked).numbers;
    expect([centre?.mm, side?.mm, front?.mm]).toEqual([90, 67.5, 67.5]);
    const lengths = ["front-yoke", "back-yoke"].map((id) => seamLengths(yoked, id)[0]);
    expect(seam?.mm).toBeCloseTo((lengths[0] ?? 0) + (lengths[1] ?? 0), 6);
  });

  test("on the back alone or the front alone, the other panel stays whole", () => {
    const back = made(...STRAIGHT, ["yoke", { panels: "back" }]);
    expect(back.panels.map((p) => p.id)).toEqual(["front", "back-yoke", "back-lower"]);
    const front = made(...STRAIGHT, ["yoke", { panels: "front", front: "80 mm" }]);
    expect(front.panels.map((p) => p.id)).toEqual(["front-yoke", "front-lower", "back"]);
    for (const shape of [back, front]) {
      expect(shape.readings.waistGirth).toBeCloseTo(760, 3);
      expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    }
    expect(said(lastLine(back).sentence)).not.toMatch(/centre front/);
    expect(said(lastLine(front).sentence)).not.toMatch(/centre back/);
  });

  test("its centre back may be a seam, and is then sewn with the rest of the crotch", () => {
    const seamed = made(...STRAIGHT, ["yoke", { fold: false }]);
    expect(edgeOf(panelOf(seamed, "back-yoke"), "crotch").role).toBe("crotch");
    const back = seamed.joins.find((j) => j.id === "crotch-back");
    expect(back?.a.map((ref) => ref.panel)).toEqual(expect.arrayContaining(["back-yoke", "back-lower"]));
  });

  test("a remnant of the front's dart may stay below as well; what is left there and above is the whole dart", () => {
    const rest = made(...STRAIGHT, ["yoke", { frontDart: "remnant" }]);
    const darts = panelOf(rest, "front-lower").edges.filter((e) => e.role === "dart");
    expect(darts).toHaveLength(1);
    const whole = plain.front.edges.find((e) => e.role === "dart");
    expect(edgeLength(panelOf(rest, "front-lower"), darts[0]?.id ?? "")).toBeLessThan(
      whole ? edgeLength(plain.front, whole.id) : 0,
    );
  });

  test("what is left of a dart may be folded out to the hem: no dart is left, and every edge is as long as before", () => {
    const rest = made(...STRAIGHT, ["yoke", {}]);
    const folded = made(...STRAIGHT, ["yoke", { backDart: "folded" }]);
    const [before, after] = [panelOf(rest, "back-lower"), panelOf(folded, "back-lower")];
    expect(before.edges.filter((e) => e.role === "dart")).toHaveLength(1);
    expect(after.edges.filter((e) => e.role === "dart")).toEqual([]);
    expect(after.lines.filter((l) => l.kind === "dart")).toEqual([]);
    expect(Math.abs(roleLength(after, "hem") - roleLength(before, "hem"))).toBeLessThan(3);
    for (const role of ["style", "side", "inseam", "crotch"] as const)
      expect(roleLength(after, role)).toBeCloseTo(roleLength(before, role), 6);
    const [upper, lower] = seamLengths(folded, "back-yoke");
    expect(upper).toBeCloseTo(lower, 1);
    expect(badPattern(folded.panels, folded.joins, 3)).toEqual([]);
    // Narrower at the hip by most of what the mouth was, and not at all at the hem.
    const mouth =
      roleLength(rest.block.panels[1], "dart") > 0 ? panelWidthAt(before, 210) - panelWidthAt(after, 210) : 0;
    expect(mouth).toBeGreaterThan(2);
    expect(Math.abs(panelWidthAt(after, 1000) - panelWidthAt(before, 1000))).toBeLessThan(3);
  });

  test("shallower than 3 cm nothing can be cut", () => {
    expect(lastLine(made(...STRAIGHT, ["yoke", { centre: "20 mm" }])).passed).toSay(
      /can be 3(?:\.0)? to [\d.]+ cm deep/,
    );
  });
});
