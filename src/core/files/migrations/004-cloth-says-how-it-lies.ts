import type { Migration } from ".";

/**
 * A job's cloth says how it lies, whether it has a nap, shrinks or repeats. Jobs of older forms say nothing of that, and
 * nothing is put in its place.
 */
export const clothSaysHowItLies: Migration = {
  to: 4,
  name: "cloth-says-how-it-lies",
  migrate: (job) => ({ ...job }),
};
