import { roleLength, panelWidthAt } from "../drafting";
import { badOutline } from "../testing/badOutline";
import { edgeLength, made } from "../testing/worksheet";

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
  expect(tooMuch.worksheet.at(-1)?.passed).toMatch(/no room to lay 60 mm over/);
});
