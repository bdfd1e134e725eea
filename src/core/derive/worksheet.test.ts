import { panelOutline, type Panel } from "../pattern";
import { jobWith } from "../testing/worksheet";
import { shapeOf } from "../testing/jobs";
import { patternAfter } from "./asItLies";

const outlines = (panels: readonly Panel[]): string[] =>
  panels.map(
    (p) =>
      `${p.id} ${panelOutline(p)
        .map((at) => at.map((n) => n.toFixed(3)).join(","))
        .join(" ")}`,
  );

const shape = shapeOf(
  jobWith([
    ["shape-leg", { knee: "460 mm", hem: "520 mm" }],
    ["set-length"],
    ["spread", { hemSpread: "120 mm" }],
    ["split", { leg: "left" }],
    ["godet", { at: "inseam" }],
  ]),
);

test("every line holds the pattern before and after it, and each starts where the one before ended", () => {
  for (const [i, line] of shape.worksheet.entries()) {
    const next = shape.worksheet[i + 1];
    if (next) expect(next.before).toBe(line.after);
  }
  expect(outlines(patternAfter(shape.worksheet.at(-1)!).panels)).toEqual(outlines(shape.panels));
});

test("the first line starts from the block; what a line redraws is drawn after it", () => {
  const [first] = shape.worksheet;
  expect(first?.before.panels).toBe(shape.block.panels);
  expect(first?.isPlanned).toBe(true);
  expect(outlines(patternAfter(first!).panels)).not.toEqual(outlines(shape.block.panels));
});

test("a line keeps what it drew: wedges and hinges, cuts, new seams; the reconciling its crotch point and seams", () => {
  const drawnBy = (move: string) => patternAfter(shape.worksheet.find((l) => l.move === move)!).drawn;
  expect(drawnBy("spread").every((d) => d.wedges.length > 0 && d.hinges.length > 0)).toBe(true);
  expect(drawnBy("split").some((d) => d.slashes.length > 0)).toBe(true);
  expect(drawnBy("split").filter((d) => d.seams.length > 0).length).toBe(2);
  expect(drawnBy("reconcile").map((d) => Object.keys(d.points))).toEqual([["crotchPoint"], ["crotchPoint"]]);
});
