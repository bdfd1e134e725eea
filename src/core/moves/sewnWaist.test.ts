import { badPattern } from "../testing/badOutline";
import { lastLine, made, type Line } from "../testing/worksheet";

/** A bodice without darts, and trousers left hip-wide, so that what is asked of their waist could be done. */
const SEWN: readonly Line[] = [
  ["bodice", { school: "quarters", frontDarts: "0 mm", backDarts: "0 mm" }],
  ["waist-shaping", { to: "hip-wide" }],
  ["shape-leg"],
];

describe.each(["pleat", "gather"])("a waist sewn to a bodice by a %s", (how) => {
  const join: Line = ["join-bodice", { how }];
  test.each<readonly [string, Readonly<Record<string, unknown>>]>([
    ["full-spread", { gap: "60 mm" }],
    ["pleats", { panel: "back", count: 2, depth: "70 mm" }],
    ["casing", { at: "waist" }],
  ])("is not changed any more by %s, which says where to put it", (...line) => {
    const after = made(...SEWN, join, line);
    expect(lastLine(after).passed).toSay(/is sewn on already; after .* no longer agree with .*Move this line up\.$/);
    expect(badPattern(after.panels, after.joins, 3)).toEqual([]);
    expect(lastLine(made(...SEWN, line)).passed).toBeNull();
  });

  test("is not sewn to it a second time", () => {
    const twice = made(...SEWN, join, join);
    expect(lastLine(twice).passed).toSay(/is sewn on already/);
    expect(twice.joins.filter((j) => j.kind === "waist").map((j) => j.id)).toEqual(["waist-front", "waist-back"]);
  });

  test("may have been opened before: it is then brought in by so much more", () => {
    const [plain, opened] = [made(...SEWN, join), made(...SEWN, ["full-spread", { gap: "60 mm" }], join)];
    expect(opened.worksheet.map((l) => l.passed)).toEqual(opened.worksheet.map(() => null));
    expect(badPattern(opened.panels, opened.joins, 3)).toEqual([]);
    expect(opened.readings.hemGirth - plain.readings.hemGirth).toBeCloseTo(2 * 60, 3);
    expect(opened.readings.waistGirth).toBeCloseTo(plain.readings.waistGirth, 2);
  });
});
