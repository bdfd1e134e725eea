import type { Migration } from ".";

/**
 * The cloth may be a remnant with an outline of its own, and what a fitting pinned on one side may stay there. Cloth of older
 * jobs is a whole strip, and their fittings are mirrored; both stay so.
 */
export const remnantsAndSides: Migration = {
  to: 8,
  name: "remnants-and-sides",
  migrate: (job) => ({ ...job }),
};
