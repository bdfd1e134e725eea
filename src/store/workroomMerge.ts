import { dayId } from "./dayId";
import { SHELVES, type Kept, type ShelfName } from "./shelfNames";
import type { WorkroomRecords } from "./workroomFile";

/** What a file brings beside what is kept: what is new, what is here already, and what differs. */
export interface Merge {
  readonly fresh: number;
  readonly same: number;
  readonly differing: readonly Differing[];
}

/** A record that is here and in the file, and not the same. */
export interface Differing {
  readonly shelf: ShelfName;
  readonly id: string;
  readonly here: Kept;
  readonly theirs: Kept;
}

/** What is done where both differ: what is here stays, or the file's takes its place, or, of a job, both are kept. */
export type Choice = "here" | "theirs" | "both";

/** Shelves whose records belong to a job and follow what is chosen for it. */
const OF_JOB: ReadonlySet<ShelfName> = new Set(["diary", "photos", "lays", "making", "days"]);

interface OfJob extends Kept {
  readonly job?: string;
}

/** The job a record belongs to. */
const jobOf = (shelf: ShelfName, record: Kept): string | null =>
  shelf === "jobs" ? record.id : OF_JOB.has(shelf) ? ((record as OfJob).job ?? record.id) : null;

const bytesEqual = (a: Uint8Array, b: Uint8Array): boolean => a.length === b.length && a.every((v, i) => v === b[i]);

/** True where two records hold the same, whatever the order of their fields. */
export function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (a instanceof Uint8Array || b instanceof Uint8Array)
    return a instanceof Uint8Array && b instanceof Uint8Array && bytesEqual(a, b);
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(x).filter((key) => x[key] !== undefined);
  return (
    Array.isArray(a) === Array.isArray(b) &&
    keys.length === Object.keys(y).filter((key) => y[key] !== undefined).length &&
    keys.every((key) => isSame(x[key], y[key]))
  );
}

/** Compares a file with what is kept. */
export function mergeOf(kept: WorkroomRecords, file: WorkroomRecords): Merge {
  let [fresh, same] = [0, 0];
  const differing: Differing[] = [];
  for (const shelf of SHELVES) {
    const held = new Map(kept[shelf].map((record) => [record.id, record]));
    for (const theirs of file[shelf]) {
      const here = held.get(theirs.id);
      if (!here) fresh++;
      else if (isSame(here, theirs)) same++;
      else differing.push({ shelf, id: theirs.id, here, theirs });
    }
  }
  return { fresh, same, differing };
}

/** What a record is asked about with: its job, or itself. */
const keyOf = (shelf: ShelfName, record: Kept): string => {
  const job = jobOf(shelf, record);
  return job === null ? `${shelf}|${record.id}` : `job|${job}`;
};

/** What is asked about: a job with all that belongs to it is one question, every other record its own. */
export function questionsOf({
  differing,
}: Merge): readonly { readonly key: string; readonly of: readonly Differing[] }[] {
  const groups = new Map<string, Differing[]>();
  for (const d of differing) {
    const key = keyOf(d.shelf, d.theirs);
    groups.set(key, [...(groups.get(key) ?? []), d]);
  }
  return [...groups].map(([key, of]) => ({ key, of }));
}

interface Rehomed extends OfJob {
  readonly material?: string;
  readonly date?: string;
  readonly photos?: readonly string[];
}

const beside = (id: string, job: string): string => `${id}-${job}`;

/** A record of a job that was given another id; what names a record of its own follows. */
function rehomed(shelf: ShelfName, record: Rehomed, job: string): Kept {
  switch (shelf) {
    case "jobs":
    case "making":
      return { ...record, id: job };
    case "lays":
      return { ...record, id: `${job}|${record.material ?? ""}`, job } as Kept;
    case "days":
      return { ...record, id: dayId(job, record.date ?? ""), job } as Kept;
    default: {
      const photos = record.photos?.map((photo) => beside(photo, job));
      return { ...record, id: beside(record.id, job), job, ...(photos && { photos }) } as Kept;
    }
  }
}

interface Revised extends Kept {
  readonly revision: number;
}

/**
 * What is written so that the file's work is here, by what was chosen for each question; `newId` names a job that is
 * kept beside the one that is here. A record that takes the place of another has a higher revision, so that an open tab
 * notices.
 */
export function writesOf(
  kept: WorkroomRecords,
  file: WorkroomRecords,
  choose: (key: string) => Choice,
  newId: () => string,
): readonly { readonly shelf: ShelfName; readonly record: Kept }[] {
  const differs = new Set(questionsOf(mergeOf(kept, file)).map((q) => q.key));
  const ids = new Map<string, string>();
  return SHELVES.flatMap((shelf) => {
    const held = new Map(kept[shelf].map((record) => [record.id, record]));
    return file[shelf].flatMap((theirs) => {
      const here = held.get(theirs.id);
      const key = keyOf(shelf, theirs);
      const choice = differs.has(key) ? choose(key) : "theirs";
      const job = jobOf(shelf, theirs);
      if (choice === "both" && job !== null) {
        const to = ids.get(job) ?? newId();
        ids.set(job, to);
        return [{ shelf, record: rehomed(shelf, theirs, to) }];
      }
      if (here && (choice === "here" || isSame(here, theirs))) return [];
      const revision = (here as Partial<Revised> | undefined)?.revision;
      return [{ shelf, record: revision === undefined ? theirs : ({ ...theirs, revision: revision + 1 } as Kept) }];
    });
  });
}
