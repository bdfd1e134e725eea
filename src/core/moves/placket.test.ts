import { panelWidthAt, roleLength } from "../pattern";
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
    expect(lastLine(made(...STRAIGHT, ["split", { leg: "left" }], ["placket"])).passed).toSay(/bends/);
    expect(lastLine(made(...STRAIGHT, ["placket"])).passed).toSay(/no split/);
  });

  test("down the centre front: the seam below is what is left to sew", () => {
    const front = made(...STRAIGHT, ["placket", { edge: "centre-front", length: "120 mm" }]);
    expect(seamLengths(front, "crotch-front")[0]).toBeCloseTo(roleLength(plain.front, "crotch") - 120, 3);
  });

  test("buttons stand at equal distances, near what was asked, the same from both ends", () => {
    const buttoned = (spacing: string) => made(...HIP_WIDE, ["split", { leg: "left" }], ["placket", { spacing }]);
    for (const [spacing, asked] of [
      ["60 mm", 60],
      ["90 mm", 90],
      ["200 mm", 200],
    ] as const) {
      const { apart, length } = lastLine(buttoned(spacing)).numbers;
      const count = Math.round(((length?.mm ?? 0) - 60) / (apart?.mm ?? 1)) + 1;
      expect(Math.abs((apart?.mm ?? 0) - asked)).toBeLessThan(asked / 2);
      expect((count - 1) * (apart?.mm ?? 0) + 60).toBeCloseTo(length?.mm ?? 0, 6);
      const side = panelOf(buttoned(spacing), "front-left-side");
      // One line for the edge itself, one a button.
      expect(side.lines.filter((l) => l.kind === "placement")).toHaveLength(count + 1);
    }
  });

  test("a width or a distance no button line has is passed over with the range", () => {
    for (const [params, words] of [
      [{ width: "5 mm" }, /1\.5 to 12\.0 cm on each side/],
      [{ spacing: "600 mm" }, /1\.5 to 40\.0 cm apart/],
      [{ edge: "centre-back", length: "20 mm" }, /bends|4(?:\.0)? to [\d.]+ cm long/],
    ] as const)
      expect(lastLine(made(...HIP_WIDE, ["split"], ["placket", params])).passed).toSay(words);
  });

  test("of several splits the last of each leg is buttoned, both its sides; the others are sewn as long as they were", () => {
    const splits = ["split", { out: "29 mm" }] as const;
    const more = ["split", { leg: "both", out: "55 mm" }] as const;
    const alone = ["split", { panel: "front", leg: "left" }] as const;
    const slit = made(...HIP_WIDE, splits, more, alone, ["placket"]);
    expect(lastLine(slit).passed).toBeNull();
    expect(badPattern(slit.panels, slit.joins, 3)).toEqual([]);
    const strips = slit.panels.filter((p) => (p.worn?.overlaps ?? []).length > 0);
    expect(strips.map((p) => p.half).sort()).toEqual(["left", "left", "right", "right"]);
    const plainSplits = made(...HIP_WIDE, splits, more, alone);
    const sewn = slit.joins.filter((j) => j.kind === "cut").map((j) => j.id);
    expect(sewn.filter((id) => seamLengths(slit, id)[0] === seamLengths(plainSplits, id)[0])).toHaveLength(3);
  });

  test("down to the hem its foot is hemmed with the leg", () => {
    const slit = made(...HIP_WIDE, ["split", { leg: "left" }], ["placket"]);
    const side = panelOf(slit, "front-left-side");
    expect(side.edges.some((e) => e.id.endsWith("-foot"))).toBe(false);
    const short = made(...HIP_WIDE, ["split", { leg: "left" }], ["placket", { length: "400 mm" }]);
    expect(panelOf(short, "front-left-side").edges.some((e) => e.id.endsWith("-foot"))).toBe(true);
    expect(short.joins.some((j) => j.id === "front-left-split")).toBe(true);
  });
});
