"use client";
import { useEffect, useMemo, useState } from "react";
import type { Job } from "@/core/files";
import { cardsOf } from "@/store/cardStore";
import { listCards, listJobs, type StoredCard, type StoredJob } from "@/store/database";
import { wornBy } from "@/workers/client";
import type { WornGarment } from "@/workers/proof";

/** A garment of a wearer: the job, and how it is worn once that is worked out; null where it cannot be drawn. */
export interface GarmentOf {
  readonly id: string;
  readonly job: Job;
  readonly worn: WornGarment | null | "waits";
}

/** Everything that is kept about a wearer: cards, oldest first, and garments; null until it is read. */
export function useWearer(name: string) {
  const [kept, setKept] = useState<{
    readonly cards: readonly StoredCard[];
    readonly jobs: readonly StoredJob[];
  } | null>(null);
  const [isBlocked, setBlocked] = useState(false);
  const [worn, setWorn] = useState<ReadonlyMap<string, WornGarment | null>>(new Map());
  useEffect(() => {
    let wanted = true;
    Promise.all([listCards(), listJobs()]).then(
      ([cards, jobs]) => wanted && setKept({ cards: cards.records, jobs: jobs.records }),
      () => wanted && setBlocked(true),
    );
    return () => {
      wanted = false;
    };
  }, []);
  const jobs = useMemo(
    () => (kept?.jobs ?? []).filter(({ job }) => job.body.name.trim().toLowerCase() === name.trim().toLowerCase()),
    [kept, name],
  );
  useEffect(() => {
    let wanted = true;
    for (const { id, job } of jobs)
      wornBy(job).then(
        (found) => wanted && setWorn((now) => new Map(now).set(id, found)),
        () => wanted && setWorn((now) => new Map(now).set(id, null)),
      );
    return () => {
      wanted = false;
    };
  }, [jobs]);
  const cards = useMemo(() => {
    const own = cardsOf(kept?.cards ?? [], name).map((c) => c.card);
    // A job may hold a card that was never kept by itself.
    const known = new Set(own.map((card) => JSON.stringify(card)));
    const more = jobs.map(({ job }) => job.body).filter((body) => !known.has(JSON.stringify(body)));
    return [...own, ...more];
  }, [kept, jobs, name]);
  return {
    isRead: kept !== null,
    isBlocked,
    cards,
    garments: jobs.map(({ id, job }): GarmentOf => ({
      id,
      job,
      worn: worn.has(id) ? (worn.get(id) ?? null) : "waits",
    })),
  };
}
