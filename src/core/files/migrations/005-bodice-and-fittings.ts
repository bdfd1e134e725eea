import type { Migration } from ".";

/**
 * A job may hold a bodice that was brought in, and what fittings changed. Jobs of older forms have neither, and none is
 * put in its place.
 */
export const bodiceAndFittings: Migration = {
  to: 5,
  name: "bodice-and-fittings",
  migrate: (job) => ({ ...job }),
};
