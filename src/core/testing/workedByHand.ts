import { landmarkOf } from "../pattern";
import type { Job } from "../files";
import { palazzoJob, shapeOf } from "./jobs";

/**
 * Six bodies worked by hand for each school: every sum is written out beside its result, in millimetres, as a cutter
 * would do it on paper. The engine must agree to a tenth.
 */

export type Row = readonly [what: string, expected: number];

const BODIES: Readonly<Record<string, Job["body"]["measures"]>> = {
  Hand: {
    waist: 760,
    hip: 1040,
    thigh: 600,
    knee: 390,
    waistToHip: 210,
    crotchDepth: 280,
    waistToKnee: 600,
    waistToFloor: 1050,
  },
  Child: {
    waist: 560,
    hip: 640,
    thigh: 370,
    knee: 260,
    waistToHip: 125,
    crotchDepth: 195,
    waistToKnee: 390,
    waistToFloor: 700,
  },
  Tall: {
    waist: 820,
    hip: 1000,
    thigh: 570,
    knee: 400,
    waistToHip: 240,
    crotchDepth: 310,
    waistToKnee: 690,
    waistToFloor: 1220,
  },
  Full: {
    waist: 1180,
    hip: 1320,
    thigh: 780,
    knee: 480,
    waistToHip: 225,
    crotchDepth: 345,
    waistToKnee: 610,
    waistToFloor: 1060,
  },
  Slight: {
    waist: 620,
    hip: 880,
    thigh: 500,
    knee: 330,
    waistToHip: 190,
    crotchDepth: 250,
    waistToKnee: 570,
    waistToFloor: 990,
  },
  Round: {
    waist: 1240,
    hip: 1120,
    thigh: 640,
    knee: 430,
    waistToHip: 200,
    crotchDepth: 300,
    waistToKnee: 580,
    waistToFloor: 1020,
  },
};

/** A number of the draft by its name, or a landmark's place as "panel landmark axis". */
function found(shape: ReturnType<typeof shapeOf>, what: string): number {
  const [panel, landmark, axis] = what.split(" ");
  if (landmark === undefined) return shape.block.numbers[what]?.mm ?? NaN;
  const at = landmarkOf(shape.block.panels[panel === "front" ? 0 : 1], landmark);
  return at[axis === "x" ? 0 : 1];
}

/** Holds a school's draft against a table worked by hand, body by body. */
export function workedByHand(school: Job["block"]["school"], table: Readonly<Record<string, readonly Row[]>>): void {
  test.each(Object.entries(table))("%s", (name, rows) => {
    const body: Job["body"] = { name, unit: "mm", measures: BODIES[name] ?? {} };
    const shape = shapeOf(palazzoJob(body, { block: { school, rules: {} }, style: { id: "straight", params: {} } }));
    for (const [what, expected] of rows) {
      expect([what, Math.abs(found(shape, what) - expected) < 0.1, found(shape, what).toFixed(2), expected]).toEqual([
        what,
        true,
        found(shape, what).toFixed(2),
        expected,
      ]);
    }
  });
}
