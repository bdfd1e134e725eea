import { z } from "zod";
import { bodySchema } from "../body";
import { versionSchema } from "../files/job";

/** What a page of the diary is about. */
export const ENTRY_KINDS = ["cutting", "toile", "fitting", "finishing", "wearing", "regret"] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** A page of a job's diary. It belongs to no undo: what was done and seen stays. */
export const entrySchema = z.strictObject({
  kind: z.enum(ENTRY_KINDS),
  date: z.iso.date(),
  words: z.string().max(4000).default(""),
  /** The pattern as it was that day, and the wearer's card it was made for. */
  pattern: versionSchema.optional(),
  card: bodySchema.optional(),
  /** The cloth by its name, and how long its lay was, in millimetres. */
  cloth: z.string().max(120).optional(),
  lay: z.number().min(0).max(100_000).optional(),
  /** Pieces that were cut. */
  cut: z.array(z.string().max(80)).max(200).optional(),
  /** Of a toile: whether it was passed. */
  passed: z.boolean().optional(),
  /** The fitting of the job that came of it. */
  fitting: z.string().max(40).optional(),
  photos: z.array(z.string().max(80)).max(40).default([]),
});
export type Entry = z.infer<typeof entrySchema>;

/** The toile of a job: not made, waiting to be passed, or passed. */
export function toileOf(entries: readonly Entry[]): "none" | "failed" | "passed" {
  const last = entries.filter((e) => e.passed !== undefined).at(-1);
  return last === undefined ? "none" : last.passed ? "passed" : "failed";
}

/** Pieces of the good cloth that are cut by now. */
export const cutByNow = (entries: readonly Entry[]): ReadonlySet<string> =>
  new Set(entries.filter((e) => e.kind === "cutting").flatMap((e) => e.cut ?? []));
