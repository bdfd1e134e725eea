import { panelOutline, panelWidthAt, roleLength } from "../pattern";
import { deriveShape } from "../derive/shape";
import { distanceToOutline } from "../geometry";
import { badOutline, badPattern } from "../testing/badOutline";
import { edgeLength, jobWith, made } from "../testing/worksheet";

const plain = made();

test("full-spread adds exactly its amount to waist and hem, and leaves every seam as it was", () => {
  const open = made(["full-spread", { gap: "60 mm" }]);
  for (const panel of ["front", "back"] as const) {
    expect(roleLength(open[panel], "waist") - roleLength(plain[panel], "waist")).toBeCloseTo(60, 6);
    expect(edgeLength(open[panel], "hem") - edgeLength(plain[panel], "hem")).toBeCloseTo(60, 6);
    for (const id of ["side", "inseam", "crotch"])
      expect(edgeLength(open[panel], id)).toBeCloseTo(edgeLength(plain[panel], id), 9);
    expect(panelWidthAt(open[panel], 400) - panelWidthAt(plain[panel], 400)).toBeCloseTo(60, 3);
  }
  const one = made(["full-spread", { gap: "60 mm", panels: "front" }]);
  expect(roleLength(one.back, "waist")).toBe(roleLength(plain.back, "waist"));
});

test("full-spread laid over takes its amount from the hem, keeps every seam, and trues the waist fairly", () => {
  const laid = made(["full-spread", { gap: "-20 mm" }]);
  const before = made();
  for (const id of ["front", "back"] as const) {
    expect(roleLength(laid[id], "hem")).toBeCloseTo(roleLength(before[id], "hem") - 20, 6);
    for (const seam of ["side", "inseam", "crotch"] as const)
      expect(roleLength(laid[id], seam)).toBeCloseTo(roleLength(before[id], seam), 6);
    const lost = roleLength(before[id], "waist") - roleLength(laid[id], "waist");
    expect(Math.abs(lost - 20)).toBeLessThan(1);
    expect(badOutline(laid[id])).toEqual([]);
  }
  const line = laid.worksheet.at(-1);
  expect(line?.numbers.lost?.mm).toBe(80);
  expect(line?.numbers.waistLost?.mm).toBeCloseTo(before.readings.waistGirth - laid.readings.waistGirth, 6);
  const tooMuch = made(["full-spread", { gap: "-60 mm" }]);
  expect(tooMuch.worksheet.at(-1)?.passed).toSay(/no room to lay 6\.0 cm over/);
});

describe("where a panel is opened from waist to hem", () => {
  test("the slash keeps clear of a dart that stands on the crease, which goes whole to one side", () => {
    const open = made(["full-spread", { gap: "30 mm" }]);
    for (const id of ["front", "back"] as const) {
      const mouths = open[id].edges.filter((e) => e.role === "dart");
      const before = plain[id].edges.filter((e) => e.role === "dart");
      expect(mouths.map((e) => edgeLength(open[id], e.id))).toEqual(
        before.map((e) => expect.closeTo(edgeLength(plain[id], e.id), 9)),
      );
    }
  });

  test("the crease halves the leg again, and the grain goes with it", () => {
    const open = made(["full-spread", { gap: "60 mm" }]);
    for (const id of ["front", "back"] as const) {
      const { hemSide, hemInseam } = open[id].landmarks;
      expect((hemSide?.[0] ?? 0) + (hemInseam?.[0] ?? 9)).toBeCloseTo(0, 3);
      const grain = open[id].lines.find((l) => l.kind === "grain")?.points.map((p) => p[0]);
      expect(grain).toEqual([expect.closeTo(0, 3), expect.closeTo(0, 3)]);
    }
  });

  test("seams and hem stay sewn together, and every inner line on its panel", () => {
    for (const gap of ["-20 mm", "40 mm", "200 mm"]) {
      const open = made(["full-spread", { gap }]);
      expect(badPattern(open.panels, open.joins, 3)).toEqual([]);
      for (const panel of open.panels)
        for (const mark of ["hipSide", "hemSide", "hemInseam", "crotchPoint"]) {
          const place = panel.landmarks[mark] ?? [0, 0];
          expect([panel.id, mark, distanceToOutline(place, panelOutline(panel)) < 1]).toEqual([panel.id, mark, true]);
        }
    }
  });

  test("more than 60 cm a panel is refused with the most that works", () => {
    const refused = deriveShape(jobWith([["full-spread", { gap: "700 mm" }]]));
    expect(refused).toMatchObject({ ok: false, errors: [{ path: "moves.0.params.gap", most: 600 }] });
    expect(deriveShape(jobWith([["full-spread", { gap: "600 mm" }]])).ok).toBe(true);
  });

  test("nothing asked, nothing opened", () => {
    const same = made(["full-spread", { gap: "0 mm" }]);
    expect(same.readings.hemGirth).toBeCloseTo(plain.readings.hemGirth, 9);
    expect(same.worksheet.at(-1)?.handles).toEqual([]);
  });
});
