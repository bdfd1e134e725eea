import { readJob, type Job } from "../files";
import { complaintsOf } from "./said";

/** A value read as a job; throws with the sentences when it is none. */
export function jobFrom(value: unknown): Job {
  const read = readJob(value);
  if (read.kind !== "job") throw new Error(complaintsOf(read.errors));
  return read.job;
}
