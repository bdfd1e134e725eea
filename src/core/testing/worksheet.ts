import { edgeOf, panelById, panelWidthAt, refsLength, type Panel } from "../pattern";
import type { WorksheetLine } from "../derive/worksheetLine";
import { pathLength } from "../geometry";
import type { Job } from "../files";
import type { Shape } from "../derive/shape";
import type { Mm } from "../units";
import { HAND_BODY, palazzoJob, shapeOf } from "./jobs";

/** A line of a worksheet as a test states it: the move, and what is stated of it. */
export type Line = readonly [move: string, params?: Readonly<Record<string, unknown>>];

/** Lines as a job's moves, called m0, m1 and so on. */
export const movesOf = (...lines: readonly Line[]): NonNullable<Job["moves"]> =>
  lines.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params: { ...params } }));

/** A straight leg to the floor, 480 round at knee and hem on the card whose sums can be done by hand. */
export const STRAIGHT: readonly Line[] = [["shape-leg"], ["set-length"]];
export const HIP_WIDE: readonly Line[] = [["waist-shaping", { to: "hip-wide" }], ...STRAIGHT];

export const jobWith = (lines: readonly Line[], body = HAND_BODY, style = "straight"): Job =>
  palazzoJob(body, { style: { id: style, params: {} }, moves: movesOf(...lines) });

/** The pattern that lines make; throws with the sentence when they are refused. */
export const made = (...lines: readonly Line[]) => shapeOf(jobWith(lines));

export const panelOf = (shape: Pick<Shape, "panels">, id: string): Panel => panelById(shape.panels, id);

export const edgeLength = (panel: Panel, id: string): Mm => pathLength(edgeOf(panel, id).path);

/** Lengths of both sides of a join, each over all its edges. */
export function seamLengths(shape: Pick<Shape, "panels" | "joins">, id: string): readonly [Mm, Mm] {
  const join = shape.joins.find((j) => j.id === id);
  if (!join) throw new Error(`no join ${id}`);
  return [refsLength(shape.panels, join.a), refsLength(shape.panels, join.b)];
}

/** The last line of the worksheet: most often the move a test is about. */
export function lastLine(shape: Pick<Shape, "worksheet">): WorksheetLine {
  const line = shape.worksheet.at(-1);
  if (!line) throw new Error("the worksheet is empty");
  return line;
}

/** Girth of one leg at a level, over all its panels. */
export const legGirth = (shape: Pick<Shape, "panels">, leg: "left" | "right", y: Mm): Mm =>
  shape.panels.filter((p) => p.half === leg || p.half === "both").reduce((sum, p) => sum + panelWidthAt(p, y), 0);

/** A palazzo of shaped leg, length and spread on a card, with what is stated of the spread and of the style. */
export function spreadBy(
  body: Job["body"],
  spread: Readonly<Record<string, unknown>>,
  params: Readonly<Record<string, unknown>> = {},
) {
  return shapeOf(
    palazzoJob(body, { style: { id: "palazzo", params }, moves: movesOf(...STRAIGHT, ["spread", spread]) }),
  );
}
