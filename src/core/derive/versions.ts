import type { Job, Version } from "../files";

const PARTS = ["block", "style", "moves", "finish", "allowances"] as const;

/** Most versions a job keeps. */
export const MOST_VERSIONS = 40;

/** A version of the job's pattern as it stands, to be kept under a name. */
export function versionOf(job: Job, id: string, name: string, date: string): Version {
  const parts = Object.fromEntries(PARTS.map((part) => [part, structuredClone(job[part])]));
  return Object.fromEntries(
    Object.entries({ id, name, date, ...parts }).filter(([, value]) => value !== undefined),
  ) as unknown as Version;
}

/** Takes over what a version or a style of one's own was made from, in place. */
export function takeOver(job: Job, from: Version): void {
  const target = job as unknown as Record<string, unknown>;
  for (const part of PARTS) {
    if (from[part] === undefined) delete target[part];
    else target[part] = structuredClone(from[part]);
  }
}

/** The job as it was when the version was kept, on the card and the cloth of today. */
export function jobOfVersion(job: Job, version: Version): Job {
  const then = { ...job };
  takeOver(then, version);
  return then;
}
