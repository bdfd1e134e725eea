import type { Job } from "../files";
import type { Fitting } from "../fitting";
import type { JobChange } from "../inspect";
import { movesOfStyle } from "./newJob";

/** The job's own list of moves; a style's becomes the job's own. */
export function ownMoves(job: Job): NonNullable<Job["moves"]> {
  job.moves ??= movesOfStyle(job.style.id, job.style.params);
  return job.moves;
}

/** Sets a value deep in a job; groups on the way are made where they are missing. */
export function setAtPath(job: Job, path: readonly (string | number)[], value: unknown): void {
  let at = job as unknown as Record<string | number, unknown>;
  path.slice(0, -1).forEach((key) => {
    if (typeof at[key] !== "object" || at[key] === null) at[key] = {};
    at = at[key] as Record<string | number, unknown>;
  });
  at[path[path.length - 1] as string | number] = value;
}

/** Changes a job in place as a remedy or an advice asks. */
export function applyChanges(job: Job, changes: readonly JobChange[]): void {
  // Moves are named by place; a job that still follows its style gets its own list first.
  if (changes.some(({ path }) => path[0] === "moves")) ownMoves(job);
  for (const { path, value } of changes) setAtPath(job, path, value);
}

/** The job with one more fitting. */
export const withFitting = (job: Job, fitting: Fitting): Job => ({
  ...job,
  fittings: [...(job.fittings ?? []), fitting],
});
