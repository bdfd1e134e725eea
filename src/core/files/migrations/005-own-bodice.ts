import type { Migration } from ".";

/** A job may hold a bodice that was brought in. Jobs of older forms have none, and none is put in its place. */
export const ownBodice: Migration = {
  to: 5,
  name: "own-bodice",
  migrate: (job) => ({ ...job }),
};
