import type { Job } from "./job";

/** A file that leaves the program. */
export interface HandedFile {
  readonly name: string;
  readonly type: string;
  readonly bytes: Uint8Array;
}

/** A safe file name from a name. */
export function fileStem(name: string): string {
  const plainName = name
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .toLowerCase();
  return plainName.slice(0, 60) || "eland-job";
}

/** A job as a file of its own. */
export const jobFile = (job: Job): HandedFile => ({
  name: `${fileStem(job.name)}.eland.json`,
  type: "application/json",
  bytes: new TextEncoder().encode(writeJobText(job)),
});

/** A job as the text of a file. */
export function writeJobText(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}
