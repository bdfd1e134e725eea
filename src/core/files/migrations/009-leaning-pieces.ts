import type { Migration } from ".";

/** A piece may lie a few degrees off the thread. Pieces of older jobs lie on it, across it or on the bias, and stay so. */
export const leaningPieces: Migration = {
  to: 9,
  name: "leaning-pieces",
  migrate: (job) => ({ ...job }),
};
