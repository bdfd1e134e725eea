import { textOf } from "@/core/units";
import { said } from "@/core/testing/said";
import { deriveShape, type Shape } from "@/core/derive/shape";
import { movesOfStyle } from "@/core/derive/newJob";
import type { Job } from "@/core/files";
import type { Handle } from "@/core/moves";
import { STYLES } from "@/core/styles";
import { HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { HIP_WIDE, jobWith, STRAIGHT, type Line } from "@/core/testing/worksheet";
import { setPulled, pullOf, type Pull } from "./pull";

/** What a hand moves in these tests, in millimetres. */
const HAND = 4;

interface Held {
  readonly handle: Handle;
  readonly index: number;
}

const handlesOf = (shape: Shape): readonly Held[] =>
  shape.worksheet.flatMap((l) => l.handles.map((handle) => ({ handle, index: l.index ?? 0 })));

function shapeOf(job: Job): Shape {
  const shape = deriveShape(job);
  if (!shape.ok) throw new Error(said(shape.errors[0]?.says));
  return shape;
}

/** The same handle once it was pulled. */
function after(job: Job, { handle, index }: Held, value: number, also?: Pull["also"]): Handle {
  const pulled = structuredClone(job);
  setPulled(pulled, pullOf(handle, index, value, also));
  const now = handlesOf(shapeOf(pulled)).find((h) => h.handle.id === handle.id && h.handle.panel === handle.panel);
  if (!now) throw new Error(`${handle.id} is gone after the pull`);
  return now.handle;
}

/** How far a handle went the way it is pulled. */
const went = (from: Handle, to: Handle): number =>
  (to.at[0] - from.at[0]) * from.axis[0] + (to.at[1] - from.at[1]) * from.axis[1];

const ofStyle = (id: string): Job => palazzoJob(HAND_BODY, { style: { id, params: {} }, moves: movesOfStyle(id) });

/** Moves no style starts with, each where it makes sense. */
const FURTHER: readonly (readonly [string, readonly Line[]])[] = [
  ["full-spread", [...STRAIGHT, ["full-spread"]]],
  ["waist-level", [["waist-level", { by: "-20 mm" }], ...STRAIGHT]],
  ["godet", [...STRAIGHT, ["godet"]]],
  ["placket", [...HIP_WIDE, ["placket", { edge: "centre-front", length: "120 mm" }]]],
];

const JOBS: readonly (readonly [string, Job])[] = [
  ...Object.keys(STYLES).map((id) => [id, ofStyle(id)] as const),
  ...FURTHER.map(([name, lines]) => [name, jobWith(lines)] as const),
];

describe("a handle follows the hand", () => {
  test.each(JOBS)("%s: pulled by 4 mm, every handle goes 4 mm and its number says so", (_name, job) => {
    for (const held of handlesOf(shapeOf(job))) {
      const { handle } = held;
      if (handle.counts) continue;
      const value = handle.value + HAND * handle.perMm;
      const now = after(job, held, value);
      // Trued hems and slanted seams let it lag or lead by a little.
      expect([handle.id, went(handle, now)]).toEqual([handle.id, expect.closeTo(HAND, 0)]);
      expect([handle.id, now.value]).toEqual([handle.id, expect.closeTo(value, 3)]);
    }
  });

  test.each(JOBS)(
    "%s: each lies on its panel, has a way to go, and is named for whoever cannot see it",
    (_name, job) => {
      const shape = shapeOf(job);
      for (const { handle } of handlesOf(shape)) {
        // Where its panel was cut, it lies with the first part.
        expect(shape.panels.some((p) => p.id === handle.panel || p.id.startsWith(`${handle.panel}-`))).toBe(true);
        expect(Math.hypot(...handle.axis)).toBeCloseTo(1, 9);
        expect(textOf(handle.label).length).toBeGreaterThan(3);
        expect(handle.perMm).toBeGreaterThan(0);
      }
      const ids = handlesOf(shape).map((h) => `${h.index} ${h.handle.id} ${h.handle.panel}`);
      expect(new Set(ids).size).toBe(ids.length);
    },
  );

  test("a pull there and back leaves the pattern as it was", () => {
    for (const [, job] of JOBS) {
      const shape = shapeOf(job);
      for (const { handle, index } of handlesOf(shape)) {
        const back = structuredClone(job);
        setPulled(back, pullOf(handle, index, handle.value + handle.perMm));
        setPulled(back, pullOf(handle, index, handle.value));
        expect(shapeOf(back).readings.hemGirth).toBeCloseTo(shape.readings.hemGirth, 2);
        expect(shapeOf(back).readings.outseam).toBeCloseTo(shape.readings.outseam, 2);
      }
    }
  });
});

describe("one side alone", () => {
  test.each(["straight", "flare", "pleated"])("%s: the pulled edge goes with the hand, the other stays", (id) => {
    const job = ofStyle(id);
    const handles = handlesOf(shapeOf(job));
    for (const held of handles.filter((h) => h.handle.oneSide)) {
      const { handle, index } = held;
      const { perMm, also } = handle.oneSide as NonNullable<Handle["oneSide"]>;
      const moved = Object.fromEntries(also.map((a) => [a.param, a.value + HAND * a.perMm]));
      expect(went(handle, after(job, held, handle.value + HAND * perMm, moved))).toBeCloseTo(HAND, 0);
      // Its counterpart across the crease.
      const across = handle.id.endsWith("-side")
        ? handle.id.replace(/-side$/, "-inseam")
        : handle.id.replace(/-inseam$/, "-side");
      const other = handles.find((h) => h.handle.id === across) as Held;
      const pulled = structuredClone(job);
      setPulled(pulled, pullOf(handle, index, handle.value + HAND * perMm, moved));
      const stayed = handlesOf(shapeOf(pulled)).find((h) => h.handle.id === across) as Held;
      expect(Math.abs(went(other.handle, stayed.handle))).toBeLessThan(0.5);
    }
  });
});

describe("what a pull writes into the job", () => {
  test("its number exactly, in millimetres, and what would win over it is taken away", () => {
    const job = jobWith([["shape-leg", { out: "30 mm" }], ["set-length"]]);
    const hem = handlesOf(shapeOf(job)).find((h) => h.handle.id === "front-hem-side") as Held;
    setPulled(job, pullOf(hem.handle, hem.index, 612.3456));
    expect(job.moves?.[0]?.params).toEqual({ hem: "612.3456 mm" });
    expect(shapeOf(job).readings.hemGirth).toBeCloseTo(612.3, 0);
  });

  test("a job that still follows its style takes a copy of the style's moves, and only its own changes", () => {
    const job = palazzoJob(HAND_BODY);
    const slash = handlesOf(shapeOf(job)).find((h) => h.handle.id === "front-slash") as Held;
    setPulled(job, pullOf(slash.handle, slash.index, 25));
    expect(job.moves?.map((m) => m.move)).toEqual(["shape-leg", "set-length", "spread"]);
    expect(job.moves?.[2]?.params).toEqual({ slashAt: "25 mm" });
    expect(STYLES.palazzo?.moves[2]?.params).toEqual({});
  });

  test("things that are counted are set in whole steps", () => {
    const job = ofStyle("pleated");
    const count = handlesOf(shapeOf(job)).find((h) => h.handle.counts) as Held;
    setPulled(job, pullOf(count.handle, count.index, 2.7));
    expect(job.moves?.[2]?.params.count).toBe(3);
    expect(after(job, count, 1).value).toBe(1);
  });

  test("the length of a leg with a cuff is pulled with the cuff that hangs below it", () => {
    const job = ofStyle("jogger");
    const length = handlesOf(shapeOf(job)).find((h) => h.handle.id === "front-length") as Held;
    expect(length.handle.value).toBe(970); // the ankle; the leg itself ends 60 above it
    expect(shapeOf(job).plan.levels.hem).toBe(910);
    setPulled(job, pullOf(length.handle, length.index, 980));
    expect(shapeOf(job).plan.levels.hem).toBe(920);
  });
});
