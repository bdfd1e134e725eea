"use client";
import { tell } from "@/core/units";
import { nanoid } from "nanoid";
import { useCallback, useEffect, useState } from "react";
import type { Job } from "@/core/files";
import { cardId, keepCards, listCards, listJobs, readJob, removeJob, writeJob, type StoredJob } from "@/store/database";

export type Jobs = readonly StoredJob[] | "loading" | "blocked";

/** The jobs of this browser's store and what can be done with them. */
export function useWorkroom() {
  const [jobs, setJobs] = useState<Jobs>("loading");
  const reload = useCallback(async () => {
    try {
      setJobs(await listJobs());
    } catch {
      setJobs("blocked");
    }
  }, []);
  useEffect(() => {
    let wanted = true;
    listJobs().then(
      (list) => wanted && setJobs(list),
      () => wanted && setJobs("blocked"),
    );
    return () => {
      wanted = false;
    };
  }, []);

  /** Writes a new job and returns its id. */
  const add = useCallback(
    async (job: Job): Promise<string> => {
      const id = nanoid(10);
      await writeJob(id, job, 0);
      await reload();
      return id;
    },
    [reload],
  );

  /** Opens the text of a job file as a new job; errors are sentences. Nothing is written unless all of it is valid. */
  const addFile = useCallback(
    async (text: string): Promise<{ readonly id: string } | { readonly message: string }> => {
      const { readJobText } = await import("@/core/files");
      const read = readJobText(text);
      if (!read.ok) {
        const first = read.errors[0];
        return { message: [first?.path, first && tell(first.says, "cm")].filter(Boolean).join(": ") };
      }
      return { id: await add(read.job) };
    },
    [add],
  );

  const remove = useCallback(
    async (id: string) => {
      await removeJob(id);
      await reload();
    },
    [reload],
  );

  /** Puts a removed job back as it was. */
  const restore = useCallback(
    async (record: StoredJob) => {
      await writeJob(record.id, record.job, 0);
      await reload();
    },
    [reload],
  );

  /** Lays out the sample workroom; jobs of it that are already here are left as they are. */
  const addSample = useCallback(async () => {
    const { SAMPLE_CARDS, SAMPLE_JOBS } = await import("@/store/sampleWorkroom");
    for (const { id, job } of [...SAMPLE_JOBS].reverse()) {
      if (!(await readJob(id))) await writeJob(id, job, 0);
    }
    const held = new Set((await listCards()).map((c) => c.id));
    await keepCards(SAMPLE_CARDS.filter((card) => !held.has(cardId(card))));
    await reload();
  }, [reload]);

  return { jobs, add, addFile, remove, restore, addSample };
}
