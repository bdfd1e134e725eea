"use client";
import { useEffect, useMemo, useState } from "react";
import type { Job } from "@/core/files";
import { listJobs } from "@/store/database";
import { findTogether, keepTogether } from "@/store/layStore";

/** Another garment of the workroom. */
export interface Other {
  readonly id: string;
  readonly job: Job;
  readonly isWith: boolean;
}

/**
 * The other garments of the workroom, which of them lie on this job's cloth too, and all that lie on it, this job first. What
 * lies together is not known until it is read.
 */
export function useTogether(id: string, job: Job) {
  const [jobs, setJobs] = useState<readonly { readonly id: string; readonly job: Job }[]>([]);
  const [ids, setIds] = useState<readonly string[]>([]);
  const [readFor, setReadFor] = useState<string | null>(null);
  useEffect(() => {
    let wanted = true;
    Promise.all([listJobs(), findTogether(id)]).then(
      ([{ records }, held]) => {
        if (!wanted) return;
        setJobs(records.filter((r) => r.id !== id));
        // One that was removed meanwhile lies on it no more.
        setIds(held.filter((own) => records.some((r) => r.id === own)));
        setReadFor(id);
      },
      () => wanted && setReadFor(id),
    );
    return () => {
      wanted = false;
    };
  }, [id]);
  const others = useMemo(() => jobs.map((other): Other => ({ ...other, isWith: ids.includes(other.id) })), [jobs, ids]);
  const laid = useMemo(
    (): readonly [Job, ...Job[]] => [job, ...ids.flatMap((own) => jobs.filter((j) => j.id === own).map((j) => j.job))],
    [job, ids, jobs],
  );
  function put(other: string, isWith: boolean): void {
    const next = isWith ? [...ids, other] : ids.filter((own) => own !== other);
    setIds(next);
    void keepTogether(id, next).catch(() => undefined);
  }
  return { isRead: readFor === id, others, laid, put };
}
