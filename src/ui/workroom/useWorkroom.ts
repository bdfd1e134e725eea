"use client";
import { tell } from "@/core/units";
import { nanoid } from "nanoid";
import { useCallback, useEffect, useState } from "react";
import type { Job } from "@/core/files";
import {
  cardId,
  findJob,
  keepCards,
  listBin,
  listCards,
  listJobs,
  listStyles,
  putBack,
  removeStyle,
  removeJob,
  throwAway,
  writeJob,
  type Binned,
  type StoredCard,
  type StoredJob,
  type StoredStyle,
  type Unreadable,
} from "@/store/database";
import { askToKeep, roomTaken } from "@/store/room";

/** Everything the workroom shows: the jobs, what lies in the bin, and what is kept but cannot be read here. */
export interface Workroom {
  readonly jobs: readonly StoredJob[];
  readonly cards: readonly StoredCard[];
  readonly styles: readonly StoredStyle[];
  readonly bin: readonly Binned[];
  readonly unreadable: readonly Unreadable[];
}

async function readWorkroom(): Promise<Workroom> {
  const [jobs, cards, styles, bin] = await Promise.all([listJobs(), listCards(), listStyles(), listBin()]);
  const unreadable = [jobs, cards, styles, bin].flatMap((shelf) => shelf.unreadable);
  return { jobs: jobs.records, cards: cards.records, styles: styles.records, bin: bin.records, unreadable };
}

/** Pages and cloths of the sample that are not here yet; what was written over them since stays. */
async function keepSampleBeside(): Promise<void> {
  const [{ SAMPLE_CLOTHS, SAMPLE_DIARY }, { keepCloth, listCloths }, { keepEntry, listEntries }] = await Promise.all([
    import("@/store/sampleDiary"),
    import("@/store/layStore"),
    import("@/store/diaryStore"),
  ]);
  const cloths = new Set((await listCloths()).map((c) => c.id));
  for (const cloth of SAMPLE_CLOTHS) if (!cloths.has(cloth.id)) await keepCloth(cloth);
  for (const { id, job, entry } of SAMPLE_DIARY) {
    const { entries } = await listEntries(job);
    if (!entries.some((e) => e.id === id)) await keepEntry(id, job, entry);
  }
}

/** The workroom of this browser and what can be done in it; null until it is read, and why it could not be. */
export function useWorkroom() {
  const [room, setRoom] = useState<Workroom | null>(null);
  const [failed, setFailed] = useState(false);
  const [taken, setTaken] = useState<Awaited<ReturnType<typeof roomTaken>>>(null);
  const reload = useCallback(async () => {
    try {
      setRoom(await readWorkroom());
      setFailed(false);
    } catch {
      setFailed(true);
    }
  }, []);
  useEffect(() => {
    let wanted = true;
    readWorkroom().then(
      (read) => wanted && setRoom(read),
      () => wanted && setFailed(true),
    );
    return () => {
      wanted = false;
    };
  }, []);

  // Whoever has work here wants it kept, whatever else the browser fills up with.
  const hasWork = (room?.jobs.length ?? 0) > 0;
  useEffect(() => {
    let wanted = true;
    if (hasWork)
      void askToKeep()
        .then(roomTaken)
        .then((found) => wanted && setTaken(found));
    return () => {
      wanted = false;
    };
  }, [hasWork]);

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
      if (read.kind !== "job") {
        const first = read.errors[0];
        return { message: [first?.path, first && tell(first.says, "cm")].filter(Boolean).join(": ") };
      }
      return { id: await add(read.job) };
    },
    [add],
  );

  const remove = useCallback(
    async (record: StoredJob) => {
      const binned = await removeJob(record);
      await reload();
      return binned;
    },
    [reload],
  );

  /** Puts a removed job back as it was. */
  const restore = useCallback(
    async (binned: Binned) => {
      await putBack(binned);
      await reload();
    },
    [reload],
  );

  /** Removes a style of one's own. */
  const dropStyle = useCallback(
    async (style: StoredStyle) => {
      await removeStyle(style.id);
      await reload();
    },
    [reload],
  );

  /** Throws away what lies in the bin. */
  const empty = useCallback(
    async (bin: readonly Binned[]) => {
      await throwAway(bin);
      await reload();
    },
    [reload],
  );

  /** Lays out the sample workroom; jobs of it that are already here are left as they are. */
  const addSample = useCallback(async () => {
    const [{ SAMPLE_CARDS }, { SAMPLE_JOBS }] = await Promise.all([
      import("@/store/sampleCards"),
      import("@/store/sampleWorkroom"),
    ]);
    for (const { id, job } of [...SAMPLE_JOBS].reverse()) {
      if (!(await findJob(id))) await writeJob(id, job, 0);
    }
    const { records, unreadable } = await listCards();
    const held = new Set([...records, ...unreadable].map((c) => c.id));
    await keepCards(SAMPLE_CARDS.filter((card) => !held.has(cardId(card))));
    await keepSampleBeside();
    await reload();
  }, [reload]);

  return { room, taken, failed, reload, add, addFile, remove, restore, empty, addSample, dropStyle };
}
