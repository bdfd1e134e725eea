import { panelWidthAt, roleLength } from "../drafting";
import { badPattern } from "../testing/badOutline";
import { HIP_WIDE, lastLine, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

const plain = made(...STRAIGHT);

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
    expect(lastLine(made(...STRAIGHT, ["split", { leg: "left" }], ["placket"])).passed).toMatch(/bends/);
    expect(lastLine(made(...STRAIGHT, ["placket"])).passed).toMatch(/no split/);
  });

  test("down the centre front: the seam below is what is left to sew", () => {
    const front = made(...STRAIGHT, ["placket", { edge: "centre-front", length: "120 mm" }]);
    expect(seamLengths(front, "crotch-front")[0]).toBeCloseTo(roleLength(plain.front, "crotch") - 120, 3);
  });
});
