import type { Migration } from ".";

/**
 * A job's cloth says how it lies, whether it has a nap, shrinks or repeats, and the job in which order it is made. Jobs
 * of older forms say nothing of that, and nothing is put in its place.
 */
export const clothAndMaking: Migration = {
  to: 4,
  name: "cloth-and-making",
  migrate: (job) => ({ ...job }),
};
