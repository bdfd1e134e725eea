import { panelPath, type Panel } from "../pattern";
import { gunzipSync } from "node:zlib";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { Derived } from "../derive";
import type { DeriveFault } from "../derive/shape";
import { pathAt, pathLength, type Point } from "../geometry";

/** An outline as it was drawn when its job was recorded: places at equal arc lengths along it, in millimetres. */
export interface RecordedOutline {
  readonly id: string;
  readonly length: number;
  readonly points: readonly Point[];
}

/** A job as it was stored, and what it came to on the day it was recorded. */
export interface Recorded {
  readonly name: string;
  /** The job as it was kept, of whatever version. */
  readonly job: unknown;
  readonly refused: readonly string[] | null;
  readonly block: readonly RecordedOutline[];
  readonly panels: readonly RecordedOutline[];
  readonly sewn: readonly RecordedOutline[];
  /** Lengths of every seam's two sides. */
  readonly seams: readonly (readonly [string, number, number])[];
  readonly readings: Readonly<Record<string, number | null>>;
}

const PLACES = 32;
const rounded = (mm: number): number => Math.round(mm * 1e4) / 1e4;

/** A panel's outline as it is recorded. */
export function outlineOf(panel: Panel): RecordedOutline {
  const path = panelPath(panel);
  const length = pathLength(path);
  const points = Array.from({ length: PLACES }, (_, i): Point => {
    const [x, y] = pathAt(path, ((i + 0.37) / PLACES) * length).point;
    return [rounded(x), rounded(y)];
  });
  return { id: panel.id, length: rounded(length), points };
}

/** What a job comes to, as it is recorded. */
export function record(name: string, job: unknown, derived: Derived | DeriveFault): Recorded {
  if (!derived.ok) {
    const refused = derived.errors.map((e) => e.path);
    return { name, job, refused, block: [], panels: [], sewn: [], seams: [], readings: {} };
  }
  const { easeProfile: _profile, creaseHalves: _halves, halfGirths: _girths, ...readings } = derived.readings;
  return {
    name,
    job,
    refused: null,
    block: derived.block.panels.map(outlineOf),
    panels: derived.panels.map(outlineOf),
    sewn: derived.sewn.map(outlineOf),
    seams: derived.seams.map((s) => [s.id, rounded(s.lengthA), rounded(s.lengthB)] as const),
    readings: Object.fromEntries(Object.entries(readings).map(([k, v]) => [k, v === null ? null : rounded(v)])),
  };
}

export const RECORDED_FOLDER = join(process.cwd(), "src/core/testing/fixtures");

/** The jobs recorded by the program that kept jobs in this version. */
export function recordedJobs(version: number): readonly Recorded[] {
  const packed = readFileSync(join(RECORDED_FOLDER, `version-${version}`, "recorded.json.gz"));
  return JSON.parse(gunzipSync(packed).toString("utf8")) as Recorded[];
}
