import { z } from "zod";
import { readJob, type Job } from "@/core/files";
import { dayId } from "./dayId";
import { localDay } from "./localDay";
import { RECORD_VERSION } from "./records";
import { shelves, type Beside, type Kept } from "./shelf";

/** A job as it stood at the end of a day on which it was changed. */
export interface KeptDay {
  readonly date: string;
  readonly job: Job;
}

/** So many days of each job are kept; the oldest go first. */
const MOST_DAYS = 30;

const heldSchema = z.looseObject({ updated: z.iso.datetime(), job: z.unknown() });

/** With a job's first change of a day, the job is kept as it stood before: as the last day on which it was changed left it. */
export const lastDayOf = (id: string, now: string): Beside => ({
  shelf: "days",
  of(held) {
    const read = heldSchema.safeParse(held);
    if (!read.success) return null;
    const { updated, job } = read.data;
    const date = localDay(new Date(updated));
    return date < localDay(new Date(now))
      ? ({ id: dayId(id, date), version: RECORD_VERSION, job: id, date, kept: job } as Kept)
      : null;
  },
});

const daySchema = z.object({
  id: z.string(),
  version: z.literal(RECORD_VERSION),
  job: z.string(),
  date: z.iso.date(),
  kept: z.unknown(),
});

/** The days of a job that are kept, newest first; those beyond the most are let go of. What cannot be read is left as it lies. */
export async function listDays(id: string): Promise<readonly KeptDay[]> {
  const store = await shelves();
  const days = (await store.all("days")).flatMap((raw) => {
    const day = daySchema.safeParse(raw);
    return day.success && day.data.job === id ? [day.data] : [];
  });
  const newest = days.sort((a, b) => b.date.localeCompare(a.date));
  for (const old of newest.slice(MOST_DAYS)) await store.remove("days", old.id);
  return newest.slice(0, MOST_DAYS).flatMap(({ date, kept }) => {
    const read = readJob(kept);
    return read.kind === "job" ? [{ date, job: read.job }] : [];
  });
}
