import { landmarkOf, panelWidthAt, type Panel, panelOutline } from "../pattern";
import { said } from "../testing/said";
import { HIP_WIDE, lastLine, type Line, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

/** Middle of a panel's outline, across. */
const landmarkMiddle = (panel: Panel): number => {
  const xs = panelOutline(panel).map((p) => p[0]);
  return (Math.min(...xs) + Math.max(...xs)) / 2;
};

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
      const [a, b] = seamLengths(slit, id);
      expect(a).toBeCloseTo(b, 3);
    }
    expect(slit.joins.find((j) => j.id === "crotch-front")?.a[0]?.panel).toBe("front-right");
    // Drawn as it is cut: the left front is the mirror image.
    expect(Math.sign(landmarkOf(right as Panel, "waistCentre")[0])).toBe(1);
    expect(Math.sign(landmarkOf(centre as Panel, "waistCentre")[0])).toBe(-1);
  });

  test("through a dart takes the dart into both edges, equally long", () => {
    const both = made(...STRAIGHT, ["split"]);
    const [a, b] = seamLengths(both, "front-split");
    expect(a).toBeCloseTo(b, 6);
    expect(both.panels.some((p) => p.id.startsWith("front") && p.edges.some((e) => e.role === "dart"))).toBe(false);
    expect(both.readings.waistGirth).toBeCloseTo(760, 3);
  });

  test("the line may stand beside the crease; one that leaves the panel is passed over", () => {
    expect(lastLine(made(...HIP_WIDE, ["split", { out: "30 mm" }])).passed).toBeNull();
    expect(lastLine(made(...HIP_WIDE, ["split", { out: "900 mm" }])).passed).toSay(/does not reach/);
  });

  test("the back is split as the front is, and both legs of it", () => {
    const back = made(...HIP_WIDE, ["split", { panel: "back" }]);
    expect(back.panels.map((p) => [p.id, p.half])).toEqual([
      ["front", "both"],
      ["back-centre", "both"],
      ["back-side", "both"],
    ]);
    const [a, b] = seamLengths(back, "back-split");
    expect(a).toBeCloseTo(b, 6);
    expect(lastLine(back).numbers.seam?.mm).toBeCloseTo(a, 6);
    expect(back.readings.hemGirth).toBeCloseTo(480, 3);
  });

  test("parts lie from the centre to the side, as the waist is walked", () => {
    const both = made(...HIP_WIDE, ["split"]);
    expect(both.panels.map((p) => p.id)).toEqual(["front-centre", "front-side", "back"]);
    const middles = both.panels.slice(0, 2).map((p) => landmarkMiddle(p));
    // The centre front lies on the right of its panel.
    expect(middles[0]).toBeGreaterThan(middles[1] as number);
  });

  test("its sentence names the leg, and the dart it runs through", () => {
    const says = (...lines: readonly Line[]): string => said(lastLine(made(...lines)).sentence);
    expect(says(...STRAIGHT, ["split", { leg: "left" }])).toMatch(/left front alone .* through the dart/);
    expect(says(...HIP_WIDE, ["split", { panel: "back", leg: "right" }])).toMatch(/right back alone/);
    expect(says(...HIP_WIDE, ["split", { out: "30 mm" }])).toMatch(/a line 30 mm from the crease/);
  });
});
