import { panelPath, type Panel } from "../pattern";
import { gunzipSync } from "node:zlib";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { derive, type Derived } from "../derive";
import type { DeriveFault } from "../derive/shape";
import { readJob } from "../files";
import { line, pathAt, pathLength, pointDistance, type Path, type Point } from "../geometry";
import type { Piece } from "../pieces";
import type { Mm } from "../units";

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
  /** Cut lines of the pieces; left out by the versions that did not record them. */
  readonly cut?: readonly RecordedOutline[];
  /** Lengths of every seam's two sides. */
  readonly seams: readonly (readonly [string, number, number])[];
  readonly readings: Readonly<Record<string, number | null>>;
}

const PLACES = 32;
const rounded = (mm: number): number => Math.round(mm * 1e4) / 1e4;

/** A panel's outline as it is recorded. */
export const outlineOf = (panel: Panel): RecordedOutline => recordedPath(panel.id, panelPath(panel));

/** A piece's cut line as it is recorded. */
export const cutLineOf = ({ id, cutLine }: Piece): RecordedOutline =>
  recordedPath(
    id,
    cutLine.map((p, i) => line(p, cutLine[(i + 1) % cutLine.length] as Point)),
  );

function recordedPath(id: string, path: Path): RecordedOutline {
  const length = pathLength(path);
  const points = Array.from({ length: PLACES }, (_, i): Point => {
    const [x, y] = pathAt(path, ((i + 0.37) / PLACES) * length).point;
    return [rounded(x), rounded(y)];
  });
  return { id, length: rounded(length), points };
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
    cut: derived.pieces.map(cutLineOf),
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

/** How far an outline may lie from where it was recorded, in millimetres. */
const CLOSE: Mm = 0.01;
/** A seam that lies off along so much of its length changes the area by as much. */
const METRE: Mm = 1000;

/** The places of recorded outlines that those of today miss, as sentences. */
function missed(recorded: readonly RecordedOutline[], today: readonly RecordedOutline[]): string[] {
  return recorded.flatMap(({ id, length, points }) => {
    const now = today.find((o) => o.id === id);
    if (!now) return [`${id} is gone`];
    const off = Math.abs(now.length - length);
    const away = Math.max(...points.map((p, i) => pointDistance(p, now.points[i] as Point)));
    return off > CLOSE || away > CLOSE ? [`${id} is ${off.toFixed(3)} longer and ${away.toFixed(3)} off`] : [];
  });
}

/** What a recorded job comes to today otherwise than on the day it was recorded: sentences that name the job and the piece. */
export function differences({ name, job, refused, ...was }: Recorded): readonly string[] {
  const read = readJob(job);
  if (read.kind !== "job") return [`${name}: is not read at ${read.errors.map((e) => e.path).join(", ")}`];
  const derived = derive(read.job);
  if (!derived.ok) {
    const paths = derived.errors.map((e) => e.path);
    return JSON.stringify(refused) === JSON.stringify(paths) ? [] : [`${name}: is refused at ${paths.join(", ")}`];
  }
  // What could not be drawn on that day may be drawn today, by more that is passed over.
  if (refused) return [];
  const seamsOff = was.seams.flatMap(([id, a, b]) => {
    const seam = derived.seams.find((s) => s.id === id);
    if (!seam) return [`seam ${id} is gone`];
    return Math.abs(seam.lengthA - a) + Math.abs(seam.lengthB - b) > CLOSE ? [`seam ${id} differs`] : [];
  });
  const now = derived.readings as unknown as Readonly<Record<string, number | null>>;
  const readingsOff = Object.entries(was.readings).flatMap(([reading, before]) => {
    const is = now[reading];
    const same =
      before === null || is === null || is === undefined
        ? before === is
        : Math.abs(is - before) <= (reading === "clothArea" ? CLOSE * METRE : CLOSE) + 1e-6 * Math.abs(before);
    return same ? [] : [`${reading} was ${before}, is ${is}`];
  });
  return [
    ...missed(was.block, derived.block.panels.map(outlineOf)),
    ...missed(was.panels, derived.panels.map(outlineOf)),
    ...missed(was.sewn, derived.sewn.map(outlineOf)),
    ...missed(was.cut ?? [], derived.pieces.map(cutLineOf)),
    ...seamsOff,
    ...readingsOff,
  ].map((what) => `${name}: ${what}`);
}
