import { z } from "zod";
import { bodySchema } from "../body";
import { ownBlockSchema, rulesSchema, schoolIdSchema } from "../drafting";
import { allowancesSchema, finishSchema } from "../finish";
import { STYLES } from "../styles";
import { lengthInputSchema, type Complaint } from "../units";

export const JOB_FORMAT = "eland-job";
export const JOB_VERSION = 1;

const moveEntrySchema = z.strictObject({
  id: z.string().min(1).max(40),
  move: z.string().max(40),
  on: z.boolean().default(true),
  params: z.record(z.string().max(40), z.unknown()).default({}),
});

/** The cloth in hand: for the label and the record; planning on it comes with the lay. */
export const clothSchema = z.strictObject({
  name: z.string().max(120).optional(),
  width: lengthInputSchema.optional(),
  length: lengthInputSchema.optional(),
  /** Usable width of the lining, where it is another. */
  liningWidth: lengthInputSchema.optional(),
  /** Share by which it gives across the grain: 0.2 is a fifth. */
  stretch: z.number().min(0).max(1).optional(),
});

const blockSchema = z
  .strictObject({
    school: schoolIdSchema.default("proportional"),
    rules: rulesSchema.default({}),
    /** The block that was brought in; drawn from only while the school is `own`. */
    own: ownBlockSchema.optional(),
  })
  .default({ school: "proportional", rules: {} });

const styleChoiceSchema = z.strictObject({
  id: z.string().max(40),
  params: z.record(z.string().max(40), z.unknown()).default({}),
});

/** What a job's pattern was made from when a version was kept; the card and the cloth stay the job's own. */
export const versionSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  date: z.iso.date(),
  block: blockSchema,
  style: styleChoiceSchema,
  moves: z.array(moveEntrySchema).max(60).optional(),
  finish: finishSchema.optional(),
  allowances: allowancesSchema.optional(),
});
export type Version = z.infer<typeof versionSchema>;

/**
 * A job as it is saved: plain choices, nothing derived. The card is a dated snapshot. `moves`, `finish`, `allowances`
 * and `cloth` may be left out; the style's own are then used.
 */
export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_VERSION),
  name: z.string().max(120).default(""),
  /** ISO date printed on labels. */
  date: z.iso.date().optional(),
  body: bodySchema,
  block: blockSchema,
  style: styleChoiceSchema,
  moves: z.array(moveEntrySchema).max(60).optional(),
  finish: finishSchema.optional(),
  allowances: allowancesSchema.optional(),
  cloth: clothSchema.optional(),
  versions: z.array(versionSchema).max(40).optional(),
});
export type Job = z.infer<typeof jobSchema>;

/** Keys that could reach into an object's prototype; refused anywhere in a file. */
const FORBIDDEN = new Set(["__proto__", "constructor", "prototype"]);
const MAX_DEPTH = 24;

function forbiddenKey(value: unknown, path: string, depth: number): Complaint | null {
  if (typeof value !== "object" || value === null) return null;
  if (depth > MAX_DEPTH) return { path, says: ["The file is nested too deeply to be a job."] };
  for (const key of Object.keys(value)) {
    const here = path ? `${path}.${key}` : key;
    if (FORBIDDEN.has(key)) return { path: here, says: ["The file holds a key that is not allowed."] };
    const inside = forbiddenKey((value as Record<string, unknown>)[key], here, depth + 1);
    if (inside) return inside;
  }
  return null;
}

/**
 * Checks a value against the job's schema. Errors are sentences with the path of the field. A file newer than this
 * program is refused by name.
 */
export function parseJob(
  value: unknown,
): { readonly ok: true; readonly job: Job } | { readonly ok: false; readonly errors: readonly Complaint[] } {
  const fault = forbiddenKey(value, "", 0);
  if (fault) return { ok: false, errors: [fault] };
  if (typeof value !== "object" || value === null || Array.isArray(value)) {
    return { ok: false, errors: [{ path: "", says: ["This is not an Eland job. Choose a file that Eland saved."] }] };
  }
  const head = value as { format?: unknown; version?: unknown };
  if (head.format !== JOB_FORMAT) {
    return {
      ok: false,
      errors: [{ path: "format", says: [`This is not an Eland job: its format must be "${JOB_FORMAT}".`] }],
    };
  }
  if (typeof head.version === "number" && head.version > JOB_VERSION) {
    return {
      ok: false,
      errors: [
        {
          path: "version",
          says: [`This job was saved by a newer Eland (version ${head.version}); this one reads up to ${JOB_VERSION}.`],
        },
      ],
    };
  }
  const parsed = jobSchema.safeParse(withSchool(value));
  if (parsed.success) return { ok: true, job: parsed.data };
  return {
    ok: false,
    errors: parsed.error.issues.map((issue) => ({ path: issue.path.join("."), says: [sentence(issue)] })),
  };
}

/** The job with its style's own school, where it names none. */
function withSchool(job: object): object {
  const { block = {}, style } = job as { readonly block?: unknown; readonly style?: { readonly id?: unknown } | null };
  const school = typeof style?.id === "string" ? STYLES[style.id]?.school : undefined;
  if (!school || typeof block !== "object" || block === null || "school" in block) return job;
  return { ...job, block: { school, ...block } };
}

function sentence(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case "unrecognized_keys":
      return `Unknown here: ${issue.keys.map((k) => k.slice(0, 30)).join(", ")}.`;
    case "invalid_type":
      return `This must be ${issue.expected === "object" ? "a group of fields" : `a ${issue.expected}`}.`;
    case "invalid_value":
      return `Choose one of: ${issue.values.join(", ")}.`;
    case "too_big":
      return `This is too long (at most ${issue.maximum}).`;
    default:
      return issue.message.endsWith(".") ? issue.message : `${issue.message}.`;
  }
}

/** Reads a job from the text of a file. */
export function readJobText(text: string): ReturnType<typeof parseJob> {
  if (text.length > 2_000_000)
    return { ok: false, errors: [{ path: "", says: ["The file is over 2 MB; a job is far smaller."] }] };
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return {
      ok: false,
      errors: [{ path: "", says: ["The file is not readable as a job: it is damaged or not JSON."] }],
    };
  }
  return parseJob(value);
}

/** A job as the text of a file. */
export function writeJobText(job: Job): string {
  return `${JSON.stringify(job, null, 2)}\n`;
}
