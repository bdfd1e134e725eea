import { nanoid } from "nanoid";
import { versionOf } from "@/core/derive/versions";
import type { Job } from "@/core/files";
import { changeJob } from "@/store/jobStore";

/** Keeps the job's pattern as it stands as a version with a name. */
export function keepVersion(job: Job, name: string, date: string): void {
  const version = versionOf(job, nanoid(8), name, date);
  changeJob((now) => {
    now.versions = [...(now.versions ?? []), version];
  });
}
