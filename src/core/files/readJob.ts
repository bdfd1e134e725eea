import { phrase } from "../words";
import { complaintsOfSchema, type Complaint, say, asSentence } from "../units";
import { JOB_FORMAT } from "./format";
import { jobSchema, type Job } from "./job";
import { FIRST_VERSION, JOB_VERSION, migrated } from "./migrations";

/** What a value that should be a job was read as. Nothing is ever changed in the value itself. */
export type JobRead =
  /** A job in today's form, and the form it came in. */
  | { readonly kind: "job"; readonly job: Job; readonly from: number }
  /** A newer Eland kept it: it is left as it is. */
  | { readonly kind: "newer"; readonly version: number; readonly errors: readonly Complaint[] }
  /** No job, or one that is damaged: why, with the places. */
  | { readonly kind: "damaged"; readonly errors: readonly Complaint[] };

/** Keys that could reach into an object's prototype; refused anywhere in a file. */
const FORBIDDEN = new Set(["__proto__", "constructor", "prototype"]);
const MAX_DEPTH = 24;

function forbiddenKey(value: unknown, path: string, depth: number): Complaint | null {
  if (typeof value !== "object" || value === null) return null;
  if (depth > MAX_DEPTH) return { path, says: say`The file is nested too deeply to be a job.` };
  for (const key of Object.keys(value)) {
    const here = path ? `${path}.${key}` : key;
    if (FORBIDDEN.has(key)) return { path: here, says: say`The file holds a key that is not allowed.` };
    const inside = forbiddenKey((value as Record<string, unknown>)[key], here, depth + 1);
    if (inside) return inside;
  }
  return null;
}

const damaged = (path: string, sentence: string): JobRead => ({
  kind: "damaged",
  errors: [{ path, says: asSentence(sentence) }],
});

/**
 * Reads a value as a job: the only way in, for files, the API and the browser's store. A job of an older form is brought
 * up to today's; one of a newer form, and what is damaged, is told apart and why.
 */
export function readJob(value: unknown): JobRead {
  const fault = forbiddenKey(value, "", 0);
  if (fault) return { kind: "damaged", errors: [fault] };
  if (typeof value !== "object" || value === null || Array.isArray(value)) {
    return damaged("", "This is not an Eland job. Choose a file that Eland saved.");
  }
  const { format, version } = value as { format?: unknown; version?: unknown };
  if (format !== JOB_FORMAT)
    return damaged("format", phrase`This is not an Eland job: its format must be "${JOB_FORMAT}".`);
  if (typeof version !== "number" || !Number.isInteger(version) || version < FIRST_VERSION) {
    return damaged("version", phrase`A job says which form it is kept in: ${FIRST_VERSION} to ${JOB_VERSION}.`);
  }
  if (version > JOB_VERSION) {
    const says = phrase`This job was saved by a newer Eland (version ${version}); this one reads up to ${JOB_VERSION}.`;
    return { kind: "newer", version, errors: [{ path: "version", says: asSentence(says) }] };
  }
  const parsed = jobSchema.safeParse(migrated(value as Record<string, unknown>, version));
  if (parsed.success) return { kind: "job", job: parsed.data, from: version };
  return { kind: "damaged", errors: complaintsOfSchema(parsed.error) };
}

/** A job's file is never longer than this. */
const LONGEST_FILE = 2_000_000;

/** Reads a job from the text of a file. */
export function readJobText(text: string): JobRead {
  if (text.length > LONGEST_FILE) return damaged("", "The file is over 2 MB; a job is far smaller.");
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return damaged("", "The file is not readable as a job: it is damaged or not JSON.");
  }
  return readJob(value);
}
