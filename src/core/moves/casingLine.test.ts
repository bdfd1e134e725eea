import { edgeOf, landmarkOf } from "../pattern";
import { badPattern } from "../testing/badOutline";
import { shapeOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { HIP_WIDE, lastLine, made } from "../testing/worksheet";

const cased = (params: Record<string, unknown> = {}) => made(...HIP_WIDE, ["casing", params]);

test("a casing may level the waist from the side, and says what back rise that costs", () => {
  const kept = cased();
  const level = cased({ line: "level" });
  for (const panel of [level.front, level.back]) {
    const [centre, side] = [landmarkOf(panel, "waistCentre"), landmarkOf(panel, "waistSide")];
    expect(centre[1]).toBeCloseTo(side[1], 6);
  }
  const lost = landmarkOf(level.back, "waistCentre")[1] - landmarkOf(kept.back, "waistCentre")[1];
  expect(lost).toBeGreaterThan(20);
  expect(lastLine(level).numbers.riseLost?.mm).toBeCloseTo(lost, 1);
  expect(said(lastLine(level).sentence)).toMatch(/^Level the waist from the side: the centre back gives up/);
  expect(kept.readings.crotchSeam - level.readings.crotchSeam).toBeGreaterThan(lost - 20);
  expect(badPattern(level.panels, level.joins, 3)).toEqual([]);
  expect(badPattern(kept.panels, kept.joins, 3)).toEqual([]);
});

test("a waist divided by an earlier cut cannot be levelled from its side, in one leg or both, and says so", () => {
  for (const leg of ["right", "both"]) {
    const cut = made(...HIP_WIDE, ["split", { leg }], ["casing", { line: "level" }]);
    expect(lastLine(cut).passed).toSay(/does not run from centre to side\. Move this line up/);
    expect(badPattern(cut.panels, cut.joins, 3)).toEqual([]);
    expect(lastLine(made(...HIP_WIDE, ["split", { leg }], ["casing", {}])).passed).toBeNull();
  }
});

test("the centre front is squared up to the level", () => {
  const level = cased({ line: "level" });
  const crotch = edgeOf(level.front, "crotch").path;
  const last = crotch.at(-1);
  // Its seam runs on straight through the casing.
  expect(last?.kind).toBe("line");
});

test("the panel band that sits on the waist takes its channel off, not its frill, and follows it", () => {
  const numbers = (channel: string, sits: "on" | "above") =>
    shapeOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        block: { school: "proportional", rules: { waist: { shaping: "hipWide" } } },
        finish: { waist: { kind: "ring-band", frill: "50 mm", channel, sits }, fastening: { kind: "none" } },
      }),
    ).block.numbers;
  expect(numbers("40 mm", "above").crotchFromEdge).toBeUndefined();
  expect(numbers("40 mm", "on").crotchFromEdge?.mm).toBeCloseTo(240, 6);
  expect(numbers("30 mm", "on").crotchFromEdge?.mm).toBeCloseTo(250, 6);
  expect(numbers("30 mm", "on").crotchDepth?.mm).toBe(280);
});
