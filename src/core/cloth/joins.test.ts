import { layWithin, shapesOf } from "../derive/lay";
import type { Job } from "../files";
import { boxOf, polygonArea, type Point } from "../geometry";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { faultsOf } from "../testing/layProof";
import { said } from "../testing/said";
import { JOIN_ALLOWANCE, type CutShape, type LayCloth } from ".";

const wide = (width: string, joined?: string[], more: Partial<Job> = {}): Job =>
  palazzoJob(HAND_BODY, { cloth: { width, ...(joined && { joined }) }, ...more });

const clothOf = ({ cloth }: Job): LayCloth => ({
  width: parseFloat(String(cloth?.width)) * (String(cloth?.width).endsWith("cm") ? 10 : 1),
  fold: "open",
  foldWidth: null,
  nap: false,
  gap: 2,
  repeat: null,
});

const shapes = (job: Job): readonly CutShape[] => {
  const made = shapesOf(job, "shell", clothOf(job));
  if (!made.ok) throw new Error(said(made.errors[0]?.says));
  return made.shapes;
};
const refusal = (job: Job): string => {
  const made = shapesOf(job, "shell", clothOf(job));
  return made.ok ? "made" : said(made.errors[0]?.says);
};
const acrossOf = (points: readonly Point[]): number => boxOf(points).bottom - boxOf(points).top;
const areaOf = (points: readonly Point[]): number => Math.abs(polygonArea([...points]));

test("a back wider than the cloth is joined along its grain: both parts fit, and together they are the piece and its join", () => {
  const [whole] = shapes(wide("150 cm")).filter((s) => s.piece === "back") as [CutShape];
  const width = Math.round(acrossOf(whole.whole)) - 40;
  const parts = shapes(wide(`${width} mm`, ["back"])).filter((s) => s.piece.startsWith("back"));
  expect(parts.length).toBeGreaterThan(1);
  for (const part of parts) {
    expect(acrossOf(part.whole)).toBeLessThanOrEqual(width + 0.01);
    expect([part.plain, part.mirrored]).toEqual([whole.plain, whole.mirrored]);
  }
  const main = parts[0] as CutShape;
  expect(acrossOf(main.whole)).toBeCloseTo(width, 1);
  // Twice the allowance along the join is cut more than the piece itself.
  const more = parts.reduce((sum, p) => sum + areaOf(p.whole), 0) - areaOf(whole.whole);
  const joinedAlong = parts.slice(1).reduce((sum, p) => sum + boxOf(p.whole).right - boxOf(p.whole).left, 0);
  expect(more).toBeGreaterThan(0);
  expect(more).toBeLessThanOrEqual(2 * JOIN_ALLOWANCE * (joinedAlong + 1));
});

test("joined parts are laid clear of each other and on the cloth", () => {
  const [whole] = shapes(wide("150 cm")).filter((s) => s.piece === "back") as [CutShape];
  const width = Math.round(acrossOf(whole.whole)) - 30;
  const cloth: LayCloth = { width, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };
  const laid = layWithin(shapes(wide(`${width} mm`, ["back"])), cloth, 1, { steps: 60 });
  if (!laid.ok) throw new Error(said(laid.errors[0]?.says));
  expect(faultsOf(laid.lay, cloth)).toEqual([]);
});

test("a front is not joined above the knee, and nothing by two joins", () => {
  const [front] = shapes(wide("150 cm")).filter((s) => s.piece === "front") as [CutShape];
  const width = Math.round(acrossOf(front.whole)) - 140;
  expect(refusal(wide(`${width} mm`, ["front", "back"]))).toMatch(/above the knee, where it shows|more than one join/);
  expect(refusal(wide("120 mm", ["back"]))).toMatch(/more than one join/);
});

test("what fits, or was not asked for, stays whole", () => {
  expect(shapes(wide("150 cm", ["back"])).map((s) => s.piece)).toEqual(shapes(wide("150 cm")).map((s) => s.piece));
  expect(shapes(wide("300 mm", [])).map((s) => s.piece)).toEqual(shapes(wide("150 cm")).map((s) => s.piece));
});
