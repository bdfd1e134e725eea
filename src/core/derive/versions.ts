import type { Entry, EntryKind } from "../diary/schema";
import type { Job, Version } from "../files";
import { WRITTEN_TODAY } from "../files/format";

/** What a pattern is made from, whoever wears it. */
const OF_STYLE = ["block", "style", "moves", "finish", "allowances"] as const;
/** And what fittings changed of it: that belongs to a version of this wearer's, not to a style for any. */
const OF_VERSION = [...OF_STYLE, "fittings"] as const;
type Part = (typeof OF_VERSION)[number];

/** Most versions a job keeps. */
export const MOST_VERSIONS = 40;

/** A version of the job's pattern as it stands, to be kept under a name. */
export const versionOf = (job: Job, id: string, name: string, date: string): Version =>
  kept(job, OF_VERSION, { id, name, date });

/** A style of one's own as the job stands, for any wearer. */
export const ownStyleOf = (job: Job, id: string, name: string, date: string): Version =>
  kept(job, OF_STYLE, { id, name, date });

function kept(job: Job, of: readonly Part[], about: Pick<Version, "id" | "name" | "date">): Version {
  const parts = Object.fromEntries(of.map((part) => [part, structuredClone(job[part])]));
  return Object.fromEntries(
    Object.entries({ ...about, ...parts }).filter(([, value]) => value !== undefined),
  ) as unknown as Version;
}

function taken(job: Job, from: Version, of: readonly Part[]): void {
  const target = job as unknown as Record<string, unknown>;
  for (const part of of) {
    if (from[part] === undefined) delete target[part];
    else target[part] = structuredClone(from[part]);
  }
}

/** Takes over a version of the job, in place; what fittings have changed since is gone. */
export const takeOver = (job: Job, from: Version): void => taken(job, from, OF_VERSION);

/** Takes over a style of one's own, in place; what fittings taught of the wearer stays. */
export const takeStyle = (job: Job, from: Version): void => taken(job, from, OF_STYLE);

/** The job as it was when the version was kept, on the card and the cloth of today. */
export function jobOfVersion(job: Job, version: Version): Job {
  const then = { ...job };
  takeOver(then, version);
  return then;
}

/** A version, or a style of one's own, on a card, with nothing else of a job. */
export const jobOn = (body: Job["body"], version: Version): Job =>
  jobOfVersion({ ...WRITTEN_TODAY, name: "", body, block: version.block, style: version.style }, version);

/** The job in a style of one's own. */
export function jobWithStyle(job: Job, style: Version): Job {
  const then = { ...job };
  takeStyle(then, style);
  return then;
}

/** The page of the diary for cutting a job: the pattern and card of that day, its cloth, and the pieces that were cut. */
export const cuttingEntry = (
  job: Job,
  pieces: readonly { readonly id: string }[],
  { id, date, words }: { readonly id: string; readonly date: string; readonly words: string },
): Entry => ({ ...entryOf(job, "cutting", { id, date, words }), cut: pieces.map((p) => p.id) });

/** A page of the diary about a job as it stands. */
export const entryOf = (
  job: Job,
  kind: EntryKind,
  { id, date, words }: { readonly id: string; readonly date: string; readonly words: string },
): Entry => ({
  kind,
  date,
  words,
  pattern: versionOf(job, id, job.versions?.at(-1)?.name ?? "as it was", date),
  card: job.body,
  ...(job.cloth?.name && { cloth: job.cloth.name }),
  photos: [],
});

/** Makes a job what it was once; versions that were kept since stay. */
export function becomes(now: Job, then: Job): void {
  const { versions } = now;
  for (const key of Object.keys(now)) delete (now as Record<string, unknown>)[key];
  Object.assign(now, then, versions && { versions });
}
