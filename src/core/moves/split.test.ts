import { landmarkOf, panelWidthAt, type Panel } from "../drafting";
import { HIP_WIDE, lastLine, made, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

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
    expect(lastLine(made(...HIP_WIDE, ["split", { out: "900 mm" }])).passed).toMatch(/does not reach/);
  });
});
