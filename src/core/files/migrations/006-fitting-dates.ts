import type { Migration } from ".";

/** A plan of making may say on which days the garment is tried on. Jobs of older forms say none, and none is put in its place. */
export const fittingDates: Migration = {
  to: 6,
  name: "fitting-dates",
  migrate: (job) => ({ ...job }),
};
